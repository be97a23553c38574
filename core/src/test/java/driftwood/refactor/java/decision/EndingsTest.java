package driftwood.refactor.java.decision;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.java.Attributed;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Arms that all end by giving one variable its value, or by adding to it. */
class EndingsTest {

    private static Outcome ending(String statements, boolean all) {
        Attributed given = Attributed.of("""
                class Till {
                    int sum;
                    long big;
                    String said = "";
                    static int count;
                    int next() { return ++sum; }
                    void take(boolean much) {
                        int local = 0;
                        String word = "";
                        /*here*/ %s
                        sum += local + word.length();
                    }
                }
                """.formatted(statements));
        Decision decision = Decision.at(given.workspace(), given.workspace().path(given.routine("Till#take(boolean)")).orElseThrow(),
                given.workspace().units().get(0).line(given.workspace().units().get(0).text().indexOf("/*here*/")), Decision.Asking.ANYTHING);
        return Outcome.of(given.workspace(), decision, Set.of()).ending(given.workspace(), decision, all);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "if (much) { local += 3; } else { local += sum; }|ADDS|local|local += x();", "if (much) { sum = 3; } else { next(); this.sum = 4; }|SETS|sum|sum = x();",
        "if (much) { this.sum += 3; } else { this.sum += 4; }|ADDS|this.sum|this.sum += x();", "if (much) { count = 3; } else { count = 4; }|SETS|count|count = x();",
        "if (much) { said = \"a\"; } else { throw new IllegalStateException(); }|SETS|said|said = x();", "if (much) { word += \"a\"; } else { word += said; }|ADDS|word|word += x();"})
    void theyEndAlike(String statements, OutcomeKind kind, String target, String use) {
        Outcome outcome = ending(statements, false);
        assertThat(outcome.kind()).isEqualTo(kind);
        assertThat(outcome.target()).isEqualTo(target);
        assertThat(outcome.use("x()")).isEqualTo(use);
        assertThat(outcome.needsOld()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        // what keeps them from it | statements
        "another field|if (much) { sum = 3; } else { big = 4; }", "of two types|if (much) { big += 3; } else { big += 4L; }", "named before|if (much) { sum = sum + 3; } else { sum = 4; }",
        "not the last|if (much) { sum = 3; next(); } else { sum = 4; }", "an arm does nothing|if (much) { sum = 3; }", "work before adding to a field|if (much) { next(); sum += 3; } else { sum += 4; }"})
    void theyDoNot(String why, String statements) {
        assertThat(ending(statements, false).kind()).as(why).isEqualTo(OutcomeKind.ACTS);
    }

    @Test
    void whereThereIsAlwaysAnArmTheRestIsNotMissed() {
        assertThat(ending("if (much) { sum = 3; }", true).kind()).isEqualTo(OutcomeKind.SETS);
    }

    @Test
    void theObjectIsAskedForOnlyByWhatIsBesideTheField() {
        assertThat(ending("if (much) { sum = 3; } else { sum = 4; }", false).asks()).isFalse();
        assertThat(ending("if (much) { sum = 3; } else { sum = next(); }", false).asks()).isTrue();
    }
}
