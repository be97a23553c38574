package driftwood.refactor.java;

import static driftwood.refactor.java.Attributed.names;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Nulls;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.decision.OutcomeKind;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Decisions of all forms, taken apart, and how their arms hand on what they come to. */
class DecisionTest {
    private Attributed given;

    private Decision decision(String statements) {
        given = Attributed.of("""
                class Gate {
                    enum Kind { TUG, YACHT, BARGE }
                    static final String SLOW = "slow";
                    int passed;
                    int cost(int by) throws java.io.IOException { return by; }
                    int pass(Kind kind, Object what, String word, int nights) throws Exception {
                        int sum = 0;
                        int other;
                        other = 1;
                        /*here*/ %s
                    }
                }
                """.formatted(statements));
        return given.decision("Gate#pass(Kind,Object,String,int)", "/*here*/");
    }

    private List<String> labels(Decision decision) {
        return decision.arms().stream().flatMap(arm -> arm.labels().stream()).map(given.workspace()::text).toList();
    }

    @Test
    void aSwitchWithBreaks() {
        Decision decision = decision("switch (kind) { case TUG: sum = 1; break; case YACHT: case BARGE: sum = 2; break; default: sum = 3; } return sum;");
        assertThat(labels(decision)).containsExactly("TUG", "YACHT", "BARGE");
        assertThat(decision.arms()).hasSize(2);
        assertThat(decision.otherwise()).isPresent();
        assertThat(decision.takesNull()).isFalse();
        assertThat(given.workspace().text(decision.subject())).isEqualTo("kind");
    }

    @Test
    void anArmThatFallsThroughIsRefused() {
        assertThatThrownBy(() -> decision("switch (kind) { case TUG: sum = 1; case YACHT: sum = 2; break; default: } return sum;"))
                .isInstanceOf(Refused.class).hasMessageContaining("falls through");
    }

    @Test
    void aSwitchThatIsAValue() {
        Decision decision = decision("return switch (kind) { case TUG -> 1; case YACHT -> { int own = nights; yield own * 2; } default -> throw new Exception(); };");
        assertThat(decision.isValue()).isTrue();
        Outcome outcome = Outcome.of(given.workspace(), decision, Set.of());
        assertThat(outcome.kind()).isEqualTo(OutcomeKind.VALUE);
        assertThat(names(outcome.needs())).containsExactly("nights");
        assertThat(outcome.thrown()).hasToString("[java.lang.Exception]");
        assertThat(outcome.code(given.workspace(), decision.arms().get(1), each -> Optional.empty(), Object::toString)).isEqualTo("int own = nights; return own * 2;");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "what instanceof String;true", "kind == Kind.TUG;true", "Kind.TUG == kind;true", "SLOW.equals(word);true", "word.equals(SLOW);false", "word.equals(\"x\");false",
        "kind == Kind.TUG || kind == Kind.BARGE;true"})
    void conditionsAreTestsOfOneSubject(String condition, boolean takesNull) {
        Decision decision = decision("if (" + condition + ") { sum = 1; } else { sum = 2; } return sum;");
        assertThat(decision.takesNull()).isEqualTo(takesNull);
        assertThat(decision.arms()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"nights > 3", "word.equals(what)", "kind == Kind.TUG && nights > 1", "word == null", "!word.isEmpty()"})
    void otherConditionsAreNone(String condition) {
        assertThatThrownBy(() -> decision("if (" + condition + ") { sum = 1; } else { sum = 2; } return sum;")).isInstanceOf(Refused.class);
    }

    @Test
    void armsThatAskAboutDifferentThingsAreRefused() {
        assertThatThrownBy(() -> decision("if (kind == Kind.TUG) { sum = 1; } else\nif (word.equals(\"x\")) { sum = 2; } return sum;"))
                .hasMessageContaining("different things: kind and word");
    }

    @Test
    void guardsInARowGoOnToTheEnd() {
        Decision decision = decision("if (kind == Kind.TUG) { return 1; }\nif (kind == Kind.YACHT) { passed++; return 2; } sum++; return sum;");
        assertThat(labels(decision)).containsExactly("Kind.TUG", "Kind.YACHT");
        assertThat(decision.toEnd()).isTrue();
        assertThat(decision.otherwise().orElseThrow().body()).hasSize(2);
        Outcome outcome = Outcome.of(given.workspace(), decision, Set.of());
        assertThat(outcome.kind()).isEqualTo(OutcomeKind.RETURNS);
        assertThat(names(outcome.needs())).as("nothing sees that it is set").containsExactly("sum");
    }

    @Test
    void aLocalThatAHandlerAroundSeesIsShared() {
        Decision decision = decision("try {\n/*here*/ if (kind == Kind.TUG) { sum = 1; return 1; } else { sum = 2; return cost(2); }\n} finally { passed = sum; }".replace("/*here*/", ""), 1);
        assertThatThrownBy(() -> Outcome.of(given.workspace(), decision, Set.of())).hasMessage("the arms share locals that they set: sum");
    }

    @Test
    void aGuardThatGoesOnIsNoMoreOfTheRow() {
        Decision decision = decision("if (kind == Kind.TUG) { return 1; } if (kind == Kind.YACHT) { passed++; } return 0;");
        assertThat(labels(decision)).containsExactly("Kind.TUG");
    }

    @Test
    void armsThatSetOneLocalHandItOn() {
        Decision decision = decision("if (kind == Kind.TUG) { sum = cost(1); } else if (kind == Kind.YACHT) { sum += 2; } return sum;");
        Outcome outcome = Outcome.of(given.workspace(), decision, Set.of());
        assertThat(outcome.kind()).isEqualTo(OutcomeKind.SETS);
        assertThat(outcome.variable().getSimpleName()).hasToString("sum");
        assertThat(outcome.needsOld()).as("one arm adds to it, and others leave it").isTrue();
        assertThat(outcome.asks()).isTrue();
        assertThat(outcome.thrown()).hasToString("[java.io.IOException]");
        assertThat(outcome.use("x()")).isEqualTo("sum = x();");
        assertThat(outcome.nothing()).isEqualTo("return sum;");
    }

    @Test
    void armsThatShareLocalsAreRefused() {
        Decision decision = decision("if (kind == Kind.TUG) { sum = 1; other = 2; } else { sum = 2; other = 3; } return sum + other;");
        assertThatThrownBy(() -> Outcome.of(given.workspace(), decision, Set.of())).hasMessage("the arms share locals that they set: sum, other");
    }

    @Test
    void someReturnAndOthersGoOn() {
        Decision decision = decision("if (kind == Kind.TUG) { return 1; } else { passed++; } return 0;");
        assertThatThrownBy(() -> Outcome.of(given.workspace(), decision, Set.of())).hasMessageContaining("after others it goes on");
    }

    @Test
    void aJumpOutOfALoopIsRefused() {
        Decision decision = decision("for (int i = 0; i < nights; i++) {\n/*loop*/ if (kind == Kind.TUG) { passed++; continue; } else if (kind == Kind.YACHT) { passed--; } } return 0;".replace("/*loop*/", ""), 1);
        assertThatThrownBy(() -> Outcome.of(given.workspace(), decision, Set.of())).hasMessage("an arm jumps out of the loop around it");
    }

    /** The decision some lines below. */
    private Decision decision(String statements, int below) {
        given = Attributed.of("class Gate {\n enum Kind { TUG, YACHT }\n int passed;\n int cost(int by) { return by; }\n int pass(Kind kind, int nights) { int sum = 0;\n" + statements + "\n}\n}\n");
        return Decision.at(given.workspace(), given.workspace().path(given.routine("Gate#pass(Kind,int)")).orElseThrow(), 6 + below, Decision.Asking.CONSTANTS);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"|true", "passed = what.hashCode();|false", "if (nights > 1) { passed = what.hashCode(); }|true",
        "boolean b = nights > 1 && what.hashCode() > 2;|true"})
    void aSubjectThatIsAskedBeforeIsNotNull(String before, boolean may) {
        given = Attributed.of("class Gate {\n int passed;\n int pass(Object what, int nights) {\n" + (before == null ? "" : before)
                + "\n/*here*/ if (what instanceof String) { return 1; } else { return 2; }\n}\n}\n");
        Decision decision = given.decision("Gate#pass(Object,int)", "/*here*/");
        assertThat(Nulls.mayBe(given.workspace(), decision)).isEqualTo(may);
    }

    @Test
    void aPrivateFieldThatOnlyGetsValuesIsNotNull() {
        given = Attributed.of("""
                class Gate {
                    enum Kind { TUG, YACHT }
                    private Kind kind = Kind.TUG;
                    private Kind set = Kind.TUG;
                    void turn(Kind other) { kind = Kind.YACHT; set = other; }
                    int one() {
                        /*one*/ if (kind == Kind.TUG) { return 1; } else { return 2; }
                    }
                    int two() {
                        /*two*/ if (set == Kind.TUG) { return 1; } else { return 2; }
                    }
                }
                """);
        assertThat(Nulls.mayBe(given.workspace(), given.decision("Gate#one()", "/*one*/"))).isFalse();
        assertThat(Nulls.mayBe(given.workspace(), given.decision("Gate#two()", "/*two*/"))).isTrue();
    }
}
