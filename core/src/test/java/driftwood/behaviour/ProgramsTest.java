package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.Given;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.recording.Verdict.Kind;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.DisabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

/** Records shell commands, changes files, and confirms. */
@DisabledOnOs(OS.WINDOWS)
class ProgramsTest {
    @TempDir
    Path root;

    @BeforeEach
    void write() {
        Given.write(root.resolve("tide.txt"), "high\nlow\n");
    }

    private Recording record(String... commands) {
        return new Programs(root, 4000).record("program", List.of(commands), "", Map.of());
    }

    private static JsonNode gives(Recording recording) {
        return recording.cases().get(0).outcome().get("gives");
    }

    private List<Kind> confirm(Recording recording) throws Exception {
        Recordings store = new Recordings(root);
        Recording back = store.read(store.save(recording));
        assertThat(Programs.isOne(back)).isTrue();
        return new Programs(root, 4000).confirm(back).stream().map(Verdict::kind).toList();
    }

    @Test
    void outputErrorsExitCodeAndFilesAreRecorded() {
        JsonNode gives = gives(record("cat tide.txt; echo shoal >&2; echo moored > log.txt; rm tide.txt; exit 3"));
        assertThat(gives.get("exit").asInt()).isEqualTo(3);
        assertThat(gives.get("out").toString()).isEqualTo("[\"high\",\"low\"]");
        assertThat(gives.get("err").toString()).isEqualTo("[\"shoal\"]");
        assertThat(gives.get("files").toString()).isEqualTo("{\"log.txt\":[\"moored\"],\"tide.txt\":\"removed\"}");
    }

    @Test
    void theProjectItselfIsNotTouched() throws Exception {
        record("echo drowned > tide.txt; mkdir wreck; touch wreck/a");
        assertThat(root.resolve("tide.txt")).hasContent("high\nlow");
        try (var files = Files.list(root)) {
            assertThat(files.map(each -> each.getFileName().toString())).containsExactly("tide.txt");
        }
    }

    @Test
    void whatVariesIsMasked() throws Exception {
        Recording recording = record("echo steady; date +%s%N; pwd");
        assertThat(recording.cases().get(0).varies()).containsExactly("/gives/out/1");
        assertThat(gives(recording).get("out").get(2).asText()).isEqualTo("<project>");
        assertThat(confirm(recording)).containsExactly(Kind.SAME);
    }

    @Test
    void aSlipIsNoticed() throws Exception {
        Recording recording = record("cat tide.txt", "wc -l < tide.txt");
        Given.write(root.resolve("tide.txt"), "high\nslack\n");
        assertThat(confirm(recording)).containsExactly(Kind.DIFFERENT, Kind.SAME);
    }

    @Test
    void inputAndEnvironmentAreHandedIn() {
        Recording recording = new Programs(root, 4000).record("program", List.of("cat; echo $PILOT"), "ahoy\n", Map.of("PILOT", "Ada"));
        assertThat(gives(recording).get("out").toString()).isEqualTo("[\"ahoy\",\"Ada\"]");
    }

    @Test
    void aCommandThatDoesNotEndIsKilled() {
        Recording recording = new Programs(root, 600).record("program", List.of("while true; do sleep 1; done"), "", Map.of());
        assertThat(gives(recording).get("exit").asText()).isEqualTo("did not end within 600 ms");
    }

    @Test
    void aFloodOfOutputIsCutOff() {
        Recording recording = record("yes");
        assertThat(gives(recording).get("exit").asText()).isEqualTo("printed more than 4 MiB");
        assertThat(gives(recording).get("out")).isEmpty();
    }
}
