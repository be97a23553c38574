package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is written back is kept in bytes as it was. */
class EncodedTest {

    @ParameterizedTest
    @CsvSource({"UTF-8, false", "UTF-8, true", "UTF-16LE, true", "UTF-16BE, true", "ISO-8859-1, false"})
    void bytesComeBackAsTheyWere(String charset, boolean marked) {
        byte[] bytes = ((marked ? "\uFEFF" : "") + "class H\u00e4fen { }\r\n").getBytes(Charset.forName(charset));
        Encoded kept = Encoded.of(bytes);
        assertThat(kept).isEqualTo(new Encoded(charset, marked));
        assertThat(kept.text(bytes)).isEqualTo("class H\u00e4fen { }\r\n");
        assertThat(kept.bytes(kept.text(bytes))).isEqualTo(bytes);
    }

    @Test
    void whatTheEncodingCannotHoldIsRefusedBeforeAnythingIsWritten() {
        Encoded latin = Encoded.of("H\u00e4fen".getBytes(StandardCharsets.ISO_8859_1));
        assertThatThrownBy(() -> latin.bytes("\u0142odzie")).isInstanceOf(Refused.class).hasMessageContaining("ISO-8859-1");
    }

    @Test
    void plainTextIsUtf8() {
        assertThat(Encoded.of("class A { }".getBytes(StandardCharsets.US_ASCII))).isEqualTo(Encoded.USUAL);
        assertThat(Encoded.of(new byte[0])).isEqualTo(Encoded.USUAL);
    }
}
