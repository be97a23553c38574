package driftwood.behaviour;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.Recording.Case;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
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

    @Test
    void aCaseThatTellsNothingOfItsOwnIsNotKept() {
        assertThat(numbers(Kept.telling(giving(1, 1, 2, 1, 2), 10, Set.of(), Set.of()))).containsExactly(0, 2);
    }

    @Test
    void whatNoticesASlipOrTakesABranchOfItsOwnIsAlwaysKept() {
        assertThat(numbers(Kept.telling(giving(1, 1, 1, 1, 1), 1, Set.of(3), Set.of(1)))).containsExactly(1, 3);
    }

    @Test
    void otherOutcomesFillUpToTheWantedNumber() {
        assertThat(numbers(Kept.telling(giving(1, 2, 3, 4), 2, Set.of(3), Set.of()))).containsExactly(0, 3);
    }

    @Test
    void withoutAnyMeasurementTheRestIsTakenToo() {
        assertThat(numbers(Kept.first(giving(1, 1, 2), 3))).containsExactly(0, 1, 2);
        assertThat(numbers(Kept.first(giving(1, 1, 2), 2))).containsExactly(0, 2);
    }

    @Test
    void keptCasesAreNumberedAnew() {
        assertThat(Kept.telling(giving(1, 1, 2), 5, Set.of(), Set.of())).extracting(Case::id).containsExactly("c1", "c2");
    }
}
