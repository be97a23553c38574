package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Who calls what, and which routines are one by overriding. */
class CallsTest {
    private static final String CHART = "interface Chart { int depth(String at, int by); }";
    private static final String PAPER = "class Paper implements Chart { public int depth(String at, int by) { return by; } }";
    private static final String OLD = "class Old extends Paper { @Override public int depth(String at, int by) { return super.depth(at, by) + 1; } int depth(int by) { return by; } }";

    private static Set<?> family(Attributed given, String symbol) {
        return new Calls(given.workspace()).family(given.routine(symbol));
    }

    @Test
    void aFamilyGoesUpAndDown() {
        Attributed given = Attributed.of(CHART, PAPER, OLD);
        assertThat(family(given, "Paper#depth(String,int)")).hasSize(3);
        assertThat(family(given, "Old#depth(int)")).hasSize(1);
    }

    @Test
    void aRoutineOfALibraryIsNoneOfOurs() {
        Attributed given = Attributed.of("class Name implements Comparable<Name> { public int compareTo(Name other) { return 0; } }");
        assertThatThrownBy(() -> family(given, "Name#compareTo(Name)")).isInstanceOf(Refused.class).hasMessageContaining("which is not of this project");
    }

    @Test
    void aContractThatIsWrittenAsALambdaIsLeft() {
        Attributed given = Attributed.of(CHART, "class Use { Chart chart = (at, by) -> by; }");
        assertThatThrownBy(() -> family(given, "Chart#depth(String,int)")).hasMessageContaining("is written as a lambda at Use.java:1");
    }

    @Test
    void innerCallsComeBeforeThoseAroundThem() {
        Attributed given = Attributed.of("class Sum { static int add(int a, int b) { return a + b; } int three() { return add(1, add(2, 3)) + Sum.add(4, 5); } }");
        List<Call> calls = new Calls(given.workspace()).of(Set.of(given.routine("Sum#add(int,int)")));
        assertThat(calls).extracting(each -> given.workspace().text(each.path())).containsExactly("add(2, 3)", "Sum.add(4, 5)", "add(1, add(2, 3))");
        assertThat(new Calls(given.workspace()).before(calls.get(1))).isEqualTo("Sum.");
        assertThat(new Calls(given.workspace()).before(calls.get(0))).isEmpty();
    }

    @Test
    void chainedConstructorsAndAnonymousClassesAreCalls() {
        Attributed given = Attributed.of("class Rope { Rope(int length) { } Rope() { this(3); } }", "class Wire extends Rope { Wire() { super(4); } Rope other() { return new Rope(5) { }; } }");
        List<Call> calls = new Calls(given.workspace()).of(Set.of(given.routine("Rope#new(int)")));
        assertThat(calls).extracting(each -> given.workspace().text(each.path())).containsExactlyInAnyOrder("this(3)", "super(4)", "new Rope(5) { }");
        assertThat(calls).extracting(Call::isChained).containsExactlyInAnyOrder(true, true, false);
    }

    @Test
    void aRoutineThatIsHandedOnAsAFunctionIsRefused() {
        Attributed given = Attributed.of("class Sum { static int twice(int a) { return a * 2; } java.util.function.IntUnaryOperator f = Sum::twice; }");
        assertThatThrownBy(() -> new Calls(given.workspace()).of(Set.of(given.routine("Sum#twice(int)")))).hasMessage("twice is handed on as a function at Sum.java:1");
    }

    @Test
    void constantsAreMadeWithTheirConstructor() {
        Attributed given = Attributed.of("enum Kind { A(1), B(2); Kind(int by) { } }");
        assertThatThrownBy(() -> new Calls(given.workspace()).of(Set.of(given.routine("Kind#new(int)")))).hasMessage("constants of Kind are made with it");
    }
}
