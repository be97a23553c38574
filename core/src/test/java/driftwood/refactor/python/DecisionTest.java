package driftwood.refactor.python;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.refactor.Refused;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Labels;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Outcome;
import driftwood.refactor.python.ground.Outcome.Kind;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Decisions as they stand in functions: their arms, what they ask, and how they end. */
class DecisionTest {
    private static final String HEAD = "def quote(self, kind, nights, log):\n    base = nights * 2\n";

    /** A decision on the third line of a function. @param guards how many statements it can be */
    private static Decision decision(String statements, int guards) {
        return Decision.of(new Module("quay.py", HEAD + ("~" + statements.replace("\\n", "\n~")).replace("~", "    ") + "\n", false), 3, guards);
    }

    private static Outcome outcome(String statements) {
        Decision decision = decision(statements, 2);
        return Outcome.of(decision, decision.arms().stream().map(Decision.Arm::body).toList());
    }

    @Test
    void guardsThatFollowOneAnotherAreOneDecision() {
        Decision decision = decision("if kind == 1:\\n~return 1\\nif kind == 2:\\n~return 2\\nlog.append(kind)\\nreturn 3", 2);
        assertThat(decision.arms()).hasSize(2);
        assertThat(decision.isOtherwiseBehind()).isTrue();
        assertThat(decision.otherwise().orElseThrow().moved("  ")).isEqualTo("  log.append(kind)\n  return 3");
    }

    @Test
    void moreStatementsThanAskedForStayOutside() {
        assertThat(decision("if kind == 1:\\n~return 1\\nif kind == 2:\\n~return 2\\nreturn 3", 1).arms()).hasSize(1);
    }

    @Test
    void commentsTravelWithTheirArms() {
        Decision decision = decision("if kind == 1:  # one\\n~# first\\n~go()\\n~# last\\n# two\\nelif kind == 2: stop()\\nelse:  # none\\n~pass", 1);
        assertThat(decision.arms().get(0).body().moved("")).isEqualTo("# one\n# first\ngo()\n# last");
        assertThat(decision.arms().get(1).body().moved("  ")).isEqualTo("  # two\n  stop()");
        assertThat(decision.otherwise().orElseThrow().moved("")).isEqualTo("# none\npass");
    }

    @Test
    void linesWithinATextAreNotMoved() {
        Decision decision = decision("if kind == 1:\\n~text = '''a\\n  b'''\\n~log.append(text)", 1);
        assertThat(decision.arms().get(0).body().moved("  ")).contains("\n      b'''\n  log");
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            if kind == 1:\\n~return base\\nelse:\\n~return nights            | RETURNS |       | base
            if kind == 1:\\n~log.append(1)\\nelse:\\n~log.clear()            | ACTS    |       | log
            if kind == 1:\\n~base = 1\\nelse:\\n~base = nights\\nlog.append(base) | SETS | base = |
            if kind == 1:\\n~base += nights\\nelse:\\n~base += 2\\nlog.append(base) | SETS | base += | nights
            if kind == 1:\\n~for n in log: base += n\\nelse:\\n~base = 2\\nlog.append(base) | SETS | base = | log base
            if kind == 1:\\n~own = nights\\n~return own\\nreturn base        | RETURNS |       | nights
            if kind == 1:\\n~raise KeyError(kind)\\nelse:\\n~base = nights\\nlog.append(base) | RETURNS |     | kind
            """)
    void armsEndInOneWay(String statements, Kind kind, String stored, String captured) {
        Outcome outcome = outcome(statements);
        assertThat(outcome.kind()).isEqualTo(kind);
        assertThat(outcome.stored()).isEqualTo(stored == null ? "" : stored);
        assertThat(outcome.captured()).containsExactlyElementsOf(captured == null ? List.of() : List.of(captured.split(" ")));
    }

    @ParameterizedTest(name = "{1}")
    @CsvSource(delimiter = '|', textBlock = """
            if kind == 1:\\n~base = 1\\n~nights = 2\\nelse:\\n~base = 2\\n~nights = 1\\nlog.append(base + nights) | set several locals
            if kind == 1:\\n~return 1\\nelif kind == 2:\\n~log.clear()\\nlog.append(1)     | one arm leaves the function and another goes on
            if kind == 1:\\n~yield 1\\nelse:\\n~log.clear()                                | waits or yields
            if kind == 1:\\n~super().go()\\nelse:\\n~log.clear()                           | only the place where it stands
            if kind == 1:\\n~own = 1\\n~log.clear()\\nelse:\\n~own = 2\\nlog.append(own) | does not end by setting own
            """)
    void armsThatCannotStandAloneAreRefused(String statements, String because) {
        assertThatThrownBy(() -> outcome(statements)).isInstanceOf(Refused.class).hasMessageContaining(because);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            if kind == 'a':\\n~go()\\nelif 'b' == kind or kind == 'c':\\n~go() | kind      | ['a'] ['b', 'c']
            if self.kind in (RED, Flag.BLUE):\\n~go()                          | self.kind | [RED, Flag.BLUE]
            match kind:\\n~case 1 or 2:\\n~~go()\\n~case Kind.TUG:\\n~~go()     | kind      | [1, 2] [Kind.TUG]
            """)
    void keysAreReadFromEveryForm(String statements, String subject, String labels) {
        Decision decision = decision(statements.replace("1 or 2:", "1 | 2:"), 1);
        Labels read = Labels.equal(decision);
        assertThat(decision.module().text(read.subject())).isEqualTo(subject);
        assertThat(String.join(" ", read.byArm().stream().map(each -> each.stream().map(decision.module()::text).toList().toString()).toList())).isEqualTo(labels);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            if kind > 3:\\n~go()                                 | is no key of a table
            if kind == 1 and nights:\\n~go()                     | is no key of a table
            if kind == nights:\\n~go()                           | is no key of a table
            if kind == 1:\\n~go()\\nelif nights == 2:\\n~go()    | ask about different things
            if kind.next() == 1:\\n~go()\\nelif kind.next() == 2:\\n~go() | computed anew for each arm
            match kind:\\n~case 1 if nights:\\n~~go()            | has a condition of its own
            """)
    void whatIsNoKeyIsRefused(String statements, String because) {
        assertThatThrownBy(() -> Labels.equal(decision(statements, 1))).isInstanceOf(Refused.class).hasMessageContaining(because);
    }

    @Test
    void whatIsSetIsGivenBackInstead() {
        Decision decision = decision("if kind == 1:\\n~log.clear()\\n~base = (nights +\\n~~1)  # one more\\nelse:\\n~base = 2\\nlog.append(base)", 1);
        Body body = decision.arms().get(0).body();
        assertThat(body.returning("  ", "base =")).isEqualTo("  log.clear()\n  return (nights +\n      1)  # one more");
        assertThat(body.exits()).isFalse();
    }
}
