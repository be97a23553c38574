package driftwood.source;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.Given;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class SourceTextTest {
    private static final SourceFile FILE = new SourceFile("A.java", Path.of("absent/A.java"), Given.JAVA, false);

    private static SourceText decoded(byte[] bytes) throws SourceText.NotReadable {
        return SourceText.decode(FILE, bytes);
    }

    @Test
    void utf8IsReadWithoutItsByteOrderMark() throws Exception {
        assertThat(decoded("\uFEFFclass Caf\u00e9 { }".getBytes(StandardCharsets.UTF_8)).text()).isEqualTo("class Caf\u00e9 { }");
    }

    @Test
    void whatIsNoUtf8IsReadAsLatin() throws Exception {
        SourceText text = decoded("class Caf\u00e9 { }".getBytes(StandardCharsets.ISO_8859_1));
        assertThat(text.text()).isEqualTo("class Caf\u00e9 { }");
        assertThat(text.latin()).isTrue();
    }

    @Test
    void aZeroInALiteralIsText() throws Exception {
        String source = "class A { String s = \"a\u0000b\"; int length = 4; }";
        assertThat(decoded(source.getBytes(StandardCharsets.UTF_8)).text()).isEqualTo(source);
    }

    @Test
    void binaryFilesAreNoText() {
        assertThatThrownBy(() -> decoded(new byte[] {(byte) 0xCA, (byte) 0xFE, (byte) 0xBA, (byte) 0xBE, 0, 0, 0, 61}))
                .isInstanceOf(SourceText.NotReadable.class).hasMessage("not text (it holds zero bytes and is no UTF-8)");
        assertThatThrownBy(() -> decoded(new byte[40])).hasMessageContaining("full of zero bytes");
    }

    @Test
    void textOfTwoBytesALetterIsReadWithAndWithoutAMark() throws Exception {
        String source = "class Hafen { String \u00fcber = \"\u0142\"; }";
        for (Charset each : List.of(StandardCharsets.UTF_16LE, StandardCharsets.UTF_16BE)) {
            assertThat(decoded(source.getBytes(each)).text()).isEqualTo(source);
            assertThat(decoded(("\uFEFF" + source).getBytes(each)).text()).isEqualTo(source);
        }
        assertThatThrownBy(() -> decoded(new byte[] {(byte) 0xFF, (byte) 0xFE, 97})).hasMessageContaining("begins like UTF-16LE");
    }

    @Test
    void aMissingFileIsToldAsThat() {
        assertThatThrownBy(() -> SourceText.read(FILE)).isInstanceOf(SourceText.NotReadable.class).hasMessage("it is gone");
    }

    @Test
    void oneLetterBeyondAsciiIsReadWhereverItStands() throws Exception {
        for (int length = 1; length < 20; length++) {
            for (int at = 0; at < length; at++) {
                String text = "a".repeat(at) + "\u00e9" + "b".repeat(length - at - 1);
                assertThat(decoded(text.getBytes(StandardCharsets.UTF_8)).text()).isEqualTo(text);
                assertThat(decoded(text.getBytes(StandardCharsets.ISO_8859_1)).latin()).isTrue();
            }
        }
    }

    @Test
    void plainTextOfAnyLengthIsReadAsItIs() throws Exception {
        for (int length = 0; length < 20; length++) {
            String text = "\u0001~".repeat(10).substring(0, length);
            assertThat(decoded(text.getBytes(StandardCharsets.UTF_8)).text()).isEqualTo(text);
        }
    }
}
