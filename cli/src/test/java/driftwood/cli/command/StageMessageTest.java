package driftwood.cli.command;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.plan.Plan;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a commit says of one stage: no more than is known. */
class StageMessageTest {
    private static final Plan PLAN = new Plan(Plan.FORMAT, "ts-1", "type-switch", "quay.Office#quote(Vessel)", "quay/Office.java", 3, "picks behaviour by the run-time type of vessel in 3 cases",
            "strategy", List.of(), List.of(), List.of(), null, "", Map.of(), "", List.of(), 3, 0, Map.of());

    private static String of(boolean compared, String does, int stage, boolean meant) {
        return new StageMessage(PLAN, compared).of(does, stage, 3, meant);
    }

    @Test
    void theFirstSaysWhyTheOthersWhatTheyArePartOf() {
        assertThat(of(true, "Give each Vessel its own quote()", 0, false)).isEqualTo("""
                Give each Vessel its own quote()

                Part 1 of 3 on the way from type-switch to strategy in
                quay.Office#quote(Vessel): picks behaviour by the run-time type of
                vessel in 3 cases.

                The behaviour is confirmed to be the same.
                """);
        assertThat(of(true, "Let quote() ask the vessel", 1, false)).isEqualTo("""
                Let quote() ask the vessel

                Part 2 of 3 on the way from type-switch to strategy in
                quay.Office#quote(Vessel).

                The behaviour is confirmed to be the same.
                """);
    }

    @ParameterizedTest(name = "compared {0}, meant {1}")
    @CsvSource({"true, false, The behaviour is confirmed to be the same.", "true, true, The change of behaviour is meant.",
        "false, false, It compiles; the behaviour was not compared.", "false, true, It compiles; the behaviour was not compared."})
    void itSaysNoMoreOfTheBehaviourThanIsKnown(boolean compared, boolean meant, String said) {
        assertThat(of(compared, "Let quote() ask the vessel", 2, meant)).endsWith("\n\nThis is the last part. " + said + "\n");
    }

    @ParameterizedTest
    @ValueSource(strings = {"Let quote() answer an Optional, and its callers ask whether there is one at all",
        "Let each of the five routines that ask for the kind hand it on; no more is done"})
    void aLongSubjectGoesOnBelow(String does) {
        String said = of(true, does, 1, false);
        String subject = said.lines().findFirst().orElseThrow();
        assertThat(does).startsWith(subject);
        assertThat(said.replaceAll("\\s+", " ")).containsIgnoringCase(does.substring(subject.length()).replaceFirst("^[,:]? ", ""));
        assertThat(said.lines()).allMatch(each -> each.length() <= 72);
    }
}
