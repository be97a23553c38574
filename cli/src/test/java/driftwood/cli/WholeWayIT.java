package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.cli.Built.Run;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The whole way on the sample project, with the built program. */
class WholeWayIT {
    @TempDir
    Path folder;

    @BeforeEach
    void unpack() {
        SampleFiles.copy("kelp-quay", folder);
    }

    private Run run(String... arguments) throws IOException, InterruptedException {
        return Built.driftwood(folder, arguments);
    }

    private JsonNode findings() throws IOException, InterruptedException {
        return new ObjectMapper().readTree(run("scan", "--format", "json").out());
    }

    private String idOf(String symbol) throws IOException, InterruptedException {
        for (JsonNode finding : findings().get("findings")) {
            if (finding.get("symbol").asText().equals(symbol)) {
                return finding.get("id").asText();
            }
        }
        throw new AssertionError("no finding at " + symbol);
    }

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
    void aRightRefactoringIsTheSameAndASlipIsNot() throws Exception {
        String id = idOf("quay.HarbourDues#quote(Vessel,int)");
        Run recorded = run("characterize", id, "--trial-time", "0");
        assertThat(recorded.code()).as(recorded.err()).isZero();
        assertThat(recorded.out()).contains("Recorded ", "HarbourDues#quote(Vessel,int)", "Saved as .driftwood/recordings/" + id);
        assertThat(run("confirm").out()).contains("Same: all");
        SampleFiles.copy("right", folder);
        Run right = run("confirm");
        assertThat(right.code()).isZero();
        SampleFiles.copy("slip", folder);
        Run slip = run("confirm");
        assertThat(slip.code()).isEqualTo(1);
        assertThat(slip.out()).contains("different  HarbourDues#quote(Vessel,int)", "tonnage: 500", "recorded", "now");
        JsonNode json = new ObjectMapper().readTree(run("confirm", id, "--format", "json").out());
        assertThat(json.at("/recordings/0/cases").findValuesAsText("verdict")).contains("same", "different");
    }

    @Test
    void whatIsFoundAtATypeOrAFieldIsPinnedDownAsWell() throws Exception {
        Files.writeString(folder.resolve("src/main/java/quay/Notes.java"), "package quay;\n\nclass Notes {\n    private final Shelf shelf = new Shelf();\n\n"
                + "    String note(String line) {\n        return shelf.keep(line);\n    }\n}\n\nclass Shelf {\n    String keep(String line) {\n"
                + "        return line + java.nio.file.Files.exists(java.nio.file.Path.of(\"/no/such\", \"shelf\"));\n    }\n}\n");
        Run recorded = run("characterize", idOf("quay.Notes#shelf"), "--trial-time", "0");
        assertThat(recorded.code()).as(recorded.err()).isZero();
        assertThat(recorded.out()).contains("Notes#note(String)");
    }

    @Test
    void aSlipInAnyOtherClassIsNoticed() throws Exception {
        List<List<String>> slips = List.of(List.of("LockGate", "vessel.getLength() <= 60", "vessel.getLength() < 60"),
                List.of("TideTable", "away <= 2", "away < 2"));
        assertThat(run("characterize", "LockGate", "TideTable", "--trial-time", "0").code()).isZero();
        for (List<String> slip : slips) {
            Path file = folder.resolve("src/main/java/quay/" + slip.get(0) + ".java");
            String source = Files.readString(file);
            assertThat(source).contains(slip.get(1));
            Files.writeString(file, source.replace(slip.get(1), slip.get(2)));
            Run run = run("confirm", slip.get(0));
            assertThat(run.code()).as(slip.toString()).isEqualTo(1);
            assertThat(run.out()).contains("different  " + slip.get(0));
            Files.writeString(file, source);
        }
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
