package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.Refactoring.Counts;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which lines a refactoring leaves as they are: its second line changes, and something is put before the fifth. */
class UntouchedTest {
    private static final Refactoring REFACTORING = new Refactoring(List.of(new Stage("first", List.of(), Map.of("A.java", Optional.of("a\nB\nc\nd\nnew\ne\nf\n")), false),
            new Stage("second", List.of(), Map.of("Gone.java", Optional.empty()), false)), Map.of("A.java", "a\nb\nc\nd\ne\nf\n", "Gone.java", "x\ny\n"),
            List.of(), Set.of(), Set.of(), new Counts(0, 0, 0, 0, 0), Optional.empty(), List.of(), Map.of());

    @ParameterizedTest(name = "{0}:{1}-{2} {3}")
    @CsvSource({"A.java, 1, 1, true", "A.java, 2, 2, false", "A.java, 1, 3, false", "A.java, 3, 4, true", "A.java, 4, 5, false", "A.java, 5, 6, true", "A.java, 4, 4, true",
            "Gone.java, 1, 2, false", "Other.java, 1, 900, true"})
    void linesStand(String file, int line, int endLine, boolean stand) {
        assertThat(new Untouched(REFACTORING).has(file, line, endLine)).isEqualTo(stand);
    }
}
