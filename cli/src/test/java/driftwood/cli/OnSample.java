package driftwood.cli;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.cli.Built.Run;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A copy of the sample project, and the built program run in it. */
abstract class OnSample {
    @TempDir
    Path folder;

    @BeforeEach
    void unpack() {
        SampleFiles.copy("kelp-quay", folder);
    }

    Run run(String... arguments) throws IOException, InterruptedException {
        return Built.driftwood(folder, arguments);
    }

    JsonNode findings() throws IOException, InterruptedException {
        return new ObjectMapper().readTree(run("scan", "--format", "json").out());
    }

    String idOf(String symbol) throws IOException, InterruptedException {
        for (JsonNode finding : findings().get("findings")) {
            if (finding.get("symbol").asText().equals(symbol)) {
                return finding.get("id").asText();
            }
        }
        throw new AssertionError("no finding at " + symbol);
    }
}
