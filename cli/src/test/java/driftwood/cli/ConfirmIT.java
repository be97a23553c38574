package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.cli.Built.Run;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is recorded on the sample project, and what is told of it after a change, with the built program. */
class ConfirmIT extends OnSample {
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
}
