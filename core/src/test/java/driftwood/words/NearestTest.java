package driftwood.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NearestTest {
    private static final List<String> WORDS = List.of("scan", "explain", "plan", "confirm", "--format", "type-switch");

    @ParameterizedTest(name = "{0} is probably {1}")
    @CsvSource({"scna, scan", "explian, explain", "confrm, confirm", "--formt, --format", "type-swich, type-switch",
        "plan, plan", "characterise,", "xyz,"})
    void aMistypedWordIsRecognised(String word, String meant) {
        assertThat(Nearest.to(word, WORDS).orElse(null)).isEqualTo(meant);
    }

    @ParameterizedTest(name = "{0} to {1}: {2}")
    @CsvSource({"ab, ab, 0", "ab, ba, 1", "ab, b, 1", "ab, acb, 1", "abc, xyz, 3"})
    void lettersToChangeAreCounted(String one, String other, int distance) {
        assertThat(Nearest.distance(one, other)).isEqualTo(distance);
    }
}
