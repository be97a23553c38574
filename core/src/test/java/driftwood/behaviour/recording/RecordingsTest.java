package driftwood.behaviour.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.Given;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RecordingsTest {
    @TempDir
    Path root;

    private static ObjectNode object(String key, int value) {
        return JsonNodeFactory.instance.objectNode().put(key, value);
    }

    private Recording recording() {
        Case first = new Case("c1", "quay.Desk#f(int)", object("is", 1), List.of(Step.call("open", null)), object("n", 4), object("gives", 9),
                List.of("/gives/at"), List.of());
        return Recording.of("quay.Desk", List.of("quay.Desk#f(int)"), List.of(first));
    }

    @Test
    void aRecordingIsReadableAndComesBack() throws IOException {
        Path file = new Recordings(root).save(recording());
        assertThat(root.relativize(file)).hasToString(".driftwood/recordings/quay.Desk.json");
        assertThat(Files.readString(file)).startsWith("{\n  \"format\": \"driftwood-recording/2\",\n  \"of\": \"quay.Desk\"")
                .contains("\"given\": {\"n\": 4}").doesNotContain("anyOrder", "null");
        Recording again = new Recordings(root).read(file);
        assertThat(again.cases().get(0).varies()).containsExactly("/gives/at");
        assertThat(again.cases().get(0).outcome().get("gives").asInt()).isEqualTo(9);
        assertThat(again.cases().get(0).before()).containsExactly(Step.call("open", null));
    }

    @Test
    void namesThatAreNoFileNamesAreMadeSo() {
        Recording odd = Recording.of("../a b/c", List.of(), List.of());
        assertThat(new Recordings(root).save(odd).getFileName()).hasToString(".._a_b_c.json");
    }

    @Test
    void otherFormatsAndDamagedCasesAreRefused() {
        Path other = Given.write(root.resolve(".driftwood/recordings/a.json"), "{\"format\":\"driftwood-recording/9\",\"cases\":[]}");
        assertThatThrownBy(() -> new Recordings(root).read(other)).isInstanceOf(IOException.class).hasMessageContaining("driftwood-recording/9");
        Path older = Given.write(root.resolve(".driftwood/recordings/d.json"), "{\"format\":\"driftwood-recording/1\",\"of\":\"quay.Desk\",\"cases\":[]}");
        assertThatThrownBy(() -> new Recordings(root).read(older)).hasMessageEndingWith("renew it: driftwood characterize --anew quay.Desk");
        Path damaged = Given.write(root.resolve(".driftwood/recordings/b.json"),
                "{\"format\":\"driftwood-recording/2\",\"cases\":[{\"id\":\"c1\",\"routine\":\"x\"}]}");
        assertThatThrownBy(() -> new Recordings(root).read(damaged)).hasMessageContaining("case c1 has no id or no routine");
        Path unknown = Given.write(root.resolve(".driftwood/recordings/c.json"), "{\"formt\":\"x\"}");
        assertThatThrownBy(() -> new Recordings(root).read(unknown)).hasMessageContaining("is damaged");
    }

    @Test
    void theSmallestCaseIsTheOneWithTheLeastToRead() {
        Case small = new Case("a", "x#y()", null, List.of(), object("n", 1), object("gives", 1), List.of(), List.of());
        Case large = new Case("b", "x#y()", object("is", 1), List.of(Step.call("open", null)), object("n", 1), object("gives", 1), List.of(), List.of());
        assertThat(small.size()).isLessThan(large.size());
    }
}
