package driftwood.scan;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.smell.Finding;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The same office in each language's own dress has the same smells; each file is a project of its own. */
class LanguagesTest {
    private static final Path SAMPLES = Path.of("src/test/resources/languages");

    @TempDir
    Path root;

    private Scan.Result scan(String... files) throws Exception {
        for (String each : files) {
            Files.copy(SAMPLES.resolve(each), root.resolve(each));
        }
        return new Scan(Scan.Options.DEFAULT.on(2)).run(root, java.util.List.of(root));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "Dues.cs | constructor-work Quay.PilotRoster#PilotRoster(), hard-coded-instantiation Quay.HarbourDues#roster, misplaced-behaviour Quay.HarbourDues#Quote(Vessel), "
            + "null-check Quay.PilotRoster#Find(string), type-switch Quay.HarbourDues#Quote(Vessel)",
        "dues.ts | constructor-work dues.PilotRoster#PilotRoster(), container-type-check dues#weigh(all), hard-coded-instantiation dues.Dues#roster, "
            + "null-check dues.PilotRoster#find(string), type-switch dues.Dues#quote(Vessel)",
        "office.js | state-switch office.Gate#state",
        "Dues.php | constructor-work Quay.PilotRoster#PilotRoster(), container-type-check Quay.Hold#weigh(array), hard-coded-instantiation Quay.Dues#roster, "
            + "misplaced-behaviour Quay.Dues#quote(Vessel), null-check Quay.PilotRoster#find(string), type-switch Quay.Dues#quote(Vessel)",
        "Dues.kt | constructor-work quay.PilotRoster#(), container-type-check quay.DuesKt#weigh(List), hard-coded-instantiation quay.Dues#roster, misplaced-behaviour quay.Dues#quote(Vessel), "
            + "null-check quay.PilotRoster#find(String), type-switch quay.Dues#quote(Vessel)",
        "dues.rb | constructor-work Quay.PilotRoster#PilotRoster(), container-type-check Quay.Hold#weigh(all), hard-coded-instantiation Quay.Dues#roster, "
            + "null-check Quay.PilotRoster#seek(name), type-switch Quay.Dues#label(vessel), type-switch Quay.Dues#quote(vessel)"})
    void theSmellsOfTheOfficeAreFoundInIt(String file, String wanted) throws Exception {
        Scan.Result result = scan(file);
        TreeSet<String> found = new TreeSet<>();
        for (Finding each : result.findings()) {
            found.add(each.smell() + " " + each.symbol());
        }
        assertThat(result.unread()).isEmpty();
        assertThat(String.join(", ", found)).isEqualTo(wanted);
    }

    @Test
    void aTypeOfOneNameInTwoLanguagesIsNotJoined() throws Exception {
        Scan.Result result = scan("Dues.php", "dues.rb");
        assertThat(result.findings().stream().filter(each -> each.file().equals("Dues.php")).map(Finding::smell)).contains("type-switch", "constructor-work");
        assertThat(result.program().types().stream().filter(each -> each.name().equals("Quay.PilotRoster"))).hasSize(1);
    }

    @Test
    void theWordForNothingIsTheLanguages() throws Exception {
        assertThat(scan("dues.rb").findings().stream().filter(each -> each.smell().equals("null-check")).map(Finding::message)).allMatch(each -> each.contains("returns nil"));
    }

    @Test
    void ofBranchesThatAreCompiledUnderAConditionTheFirstIsRead() throws Exception {
        Files.writeString(root.resolve("Gate.cs"), """
                class Gate
                {
                #if BIG
                    int Depth() { return 9; }
                #else
                    int Depth() { return 3; }
                #endif
                #if false
                    broken here {
                #endif
                    int Length() { return 4; }
                }
                """);
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(1)).run(root, java.util.List.of(root));
        assertThat(result.unread()).isEmpty();
        assertThat(result.program().type("Gate").orElseThrow().routines()).extracting(each -> each.name() + " " + each.line()).containsExactly("Depth 4", "Length 11");
    }

    @Test
    void whatIsFetchedOrMadeByAToolIsLeftOut() throws Exception {
        for (String each : new String[] {"vendor/a.js", "b.min.js", "c.d.ts", "vendor/d.php", "obj/e.cs", "f.Designer.cs", "own/g.js"}) {
            Files.createDirectories(root.resolve(each).getParent());
            Files.writeString(root.resolve(each), each.endsWith("php") ? "<?php function f() {}" : each.endsWith("cs") ? "class E { }" : "let x = 1;");
        }
        assertThat(new Scan(Scan.Options.DEFAULT.on(1)).run(root, java.util.List.of(root)).program().outlines()).extracting(each -> each.file()).containsExactly("own/g.js");
    }

    @Test
    void aDialectAndAPackedFileAreToldAndTheirNeighboursAreRead() throws Exception {
        Files.writeString(root.resolve("a.js"), "/**\n * @format\n * @flow strict\n */\nexport type Tide = {| depth: ?number |};\n");
        Files.writeString(root.resolve("empty.js"), "");
        Files.writeString(root.resolve("c.js"), "var a=function(b){return b+1};".repeat(900) + "\n");
        Files.writeString(root.resolve("b.js"), "// what does not @flow here\nexport function f() {}\n");
        Scan.Result result = new Scan(Scan.Options.DEFAULT.on(2)).run(root, java.util.List.of(root));
        assertThat(result.unread()).extracting(each -> each.file() + " " + each.why()).containsExactly("a.js written with Flow's types, which Driftwood does not read",
                "c.js packed by a tool: 13500 characters to a line");
        assertThat(result.program().outlines()).extracting(each -> each.file()).containsExactly("b.js", "empty.js");
    }
}
