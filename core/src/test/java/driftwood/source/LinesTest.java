package driftwood.source;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LinesTest {
    private final Lines lines = new Lines("one\ntwo\r\n\nfour");

    @ParameterizedTest
    @CsvSource({"0, 1", "3, 1", "4, 2", "8, 2", "9, 3", "10, 4", "13, 4", "99, 4", "-5, 1"})
    void offsetsHaveLines(int offset, int line) {
        assertThat(lines.lineOf(offset)).isEqualTo(line);
    }

    @Test
    void linesComeWithoutTheirBreaks() {
        assertThat(lines.line(2)).isEqualTo("two");
        assertThat(lines.line(3)).isEmpty();
        assertThat(lines.line(9)).isEmpty();
        assertThat(lines.startOf(4)).isEqualTo(10);
    }

    @Test
    void aFinalBreakBeginsNoLine() {
        assertThat(new Lines("a\nb\n").count()).isEqualTo(2);
        assertThat(new Lines("a\nb").count()).isEqualTo(2);
        assertThat(new Lines("").count()).isZero();
    }
}
