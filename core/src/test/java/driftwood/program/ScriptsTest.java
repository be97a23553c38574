package driftwood.program;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.tree.TypeRef;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What scripts know of one another: all of them run in one scope, modules in none. */
class ScriptsTest {
    private static final String ROSTER = "Quay.Roster = function () { this.pilots = []; };\nQuay.Roster.prototype.find = function (name) {\n"
            + "    for (var i = 0; i < this.pilots.length; i++) { if (this.pilots[i].name === name) { return this.pilots[i]; } }\n    return null;\n};\n";
    private static final String TIDES = "class Tide { level() { return 4; } }\nvar highest = 7;\nfunction seek(name) { return name === 'none' ? null : new Tide(); }\n";

    @TempDir
    Path root;

    private Program program(String desk, String... others) {
        Given.write(root.resolve("desk.js"), desk + "\nclass Desk { open() { return 1; } }\n");
        for (int i = 0; i < others.length; i++) {
            Given.write(root.resolve("part" + i + ".js"), others[i]);
        }
        return new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).program();
    }

    private static String wrapped(String script) {
        return "(function () {\n" + script + "})();\n";
    }

    @ParameterizedTest(name = "{0} beside {1}: {2}")
    @CsvSource(delimiter = '|', nullValues = "-", value = {
        "script | plain | Tide | part0.Tide",
        "script | roster | Quay.Roster | part0.Roster",
        "script | roster | Roster | part0.Roster",
        "script | wrapped | Tide | -",
        "script | wrapped roster | Quay.Roster | part0.Roster",
        "script | wrapped roster | Roster | -",
        "script | module | Tide | -",
        "script | twice | Tide | -",
        "script | plain | Gate | -",
        "wrapped | plain | Tide | part0.Tide",
        "module | plain | Tide | -",
        "loading | plain | Tide | -"})
    void theTypeOfAName(String desk, String beside, String name, String type) {
        String head = desk.equals("module") ? "export const berths = 4;" : desk.equals("loading") ? "var path = require('path');" : "";
        String[] others = switch (beside) {
            case "roster" -> new String[] {ROSTER};
            case "wrapped" -> new String[] {wrapped(TIDES)};
            case "wrapped roster" -> new String[] {wrapped(ROSTER)};
            case "module" -> new String[] {TIDES + "export { Tide };\n"};
            case "twice" -> new String[] {TIDES, "class Tide { low() { return 1; } }\n"};
            default -> new String[] {TIDES};
        };
        Program program = program(desk.equals("wrapped") ? wrapped("function ring() { return 1; }") : head, others);
        TypeOutline scope = program.type("desk.Desk").orElseThrow();
        assertThat(program.resolve(new TypeRef(name), scope).map(TypeOutline::name).orElse(null)).isEqualTo(type);
    }

    @ParameterizedTest(name = "{0}: {1} guards are told")
    @CsvSource({"plain, 4", "wrapped, 0", "twice, 0"})
    void whoAsksForNothingInOtherScripts(String beside, int guards) {
        String desk = "function a(name) { var t = seek(name); if (t) { t.level(); } }\nfunction b(name) { var t = seek(name); if (t !== null) { t.level(); } }\n"
                + "function c(name) { var t = seek(name); if (t) { t.level(); } }\nfunction d(name) { var t = seek(name); if (t) { t.level(); } }\n";
        String[] others = beside.equals("wrapped") ? new String[] {wrapped(TIDES)} : beside.equals("twice") ? new String[] {TIDES, "function seek(n) { return null; }\n"} : new String[] {TIDES};
        Given.write(root.resolve("desk.js"), desk);
        for (int i = 0; i < others.length; i++) {
            Given.write(root.resolve("part" + i + ".js"), others[i]);
        }
        List<Finding> found = new Scan(Scan.Options.DEFAULT.only("null-check").on(1)).run(root, List.of(root)).findings();
        assertThat(found.stream().map(Finding::message)).hasSize(guards > 0 ? 1 : 0).allMatch(each -> each.contains("seek() returns null where there is nothing: " + guards + " callers check it"));
    }
}
