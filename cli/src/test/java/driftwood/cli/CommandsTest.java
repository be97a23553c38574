package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.behaviour.build.Compiler;
import driftwood.cli.InProcess.Run;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the commands say, on the sample project, without a process of its own for each. */
class CommandsTest {
    @TempDir
    Path folder;

    private String project;

    @BeforeEach
    void unpack() {
        SampleFiles.copy("kelp-quay", folder);
        project = folder.toString();
    }

    private JsonNode findings() throws IOException {
        return new ObjectMapper().readTree(InProcess.run("scan", "--format", "json", project).out()).get("findings");
    }

    private String idOf(String smell) throws IOException {
        for (JsonNode finding : findings()) {
            if (finding.get("smell").asText().equals(smell)) {
                return finding.get("id").asText();
            }
        }
        throw new AssertionError("no " + smell);
    }

    @Test
    void jsonHasEveryKeyOfItsFormat() throws IOException {
        JsonNode whole = new ObjectMapper().readTree(InProcess.run("scan", "--format", "json", project).out());
        List<String> keys = new ArrayList<>();
        whole.fieldNames().forEachRemaining(keys::add);
        assertThat(keys).containsExactly("format", "version", "scanned", "findings");
        for (JsonNode finding : whole.get("findings")) {
            List<String> own = new ArrayList<>();
            finding.fieldNames().forEachRemaining(own::add);
            assertThat(own).containsExactly("id", "smell", "cause", "drag", "dragReasons", "language", "file", "line", "endLine", "symbol",
                    "message", "evidence", "patterns");
            assertThat(finding.get("file").asText()).startsWith("src/main/java/quay/");
            assertThat(finding.get("line").asInt()).isPositive().isLessThanOrEqualTo(finding.get("endLine").asInt());
        }
    }

    @Test
    void everyPlaceOfEvidenceIsInTheFileItNames() throws IOException {
        for (JsonNode finding : findings()) {
            for (JsonNode place : finding.get("evidence")) {
                int lines = Files.readAllLines(folder.resolve(place.get("file").asText())).size();
                assertThat(place.get("line").asInt()).isBetween(1, lines);
                assertThat(place.get("endLine").asInt()).isBetween(place.get("line").asInt(), lines);
                assertThat(place.get("note").asText()).isNotBlank();
            }
        }
    }

    @Test
    void textAndJsonTellTheSameFindings() throws IOException {
        String text = InProcess.run("scan", "--top", "0", project).out();
        for (JsonNode finding : findings()) {
            assertThat(text).contains(finding.get("id").asText());
        }
        assertThat(text).contains("5 findings in 27 files, 677 lines.");
    }

    @Test
    void chainsOnTheSameVariantsStandTogether() {
        String text = InProcess.run("scan", "--smells", "type-switch", project).out();
        assertThat(text.lines().filter(line -> line.startsWith("     and ts-"))).hasSize(1);
    }

    @Test
    void whatIsLeftOutIsCounted() {
        assertThat(InProcess.run("scan", "--top", "1", project).out()).contains("4 more are not shown: --top 0 shows all");
        assertThat(InProcess.run("scan", "--min-drag", "4", project).out()).contains("1 finding of drag 4.0 or more in 27 files, 677 lines; 4 of less drag.");
    }

    @ParameterizedTest
    @ValueSource(ints = {60, 80, 100, 160})
    void textFitsTheWidthOfTheTerminal(int width) {
        String text = InProcess.run(false, width, "scan", project).out();
        assertThat(text.lines().filter(line -> line.startsWith("     ") && line.length() > width && !line.contains(project))).isEmpty();
    }

    @Test
    void colourIsUsedOnlyWhereWanted() {
        assertThat(InProcess.run(true, 100, "scan", project).out()).contains("\u001B[1mtelescoping-constructor\u001B[0m");
        assertThat(InProcess.run(false, 100, "scan", project).out()).doesNotContain("\u001B");
    }

    @Test
    void sourceTextCannotReachTheTerminalAsItIs() throws IOException {
        Path berth = folder.resolve("src/main/java/quay/Berth.java");
        Files.writeString(berth, Files.readString(berth).replace("this(name, 4);", "this(name, /*\u001B[31m*/ 4);"));
        assertThat(InProcess.run("scan", project).out()).doesNotContain("\u001B").contains("/*\uFFFD[31m*/");
    }

    @ParameterizedTest
    @ValueSource(strings = {"type-switch", "telescoping-constructor", "null-check", "conditional-instantiation"})
    void everySmellIsExplainedDrilledAndPlanned(String smell) throws IOException {
        String id = idOf(smell);
        assertThat(InProcess.run("explain", id, "--project", project).out()).contains("Evidence", "Why it drags", "Change drill: one more ",
                "Ways to answer it", "leave-it", "What this smell is", "Next: driftwood plan " + id + " --project " + project);
        assertThat(InProcess.run("drill", id, "--project", project).out()).startsWith("Change drill: one more ").contains("today ", "after ");
        Run plan = InProcess.run("plan", id, "--project", project);
        assertThat(plan.out()).contains("Plan for " + id, "Candidates", "Roles", "Steps", "1. Pin the behaviour down")
                .containsPattern("\n--- a/|Not carried out by Driftwood: \\w");
        assertThat(plans(id)).hasSize(1);
        String first = plans(id).get(0);
        InProcess.run("plan", id, "--pattern", "leave-it", "--project", project);
        assertThat(plans(id)).as("one for each pattern").contains(first, id + "-leave-it.json");
    }

    /** Names of the plans of a finding. */
    private List<String> plans(String id) throws IOException {
        try (Stream<Path> all = Files.list(folder.resolve(".driftwood/plans"))) {
            return all.map(each -> each.getFileName().toString()).filter(each -> each.startsWith(id + "-") && each.endsWith(".json")).sorted().toList();
        }
    }

    @Test
    void planningChangesNoSource() throws IOException {
        Path berth = folder.resolve("src/main/java/quay/Berth.java");
        String before = Files.readString(berth);
        InProcess.run("plan", idOf("telescoping-constructor"), "--project", project);
        assertThat(Files.readString(berth)).isEqualTo(before);
    }

    @Test
    void theFormOfABuilderCanBeChosen() throws IOException {
        assertThat(InProcess.run("plan", idOf("telescoping-constructor"), "--form", "separate", "--project", project).out())
                .contains("builder: BerthBuilder  (new)", "Its form is separate; another one: --form static-entry or --form nested.");
        assertThat(InProcess.run("plan", idOf("telescoping-constructor"), "--form", "tidal", "--project", project).err())
                .contains("builder has no form 'tidal' for this telescoping-constructor; its forms are static-entry, nested, separate.");
    }

    @Test
    void leavingItCanBePlannedToo() throws IOException {
        assertThat(InProcess.run("plan", idOf("null-check"), "--pattern", "leave-it", "--project", project).out())
                .contains("\u2192 leave-it", "The advice is to leave it.");
    }

    @Test
    void aWrongIdIsAnsweredWithTheNearest() throws IOException {
        String id = idOf("null-check");
        Run run = InProcess.run("explain", id.substring(0, id.length() - 1), "--project", project);
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).contains("did you mean " + id + "?");
    }

    @ParameterizedTest
    @ValueSource(strings = {"builder", "factory-method", "factory", "registry", "strategy", "state", "null-object", "optional-value", "visitor"})
    void everyPatternIsExplained(String key) {
        assertThat(InProcess.run("explain", key).out()).startsWith(key).contains("Leave it when:", "Roles:");
    }

    @Test
    void severalTypesAndPlansAreRecordedOneAfterTheOther() throws IOException {
        String id = InProcess.run("scan", "--smells", "type-switch", "--format", "json", project).out()
                .replaceAll("(?s).*?\"id\" : \"(ts-[0-9a-z]+)\".*", "$1");
        assertThat(InProcess.run("plan", id, "--project", project).code()).isEqualTo(ExitCode.FINE);
        Run run = InProcess.run("characterize", "Leg", Path.of(project, ".driftwood/plans", plans(id).get(0)).toString(), "Leg",
                "--trial-time", "0", "--project", project);
        assertThat(run.code()).isEqualTo(ExitCode.FINE);
        assertThat(run.out()).contains("of quay.Leg:", "of " + id + ":", "Saved as " + Path.of(project, ".driftwood/recordings/" + id + ".json"));
        assertThat(run.err()).containsOnlyOnce("compiling");
        Files.writeString(Path.of(project, "src/main/java/quay/HarbourDues.java"), "\n", java.nio.file.StandardOpenOption.APPEND);
        assertThat(InProcess.run("characterize", Path.of(project, ".driftwood/plans", plans(id).get(0)).toString(), "--trial-time", "0", "--anew",
                "--project", project).err()).contains("was made for other sources; changed since: src/main/java/quay/HarbourDues.java");
        assertThat(InProcess.run("characterize", "Leg", "Nope", "--project", project).err()).contains("there is no type and no finding 'Nope'");
        assertThat(InProcess.run("characterize", "absent.json", "--project", project).err()).contains("absent.json is not a plan");
    }

    @Test
    void characterizeAndConfirmInOneGo() {
        Run recorded = InProcess.run("characterize", "LockGate", "--cases", "40", "--trial-time", "1", "--project", project);
        assertThat(recorded.code()).as(recorded.err()).isEqualTo(ExitCode.FINE);
        assertThat(recorded.out()).contains("Recorded ", "Observed", "For example", "LockGate#open(boolean)");
        Run chosen = InProcess.run("characterize", "LockGate", "--observe", "LockGate#open,Berth#fits", "--trial-time", "0",
                "--cases", "20", "--project", project);
        assertThat(chosen.out()).contains("LockGate#open(boolean)", "Berth#fits(Vessel)").doesNotContain("LockGate#shut()");
        assertThat(InProcess.run("characterize", "LockGate#shut", "--trial-time", "0", "--cases", "20", "--project", project).out())
                .contains("cases of quay.LockGate#shut").doesNotContain("LockGate#open(boolean)\n");
        assertThat(InProcess.run("characterize", "LockGate#shutt", "--project", project).err()).contains("did you mean shut?");
        Run confirmed = InProcess.run("confirm", "LockGate", "--project", project);
        assertThat(confirmed.code()).isEqualTo(ExitCode.FINE);
        assertThat(InProcess.run("confirm", "Nothing", "--project", project).err()).contains("there is no recording of Nothing; there are quay.LockGate");
    }

    @Test
    void givenClassesAreTakenInsteadOfCompiling() throws Exception {
        InProcess.run("characterize", "Leg", "--trial-time", "0", "--project", project);
        Path given = folder.resolve("given");
        try (Stream<Path> all = Files.walk(folder.resolve("src"))) {
            Compiler.compile(folder, all.filter(each -> each.toString().endsWith(".java")).toList(), List.of(), given);
        }
        Run run = InProcess.run("confirm", "--classes", given.toString(), "--project", project);
        assertThat(run.code()).isEqualTo(ExitCode.FINE);
        assertThat(run.err()).doesNotContain("compiling");
        Files.delete(given.resolve("quay/Leg.class"));
        assertThat(InProcess.run("confirm", "--classes", given.toString(), "--project", project).out()).contains("gone");
    }

    @Test
    void compilingLeavesNothingInTheProject() {
        InProcess.run("characterize", "Leg", "--trial-time", "0", "--project", project);
        assertThat(folder.resolve(".driftwood/cache/classes")).doesNotExist();
        assertThat(folder.resolve(".driftwood/recordings/quay.Leg.json")).exists();
    }

    @Test
    void aTypeThatCannotBeMadeSaysWhy() throws IOException {
        Files.writeString(folder.resolve("src/main/java/quay/Sealed.java"), "package quay; class Sealed { private Sealed() { } void go() { } }");
        Run run = InProcess.run("characterize", "Sealed", "--trial-time", "2", "--project", project);
        assertThat(run.code()).isEqualTo(ExitCode.ACT);
        assertThat(run.out()).contains("Nothing could be recorded of quay.Sealed.", "no way to make a Sealed");
    }

    @Test
    void aSimpleNameOfSeveralTypesIsRefused() throws IOException {
        Files.writeString(folder.resolve("src/main/java/quay/More.java"), "package quay; class More { static class Leg { } }");
        assertThat(InProcess.run("characterize", "Leg", "--project", project).err()).contains("there are 2 types named Leg: quay.Leg, quay.More.Leg");
    }

    @Test
    void aDifferenceOnAnotherPlatformSaysSo() throws IOException {
        InProcess.run("characterize", "Leg", "--trial-time", "0", "--project", project);
        Path recording = folder.resolve(".driftwood/recordings/quay.Leg.json");
        String recorded = Files.readString(recording);
        assertThat(recorded).contains("\"platform\": \"java " + Runtime.version().feature() + "\"");
        String elsewhere = recorded.replaceFirst("\"java \\d+\"", "\"java 9\"");
        Files.writeString(recording, elsewhere);
        assertThat(InProcess.run("confirm", "--project", project).out()).contains("Same: all").doesNotContain("Recorded on");
        Files.writeString(recording, elsewhere.replaceFirst("(?s)(\"outcome\".*?\"miles\": )0", "$14"));
        assertThat(InProcess.run("confirm", "--project", project).out()).contains("Recorded on java 9, run on java ", "JAVA_HOME");
    }

    @Test
    void aCaseThatSomebodyAddedIsNewUntilItsOutcomeIsSaidToBeRight() throws IOException {
        InProcess.run("characterize", "Leg", "--trial-time", "0", "--project", project);
        Path recording = folder.resolve(".driftwood/recordings/quay.Leg.json");
        Files.writeString(recording, Files.readString(recording).replaceFirst("\"cases\": \\[", "\"cases\": [ {\"id\": \"mine\", "
                + "\"routine\": \"quay.Leg#new\", \"on\": {\"is\": \"quay.Leg\", \"from\": \"Kelp Quay\", \"to\": \"Otter Sound\", \"miles\": 12}},"));
        Run added = InProcess.run("confirm", "--project", project);
        assertThat(added.code()).isEqualTo(ExitCode.ACT);
        assertThat(added.out()).contains("1 new", "mine", "Otter Sound", "characterize quay.Leg --again mine --because REASON");
        assertThat(InProcess.run("confirm", "--format", "json", "--project", project).out()).contains("\"verdict\" : \"new\"");
        assertThat(InProcess.run("confirm", "--format", "junit", "--project", project).out()).contains("no outcome is recorded yet");
        InProcess.run("characterize", "Leg", "--again", "mine", "--because", "the longest leg", "--trial-time", "0", "--project", project);
        assertThat(InProcess.run("confirm", "--project", project).code()).isEqualTo(ExitCode.FINE);
    }
}
