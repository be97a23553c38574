package driftwood.refactor.java.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.java.Attributed;
import driftwood.refactor.java.ground.Constructors.Filled;
import java.util.List;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.util.ElementFilter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the shorter constructors of a ladder hand to the longest. */
class ConstructorsTest {

    private static List<Filled> filled(String shorter) {
        Attributed given = Attributed.of("""
                class Berth {
                    static final int DEPTH = 4;
                    final String name;
                    final int depth;
                    final boolean tidal;
                    %s
                    Berth(String name, int depth, boolean tidal) { this.name = name; this.depth = depth; this.tidal = tidal; }
                    static int next() { return 3; }
                }
                """.formatted(shorter));
        List<ExecutableElement> all = ElementFilter.constructorsIn(given.workspace().type("Berth").getEnclosedElements());
        ExecutableElement longest = all.get(all.size() - 1);
        return new Constructors(given.workspace(), longest).of(all.get(0));
    }

    private static String told(List<Filled> filled) {
        return filled.stream().map(each -> each.parameter().map(at -> "#" + at).orElse(each.value())).collect(Collectors.joining(", "));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "Berth(String name) { this(name, 4, false); }|#0, 4, false", "Berth(boolean tidal, String name) { this(name, DEPTH, tidal); }|#1, DEPTH, #0",
        "Berth(String name) { this(name, true); } Berth(String name, boolean tidal) { this(name, 7, tidal); }|#0, 7, true",
        "Berth(String name) { this.name = name; depth = 9; tidal = false; }|#0, 9, false", "Berth() { this(\"old\", next(), false); }|\"old\", next(), false"})
    void whatTheyFillIn(String shorter, String told) {
        assertThat(told(filled(shorter))).isEqualTo(told);
    }

    @Test
    void aFillerThatDoesSomethingIsMarked() {
        assertThat(filled("Berth() { this(\"old\", next(), false); }")).extracting(Filled::acts).containsExactly(false, true, false);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "Berth(String name) { this(name.trim(), 4, false); }|works out name.trim() from its own parameters", "Berth(String name) { this(name, 4, false); next(); }|does more than hand its parameters on",
        "Berth(String name) { next(); this.name = name; depth = 9; tidal = false; }|does more than store its parameters"})
    void thoseThatDoMoreAreRefused(String shorter, String why) {
        assertThatThrownBy(() -> filled(shorter)).hasMessageContaining(why);
    }
}
