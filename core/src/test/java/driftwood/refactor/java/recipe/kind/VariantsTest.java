package driftwood.refactor.java.recipe.kind;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.java.Attributed;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The kinds that a decision tells apart, and whether each kind there is has an arm. */
class VariantsTest {

    private static Variants of(String parameter, String statements) {
        return of("abstract class Ship { }", parameter, statements);
    }

    private static Variants of(String base, String parameter, String statements) {
        Attributed given = Attributed.of("class Gate { int all; void pass(" + parameter + ") {\n/*here*/ " + statements + "\n} }", base, "class Tug extends Ship { int pull; }",
                "class Barge extends Ship { int load; }", "class Lighter extends Barge { }", "enum Flag { RED, GREEN }", "interface Signal { void give(); }", "class Horn implements Signal { public void give() { } }");
        String type = parameter.replaceAll(" .*", "").replaceAll(".*\\.", "");
        return Variants.of(given.workspace(), given.decision("Gate#pass(" + type + ")", "/*here*/"), "");
    }

    private static List<String> names(Variants variants) {
        return variants.arms().keySet().stream().map(each -> each.getSimpleName().toString()).toList();
    }

    @Test
    void typesAndTheirCommonParent() {
        Variants kinds = of("Ship ship", "if (ship instanceof Tug) { all++; } else if (ship instanceof Barge) { all--; }");
        assertThat(kinds.base().getSimpleName()).hasToString("Ship");
        assertThat(names(kinds)).containsExactly("Tug", "Barge");
        assertThat(kinds.areAll()).as("a lighter is a barge").isTrue();
        assertThat(kinds.areConstants()).isFalse();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "abstract class Ship { }|if (ship instanceof Tug) { all++; }|false", "abstract class Ship { }|if (ship instanceof Tug) { all++; } else if (ship instanceof Barge) { all--; } else { all = 0; }|false",
        "abstract class Ship { }|if (ship instanceof Tug) { all++; } else if (ship instanceof Barge) { all--; } else { throw new IllegalStateException(); }|true",
        "class Ship { }|if (ship instanceof Tug) { all++; } else if (ship instanceof Barge) { all--; }|false"})
    void allKindsHaveAnArmOrNot(String base, String statements, boolean all) {
        assertThat(of(base, "Ship ship", statements).areAll()).isEqualTo(all);
    }

    @Test
    void constantsOfAnEnum() {
        Variants kinds = of("Flag flag", "switch (flag) { case RED: all++; break; case GREEN: all--; break; }");
        assertThat(kinds.areConstants()).isTrue();
        assertThat(kinds.areAll()).isTrue();
        assertThat(of("Flag flag", "switch (flag) { case RED: all++; break; default: }").areAll()).isFalse();
    }

    @Test
    void whoIsCastInTheRestIsAKindOfItsOwn() {
        Variants kinds = of("Ship ship", "if (ship instanceof Tug) { all++; } else { all += ((Barge) ship).load; }");
        assertThat(names(kinds)).containsExactly("Tug", "Barge");
        assertThat(kinds.decision().otherwise()).isEmpty();
        assertThat(kinds.areAll()).isTrue();
    }

    @Test
    void theRestStaysWhereACastIsNotSure() {
        assertThat(names(of("class Ship { }", "Ship ship", "if (ship instanceof Tug) { all++; } else { all += ((Barge) ship).load; }"))).as("a ship may be neither").containsExactly("Tug");
        assertThat(names(of("Ship ship", "if (ship instanceof Tug) { all++; } else { all++; all += ((Barge) ship).load; }"))).as("nothing fails later today").containsExactly("Tug");
    }

    @Test
    void aContractThatALambdaCouldFulfilIsNeverComplete() {
        assertThat(of("Signal signal", "if (signal instanceof Horn) { all++; }").areAll()).isFalse();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "no lambda in sight     | interface Ship { void sail(); }                                                                   | true",
        "a lambda stands for it | interface Ship { void sail(); } class Ghosts { Ship one = () -> { }; }                            | false",
        "a routine does         | interface Ship { void sail(); } class Ghosts { void go() { } Ship one = this::go; }               | false",
        "meant for lambdas      | @FunctionalInterface interface Ship { void sail(); }                                              | false",
        "another contract's     | interface Ship { void sail(); } class Ghosts { Runnable one = () -> { }; }                        | true"})
    void theRestOfAContractIsAKindWhereItIsCast(String what, String base, boolean taken) {
        Attributed given = Attributed.of("class Gate { int all; void pass(Ship ship) {\n/*here*/ if (ship instanceof Tug) { all++; } else { all += ((Barge) ship).load; }\n} }", base,
                "class Tug implements Ship { public void sail() { } }", "class Barge implements Ship { int load; public void sail() { } }");
        Variants kinds = Variants.of(given.workspace(), given.decision("Gate#pass(Ship)", "/*here*/"), "");
        assertThat(names(kinds)).hasSize(taken ? 2 : 1);
        assertThat(kinds.areAll()).isEqualTo(taken);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "Ship ship|if (ship instanceof Barge) { all++; } else if (ship instanceof Lighter) { all--; }|the arm for Lighter is never reached: the one for Barge stands before it",
        "Object what|if (what instanceof Tug) { all++; }|Object is a type of a library: nothing can be added to it",
        "String word|switch (word) { case \"a\": all++; break; default: }|the variants are values such as \"a\", which cannot have behaviour of their own",
        "int turn|switch (turn) { case 1: all++; break; default: }|the variants are values such as 1", "Ship ship|if (ship instanceof Ship) { all++; }|one of the arms is for every Ship"})
    void whatCannotHaveBehaviour(String parameter, String statements, String why) {
        assertThatThrownBy(() -> of(parameter, statements)).hasMessageContaining(why);
    }
}
