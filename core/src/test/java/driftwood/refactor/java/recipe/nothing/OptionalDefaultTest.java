package driftwood.refactor.java.recipe.nothing;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.refactor.java.Attributed;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is put in place of nothing right behind a call can be said at the call, where that comes to the same. */
class OptionalDefaultTest {

    private static Optional<OptionalDefault> of(String statements) {
        Attributed given = Attributed.of("""
                class Roster {
                    static final Roster NOBODY = new Roster();
                    Roster find(String name) { return name.isEmpty() ? null : this; }
                    Roster oldest() { return this; }
                    Roster asked() throws Exception { return this; }
                    Roster of(int turn) { return this; }
                    Roster use(String name, int turn, Roster other) throws Exception {
                        if (turn != 77) { %s }
                        return this;
                    }
                }
                """.formatted(statements));
        List<Call> calls = new Calls(given.workspace()).of(Set.of(given.routine("Roster#find(String)")));
        return OptionalDefault.of(given.workspace(), calls.get(0));
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "Roster one = find(name); if (one == null) { one = oldest(); } return one;",
        "Roster one = find(name); if (one == null) one = oldest(); return one;",
        "Roster one = find(name); if ((one == null)) { one = this.oldest(); } return one;",
        "Roster one; one = find(name); if (one == null) { one = other.oldest(); } return one;",
        "other = find(name); if (other == null) { other = oldest(); } return other;"})
    void whatComesInstead(String statements) {
        assertThat(of(statements)).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "Roster one = find(name); if (one != null) { one = oldest(); } return one;",
        "Roster one = find(name); if (one == null) { one = oldest(); } else { turn++; } return one;",
        "Roster one = find(name); if (one == null) { turn++; one = oldest(); } return one;",
        "Roster one = find(name); if (one == null) { other = oldest(); } return one;",
        "Roster one = find(name); turn++; if (one == null) { one = oldest(); } return one;",
        "Roster one = find(name); if (one == null || turn > 1) { one = oldest(); } return one;",
        "Roster one = find(name); if (one == null) { one = asked(); } return one;",
        "Roster one = find(name); if (one == null) { one = of(turn++); } return one;",
        "Roster one = find(name); if (one == null) { one = null; } return one;",
        "other = oldest(); Roster one = find(name); if (one == null) { one = other.oldest(); } return one;",
        "Roster one = find(name); /* the oldest knows */ if (one == null) { one = oldest(); } return one;",
        "Roster one = find(name); if (one == null) { one = oldest(); /* always there */ } return one;",
        "return find(name);"})
    void whatDoesNotOrDoesMore(String statements) {
        assertThat(of(statements)).isEmpty();
    }
}
