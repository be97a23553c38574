package driftwood.behaviour.search;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.slip.TrialResults.Passed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class KeptTest {

    /** Cases of one routine that give these numbers, each called with its own number in the list. */
    private static List<Case> giving(int... results) {
        List<Case> cases = new ArrayList<>();
        for (int result : results) {
            ObjectNode given = JsonNodeFactory.instance.objectNode().put("at", cases.size());
            cases.add(new Case("x", "quay.Tide#at(int)", null, List.of(), given,
                    JsonNodeFactory.instance.objectNode().put("gives", result), List.of(), List.of()));
        }
        return cases;
    }

    private static List<Integer> numbers(List<Case> kept) {
        return kept.stream().map(each -> each.given().get("at").asInt()).toList();
    }

    /** With as many passes as there are cases, each with its outcome for a signature. */
    private static List<Case> telling(List<Case> pool, int most, Set<Integer> noticing, Set<Integer> covering) {
        List<Passed> passed = pool.stream().map(each -> new Passed(Map.of(), 1, each.outcome().hashCode(), List.of(), List.of(), List.of()))
                .toList();
        Set<Integer> needed = new TreeSet<>(noticing);
        needed.addAll(covering);
        return Kept.telling(pool, passed, most, needed);
    }

    @Test
    void aCaseThatTellsNothingOfItsOwnIsNotKept() {
        assertThat(numbers(telling(giving(1, 1, 2, 1, 2), 10, Set.of(), Set.of()))).containsExactly(0, 2);
    }

    @Test
    void whatNoticesASlipOrTakesABranchOfItsOwnIsAlwaysKept() {
        assertThat(numbers(telling(giving(1, 1, 1, 1, 1), 1, Set.of(3), Set.of(1)))).containsExactly(1, 3);
    }

    @Test
    void otherOutcomesFillUpToTheWantedNumber() {
        assertThat(numbers(telling(giving(1, 2, 3, 4), 2, Set.of(3), Set.of()))).containsExactly(0, 3);
    }

    @Test
    void withoutAnyMeasurementTheRestIsTakenToo() {
        assertThat(numbers(Kept.first(giving(1, 1, 2), 3))).containsExactly(0, 1, 2);
        assertThat(numbers(Kept.first(giving(1, 1, 2), 2))).containsExactly(0, 2);
    }

    @Test
    void keptCasesAreNumberedAnew() {
        assertThat(Kept.numbered(giving(1, 2))).extracting(Case::id).containsExactly("c1", "c2");
    }
}
