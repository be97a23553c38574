package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

class CaptureTest {
    private final Capture capture = new Capture();

    @Test
    void whatWasPrintedIsTakenOnce() {
        capture.write("one\r\n".getBytes(StandardCharsets.UTF_8), 0, 5);
        capture.write('x');
        assertThat(capture.take()).isEqualTo("one\nx");
        assertThat(capture.take()).isEmpty();
    }

    @Test
    void onlyTheBeginningOfALotIsKept() {
        byte[] much = new byte[100_000];
        java.util.Arrays.fill(much, (byte) 'a');
        capture.write(much, 0, much.length);
        capture.write('b');
        assertThat(capture.take()).hasSize(64 * 1024 + "... and 34465 bytes more".length()).endsWith("... and 34465 bytes more");
    }
}
