package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.Stage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a stage leaves behind that no careful hand would. */
class TidyTest {

    private static String tidied(String before, String after) {
        List<Stage> stages = List.of(new Stage("Do it", List.of(), Map.of("Quay.java", Optional.of(after)), true));
        Stage tidy = Tidy.stages(stages, before == null ? Map.of() : Map.of("Quay.java", before)).get(0);
        assertThat(tidy.does()).isEqualTo("Do it");
        assertThat(tidy.meant()).isTrue();
        return tidy.files().get("Quay.java").orElseThrow();
    }

    @Test
    void anImportThatLostItsLastUseGoes() {
        String before = "import java.util.List;\nimport java.util.Map;\n\nclass Quay {\n    Map<String, String> all;\n    List<String> some;\n}\n";
        assertThat(tidied(before, before.replace("    List<String> some;\n", ""))).isEqualTo("import java.util.Map;\n\nclass Quay {\n    Map<String, String> all;\n}\n");
    }

    @Test
    void aFileDoesNotBeginWithTheLineThatItsImportsLeft() {
        String before = "import java.util.List;\n\nclass Quay {\n    List<String> some;\n}\n";
        assertThat(tidied(before, before.replace("    List<String> some;\n", ""))).isEqualTo("class Quay {\n}\n");
        assertThat(tidied("\n" + before, "\n" + before.replace("    List<String> some;\n", ""))).startsWith("\n");
    }

    @Test
    void anImportThatNeverHadAUseStays() {
        String before = "import java.util.List;\n\nclass Quay {\n    int depth;\n}\n";
        assertThat(tidied(before, before.replace("depth", "height"))).contains("import java.util.List;");
    }

    @Test
    void aNameThatIsPartOfAnotherIsNoUse() {
        String before = "import quay.Tide;\n\nclass Quay {\n    Tide tide;\n    TideTable table;\n    int $Tide;\n}\n";
        assertThat(tidied(before, before.replace("    Tide tide;\n", ""))).doesNotContain("import quay.Tide;");
    }

    @Test
    void staticImportsAreImportsToo() {
        String before = "import static java.lang.Math.max;\r\n\r\nclass Quay {\r\n    int a = max(1, 2);\r\n}\r\n";
        assertThat(tidied(before, before.replace("max(1, 2)", "2"))).isEqualTo("class Quay {\r\n    int a = 2;\r\n}\r\n");
    }

    @Test
    void emptyLinesAreAsTheFileHasThem() {
        String before = "class Quay {\n    int depth;\n\n    int height;\n}\n";
        assertThat(tidied(before, "class Quay {\n\n    int depth;\n\n\n    int height;\n\n}\n")).isEqualTo("class Quay {\n    int depth;\n\n    int height;\n}\n");
        String loose = "class Quay {\n\n    int depth;\n}\n";
        assertThat(tidied(loose, "class Quay {\n\n    int height;\n}\n")).isEqualTo("class Quay {\n\n    int height;\n}\n");
    }

    @Test
    void aNewFileIsAsItsRecipeWroteIt() {
        assertThat(tidied(null, "import java.util.List;\n\nclass New {\n\n}\n")).isEqualTo("import java.util.List;\n\nclass New {\n\n}\n");
    }
}
