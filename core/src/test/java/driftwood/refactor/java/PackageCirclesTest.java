package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.Stage;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which packages come to know each other: desk imports model, and a stage gives a file of model another text. */
class PackageCirclesTest {
    private static final String DESK = "package quay.desk;\n\nimport quay.model.Vessel;\n\nclass Desk { }\n";

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "import quay.desk.Desk;             | quay.desk and quay.model",
        "import static quay.desk.Desk.NAME; | quay.desk and quay.model",
        "import quay.desk.*;                | quay.desk and quay.model",
        "import quay.other.Desk;            | ",
        "import quay.model.Berth;           | ",
        "// import quay.desk.Desk;          | "})
    void aNewImportBackMakesACircle(String line, String circle) {
        Map<String, String> texts = new LinkedHashMap<>(Map.of("Desk.java", DESK, "Vessel.java", "package quay.model;\n\nclass Vessel { }\n"));
        List<Stage> stages = List.of(new Stage("Move it", List.of(), Map.of("Vessel.java", Optional.of("package quay.model;\n\n" + line + "\n\nclass Vessel { }\n")), false));
        assertThat(PackageCircles.of(stages, texts)).isEqualTo(circle == null ? List.of() : List.of(circle));
        texts.put("Berth.java", "package quay.model;\n\nimport quay.desk.Desk;\n\nclass Berth { }\n");
        assertThat(PackageCircles.of(stages, texts)).as("they did before").isEmpty();
    }
}
