package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.cli.InProcess.Run;
import java.io.IOException;
import java.nio.file.Path;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The Python sample through the same commands. */
class PythonTest {
    @TempDir
    Path folder;

    private String project;

    @BeforeEach
    void unpack() {
        SampleFiles.copy("kelp-quay-python", folder);
        project = folder.toString();
    }

    private JsonNode scan() throws IOException {
        return new ObjectMapper().readTree(InProcess.run("scan", "--format", "json", project).out());
    }

    @Test
    void everySmellOfTheSampleIsFoundWhereItIs() throws IOException {
        TreeMap<String, String> found = new TreeMap<>();
        for (JsonNode finding : scan().get("findings")) {
            assertThat(finding.get("language").asText()).isEqualTo("python");
            found.merge(finding.get("smell").asText(), finding.get("symbol").asText(), (a, b) -> a + " " + b);
        }
        assertThat(found).containsOnlyKeys("conditional-instantiation", "container-type-check",
                        "flag-argument", "hard-wired-notification", "long-parameter-list", "null-check", "state-switch",
                        "type-switch", "uncontrolled-instances")
                .containsEntry("null-check", "quay.pilots.PilotRoster#pilot_for(Vessel)")
                .containsEntry("state-switch", "quay.gate.LockGate#position")
                .containsEntry("container-type-check", "quay.vessels#weigh(list)")
                .containsEntry("uncontrolled-instances", "quay.office.HarbourLog");
    }

    @Test
    void nothingOfItIsUnread() throws IOException {
        JsonNode scanned = scan().get("scanned");
        assertThat(scanned.get("unread")).isEmpty();
        assertThat(scanned.get("languages").get("python").asInt()).isEqualTo(6);
    }

    @Test
    void aFindingIsExplainedAndWhatStandsAgainstAPatternIsSaid() throws IOException {
        String id = scan().get("findings").get(0).get("id").asText();
        assertThat(InProcess.run("explain", id, "--project", project).out()).contains("pilot_for", "Ways to answer it");
        assertThat(InProcess.run("plan", id, "--pattern", "null-object", "--project", project).out())
                .contains("Not carried out by Driftwood: where there is nothing, more happens than a neutral answer").doesNotContain("+++ ");
    }

    private String idOf(String smell) throws IOException {
        for (JsonNode each : scan().get("findings")) {
            if (each.get("smell").asText().equals(smell)) {
                return each.get("id").asText();
            }
        }
        throw new AssertionError(smell);
    }

    @Test
    void aRefactoringIsCarriedOutAndEveryStageConfirmed() throws IOException {
        String id = idOf("flag-argument");
        assertThat(InProcess.run("plan", id, "--pattern", "separate-routines", "--project", project).out()).contains("+    def surcharge_holiday(self, vessel: Vessel) -> int:");
        Run walk = InProcess.run("refactor", id + "-separate-routines", "--apply", "--over-changes", "--trial-time", "0", "--project", project);
        assertThat(walk.code()).as(walk.out() + walk.err()).isEqualTo(ExitCode.FINE);
        assertThat(walk.out()).contains("Pinned", "Stage 3 of 3", "same: ", "Carried out: 3 stages.");
        assertThat(java.nio.file.Files.readString(folder.resolve("quay/dues.py"))).contains("dues.surcharge_without_holiday(vessel)").doesNotContain("holiday: bool");
        assertThat(scan().get("findings")).extracting(each -> each.get("smell").asText()).doesNotContain("flag-argument");
    }

    @Test
    void aSlipOnTheWayPutsTheStageBack() throws IOException {
        String id = idOf("container-type-check");
        InProcess.run("plan", id, "--pattern", "composite", "--project", project);
        String before = java.nio.file.Files.readString(folder.resolve("quay/vessels.py"));
        Run walk = InProcess.run("refactor", id + "-composite", "--apply", "--over-changes", "--trial-time", "0", "--project", project, "--tests", "! grep -q 'def weigh(self)' quay/vessels.py");
        assertThat(walk.code()).isEqualTo(ExitCode.ACT);
        assertThat(walk.err()).contains("stage 1 was put back: the project's own tests end with 1", "The sources are as they were");
        assertThat(java.nio.file.Files.readString(folder.resolve("quay/vessels.py"))).isEqualTo(before);
    }

    @Test
    void aFindingIsRecordedAndConfirmedAndASlipIsNoticed() throws IOException {
        String id = scan().get("findings").get(0).get("id").asText();
        assertThat(InProcess.run("characterize", id, "--trial-time", "0", "--project", project).out()).contains("ArrivalDesk#admit(Vessel)", "Saved as");
        assertThat(InProcess.run("confirm", "--project", project).code()).isEqualTo(ExitCode.FINE);
        java.nio.file.Path pilots = folder.resolve("quay/pilots.py");
        java.nio.file.Files.writeString(pilots, java.nio.file.Files.readString(pilots).replace("else 15", "else 16"));
        Run run = InProcess.run("confirm", "--project", project);
        assertThat(run.code()).isEqualTo(ExitCode.ACT);
        assertThat(run.out()).contains("ArrivalDesk").contains("15").contains("16", "as code\n", ".bill(vessel=quay.vessels.Vessel(");
    }

    @Test
    void anInterpreterThatIsNotThereIsTold() throws IOException {
        String id = scan().get("findings").get(0).get("id").asText();
        Run run = InProcess.run("characterize", id, "--project", project, "--interpreter", "no-such-python");
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).contains("'no-such-python' cannot be started. Install Python, or name its interpreter with --interpreter.");
    }

    @Test
    void aSecondScanRemembersAndSaysTheSame() {
        String first = InProcess.run("scan", "--format", "json", project).out();
        assertThat(folder.resolve(".driftwood/cache/memory.mv")).isNotEmptyFile();
        assertThat(InProcess.run("scan", "--format", "json", project).out()).isEqualTo(first);
    }

    @Test
    void aDamagedMemoryIsDoneWithout() throws IOException {
        String first = InProcess.run("scan", "--format", "json", project).out();
        java.nio.file.Files.writeString(folder.resolve(".driftwood/cache/memory.mv"), "not a store".repeat(2000));
        Run again = InProcess.run("scan", "--format", "json", project);
        assertThat(again.out()).isEqualTo(first);
        assertThat(again.code()).isEqualTo(ExitCode.FINE);
    }

    @Test
    void anUnknownKeyOfTheConfigurationNamesTheNearest() throws IOException {
        java.nio.file.Files.writeString(folder.resolve("driftwood.yaml"), "parameter-limits: 4\n");
        Run run = InProcess.run("scan", project);
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).contains("there is no key 'parameter-limits'; did you mean 'parameter-limit'?");
    }

    @Test
    void theConfigurationIsHeard() throws IOException {
        java.nio.file.Files.writeString(folder.resolve("driftwood.yaml"), "parameter-limit: 6\nexclude: [quay/gate.py]\n");
        assertThat(scan().get("findings")).noneMatch(each -> each.get("smell").asText().equals("long-parameter-list")
                || each.get("smell").asText().equals("state-switch"));
    }
}
