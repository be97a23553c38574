package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Functions and values outside of types: who is meant by a bare name. */
class LooseTest {
    private static final String TIDES = "package quay\nval highest = 7\nfun level(hour: Int): Int { return hour }\nfun level(day: Int, hour: Int): Int { return day * hour }\nfun low(): Int { return 1 }\n";
    private static final String ROADS = "package roads\nfun depth(): Int { return 4 }\nfun level(hour: Int): Int { return -hour }\n";

    @TempDir
    Path root;

    private Loose loose;
    private Program program;

    /** The type Office of a file with some first lines. */
    private TypeOutline office(String head) {
        Given.write(root.resolve("quay/Tides.kt"), TIDES);
        Given.write(root.resolve("roads/Roads.kt"), ROADS);
        Given.write(root.resolve("Office.kt"), head + "\nclass Office {\n    fun open(): Int { return level(1) }\n}\n");
        program = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).site().program();
        loose = new Loose(program);
        return program.outlines().stream().flatMap(each -> each.types().stream()).filter(each -> each.simpleName().equals("Office")).findFirst().orElseThrow();
    }

    @ParameterizedTest(name = "{0}: {1} of {2}")
    @CsvSource(delimiter = '|', nullValues = "-", value = {
        "package quay | level | 1 | quay/Tides.kt",
        "package quay | level | 2 | quay/Tides.kt",
        "package quay | level | 3 | -",
        "package quay | depth | 0 | -",
        "package office | level | 1 | -",
        "package office;import quay.level | level | 1 | quay/Tides.kt",
        "package office;import quay.low | level | 1 | -",
        "package office;import quay.* | low | 0 | quay/Tides.kt",
        "package office;import roads.depth | depth | 0 | roads/Roads.kt",
        "package quay;import roads.* | depth | 0 | roads/Roads.kt",
        "package quay;import roads.* | level | 1 | -"})
    void theFunctionOfABareCall(String head, String name, int arguments, String file) {
        TypeOutline office = office(head.replace(';', '\n'));
        List<RoutineOutline> found = loose.routines(office, name, arguments);
        assertThat(found.stream().map(RoutineOutline::file).distinct()).containsExactly(file == null ? new String[0] : new String[] {file});
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', value = {"package quay | highest | true", "package office | highest | false", "package quay | lowest | false", "package office;import quay.highest | highest | true"})
    void theValueOfABareName(String head, String name, boolean found) {
        assertThat(loose(head, name)).isEqualTo(found);
    }

    private boolean loose(String head, String name) {
        TypeOutline office = office(head.replace(';', '\n'));
        return loose.field(office, name).isPresent();
    }

    @Test
    void aLanguageWithoutLooseFunctionsHasNone() {
        Given.written(root, "package quay;\nclass Tide { static int level(int hour) { return hour; } }\n", "package quay;\nclass Desk { }\n");
        program = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).site().program();
        assertThat(new Loose(program).routines(program.type("quay.Desk").orElseThrow(), "level", 1)).isEmpty();
    }
}
