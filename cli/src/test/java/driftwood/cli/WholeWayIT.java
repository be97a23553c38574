package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.cli.Built.Run;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The whole way on the sample project, with the built program. */
class WholeWayIT extends OnSample {
    @Test
    void scanFindsTheFourSmellsInOrderOfDrag() throws Exception {
        JsonNode json = findings();
        assertThat(json.get("format").asText()).isEqualTo("driftwood-findings/1");
        assertThat(json.at("/scanned/files").asInt()).isEqualTo(27);
        List<String> smells = new ArrayList<>();
        double last = 5;
        for (JsonNode finding : json.get("findings")) {
            smells.add(finding.get("smell").asText());
            assertThat(finding.get("drag").asDouble()).isLessThanOrEqualTo(last);
            last = finding.get("drag").asDouble();
            assertThat(finding.get("evidence")).isNotEmpty();
            assertThat(finding.at("/patterns/0/because").asText()).isNotBlank();
        }
        assertThat(smells).containsExactlyInAnyOrder("telescoping-constructor", "null-check", "conditional-instantiation",
                "type-switch", "type-switch");
    }

    @Test
    void theSameInputGivesTheSameBytes() throws Exception {
        assertThat(run("scan", "--format", "json").out()).isEqualTo(run("scan", "--format", "json").out());
    }

    @Test
    void scanExitsWithOneAtTheLimit() throws Exception {
        assertThat(run("scan", "--fail-at", "4").code()).isEqualTo(1);
        assertThat(run("scan", "--fail-at", "4.9").code()).isZero();
        assertThat(run("scan", "--smells", "null-check", "--min-drag", "4").out()).startsWith("No findings");
    }

    @Test
    void textOutputIsPlainWithoutATerminal() throws Exception {
        Run run = run("scan");
        assertThat(run.out()).doesNotContain("\u001B").contains("public Berth(String name) {", "Next: driftwood explain tc-");
        assertThat(run.err()).isEmpty();
    }

    @Test
    void explainShowsOneFindingOrTellsWhatASmellOrPatternIs() throws Exception {
        String id = idOf("quay.PilotRoster#pilotFor(Vessel)");
        assertThat(run("explain", id).out()).contains("Null checks  " + id, "Evidence", "src/main/java/quay/NightDesk.java:23",
                "Change drill: one more caller of pilotFor(Vessel)", "Ways to answer it", "Next: driftwood plan " + id);
        assertThat(run("explain", "type-switch").out()).contains("Not this smell:", "Cures: strategy");
        assertThat(run("explain", "builder").out()).contains("Leave it when:", "Roles: product, builder");
    }

    @Test
    void planIsSavedAsJson() throws Exception {
        String id = idOf("quay.Berth#Berth");
        Run run = run("plan", id);
        assertThat(run.out()).contains("telescoping-constructor \u2192 builder", "builder: Berth.Builder  (new)",
                "+    public static final class Builder {", "Saved as .driftwood/plans/" + id + "-builder.json");
        JsonNode plan = new ObjectMapper().readTree(folder.resolve(".driftwood/plans/" + id + "-builder.json").toFile());
        assertThat(plan.get("pattern").asText()).isEqualTo("builder");
        assertThat(run("plan", id, "--pattern", "visitor").err()).contains("'visitor' does not fit");
        assertThat(run("drill", id).out()).startsWith("Change drill: one more optional part of Berth");
    }

    @Test
    void ourOwnCodeIsClean() throws Exception {
        Path home = Path.of(System.getProperty("driftwood.launcher")).toAbsolutePath().normalize().getParent();
        Run run = Built.driftwood(home, "scan", "core", "cli", "witness", "--fail-at", "2.0");
        assertThat(run.code()).as(run.out()).isZero();
    }

    @Test
    void helpIsThereForEveryCommand() throws Exception {
        assertThat(run("--help").out()).contains("scan", "explain", "drill", "plan", "characterize", "confirm", "demo", "Exit codes:");
        for (Command command : Main.COMMANDS) {
            Run run = run(command.name(), "--help");
            assertThat(run.code()).isZero();
            assertThat(run.out()).startsWith("usage: driftwood " + command.name()).contains("--help");
        }
        assertThat(run("--version").out()).startsWith("driftwood 0.1.0");
    }
}
