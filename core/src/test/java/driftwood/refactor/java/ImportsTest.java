package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Unit;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How types are written in a file, and what is imported for it. */
class ImportsTest {
    private static final String GATE = "package quay;\n\npublic class Gate {\n    public enum Kind { OPEN }\n    java.util.Map<String, java.util.List<Kind>> all;\n    java.util.Date day;\n    java.sql.Date other;\n    int[][] grid;\n}\n";

    private static String written(String field, String... sources) {
        String[] all = new String[sources.length + 1];
        all[0] = GATE;
        System.arraycopy(sources, 0, all, 1, sources.length);
        Attributed given = Attributed.of(all);
        Script script = new Script(given.texts());
        script.stage("imports", List.of());
        Imports imports = new Imports(given.workspace(), script);
        Unit unit = given.workspace().units().get(sources.length);
        String name = "";
        for (String each : field.split(" ")) {
            name += (name.isEmpty() ? "" : ", ") + imports.name(given.workspace().type("quay.Gate").getEnclosedElements().stream().filter(one -> one.getSimpleName().contentEquals(each)).findFirst().orElseThrow().asType(), unit);
        }
        return name + "\n" + script.stages().stream().findFirst().flatMap(stage -> stage.files().get(unit.file())).orElse("");
    }

    @Test
    void importsStandInTheirOrder() {
        assertThat(written("all", "package desk;\n\nimport java.util.ArrayList;\nimport java.util.Set;\n\nclass Desk { ArrayList<String> a; Set<String> b; }\n")).isEqualTo("""
                Map<String, List<Gate.Kind>>
                package desk;

                import java.util.ArrayList;
                import java.util.List;
                import java.util.Map;
                import java.util.Set;
                import quay.Gate;

                class Desk { ArrayList<String> a; Set<String> b; }
                """);
    }

    @Test
    void theFirstImportsStandApart() {
        assertThat(written("all", "package desk;\n\nclass Desk { }\n")).contains("package desk;\n\nimport java.util.List;\nimport java.util.Map;\nimport quay.Gate;\n\nclass Desk");
        assertThat(written("all", "class Desk { }\n")).contains("import java.util.List;\nimport java.util.Map;\nimport quay.Gate;\n\nclass Desk");
    }

    @Test
    void theSamePackageAndStarsNeedNone() {
        assertThat(written("all", "package quay;\n\nimport java.util.*;\n\nclass Desk { }\n")).isEqualTo("Map<String, List<Gate.Kind>>\n");
    }

    @Test
    void aNameThatMeansSomethingElseIsWrittenInFull() {
        assertThat(written("day other", "package desk;\n\nclass Desk { }\n")).startsWith("Date, java.sql.Date\n");
        assertThat(written("all", "package desk;\n\nclass Desk { }\nclass List { }\n")).startsWith("Map<String, java.util.List<Gate.Kind>>\n");
    }

    @Test
    void partsOfTheOwnFileAreNamedFromWithin() {
        assertThat(written("all grid")).startsWith("Map<String, List<Kind>>, int[][]\n");
    }

    @Test
    void carriageReturnsAreKept() {
        assertThat(written("day", "package desk;\r\n\r\nimport java.util.Set;\r\n\r\nclass Desk { Set<String> a; }\r\n")).contains("import java.util.Date;\r\nimport java.util.Set;\r\n");
    }
}
