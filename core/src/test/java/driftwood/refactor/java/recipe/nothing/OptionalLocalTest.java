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

/** Locals whose value is used only where there is one can hold the optional value; others cannot. */
class OptionalLocalTest {

    private static Optional<OptionalLocal> of(String statements) {
        Attributed given = Attributed.of("""
                class Roster {
                    String find(String name) { return name.isEmpty() ? null : name; }
                    String use(String name, int turn) {
                        if (turn != 77) { %s }
                        return "";
                    }
                    void say(String what) { }
                }
                """.formatted(statements));
        List<Call> calls = new Calls(given.workspace()).of(Set.of(given.routine("Roster#find(String)")));
        return OptionalLocal.of(given.workspace(), calls.get(0));
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "String one = find(name); if (one != null) { say(one); }",
        "String one = find(name); if (null != one && turn > 2) { say(one + turn); } else { turn++; }",
        "String one = find(name); if (one == null) { say(\"none\"); } else { say(one); }",
        "String one = find(name); if (one == null) { return \"none\"; } say(one); return one;",
        "String one = find(name); if (one == null || turn == 0) { return \"none\"; } return one.trim();",
        "String one = find(name); return one == null ? \"none\" : one.trim();",
        "String one = find(name); return one != null && one.length() > 2 ? one : \"short\";",
        "String one = find(name); return one == null || one.isEmpty() ? \"none\" : one;",
        "while (turn > 0) { final String one = find(name); if (one == null) { continue; } say(one); turn--; }",
        "String one = find(name); if (one == null) throw new IllegalStateException(); Runnable later = () -> say(one); later.run();",
        "String one = find(name); if (turn > 1) { if ((one != null)) { say(one); } }",
        "String one = find(name); boolean there = one != null;"})
    void allUsesAreAsked(String statements) {
        assertThat(of(statements)).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "String one = find(name); say(one);",
        "String one = find(name); if (one != null) { say(one); } say(one);",
        "String one = find(name); if (one == null) { say(\"none\"); } say(one);",
        "String one = find(name); if (one == null && turn == 0) { return \"none\"; } return one.trim();",
        "String one = find(name); if (one != null || turn == 0) { say(one); }",
        "String one = find(name); if (one == null) { one = \"none\"; } say(one);",
        "String one = find(name); if (turn > 0) { if (one == null) { return \"none\"; } } say(one);",
        "String one = find(name); return one == null ? one : one.trim();",
        "String one = find(name); Runnable later = () -> say(one); later.run();",
        "Object one = find(name); if (one != null) { say(one.toString()); }",
        "String one; one = find(name); if (one != null) { say(one); }",
        "say(find(name));"})
    void someUseIsNot(String statements) {
        assertThat(of(statements)).isEmpty();
    }
}
