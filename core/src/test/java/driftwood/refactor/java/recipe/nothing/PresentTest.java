package driftwood.refactor.java.recipe.nothing;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.ReturnTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.Attributed;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values that are never nothing, and those of which nobody can say so. */
class PresentTest {

    private static TreePath returned(Attributed given) {
        TreePath[] last = new TreePath[1];
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitReturn(ReturnTree back, Void nothing) {
                last[0] = last[0] == null ? new TreePath(getCurrentPath(), back.getExpression()) : last[0];
                return null;
            }
        }.scan(given.body("Roster#use(java.util.List,Object)"), null);
        return last[0];
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            return new Object();                                                              | true
            return "none";                                                                    | true
            return "none " + one;                                                             | true
            return this;                                                                      | true
            return one.toString();                                                            | true
            return made;                                                                      | true
            return given;                                                                     | false
            return later;                                                                     | false
            return one;                                                                       | false
            return one.hashCode() > 2 ? one : "x";                                            | false
            for (Object each : all) { if (each.hashCode() == 1) { return each; } }            | true
            for (Object each : all) { if (each.hashCode() == 1 && ready) { return each; } }   | true
            for (Object each : all) { if (each.hashCode() == 1 OR ready) { return each; } } | false
            for (Object each : all) { if (each != null) { return each; } }                    | false
            for (Object each : all) { if (ready) { return each; } }                           | false
            if (one.hashCode() == 1) { for (Object each : all) { return each; } }             | false
            if (one.hashCode() == 1) { return one; }                                          | true
            if (one.hashCode() == 1) { ready = true; } else { return one; }                   | false
            """)
    void whetherItIsThere(String statements, boolean there) {
        Attributed given = Attributed.of("""
                class Roster {
                    private final Object made = new Object();
                    private final Object given;
                    private Object later = new Object();
                    private boolean ready;
                    Roster(Object given) { this.given = given; }
                    Object use(java.util.List<Object> all, Object one) {
                        if (one != all) { %s }
                        return null;
                    }
                }
                """.formatted(statements.replace(" OR ", " || ")));
        assertThat(Present.is(given.workspace(), returned(given))).isEqualTo(there);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
            for (Object each : all) { return each; }               | true
            for (int i = 0; i < 2; i++) { return all.get(i); }     | false
            Object each = all.get(0); return each;                 | false
            return one;                                            | false
            """)
    void theVariableOfALoopIsTakenToBeThere(String statements, boolean there) {
        Attributed given = Attributed.of("""
                class Roster {
                    Object use(java.util.List<Object> all, Object one) {
                        if (one != all) { %s }
                        return null;
                    }
                }
                """.formatted(statements));
        assertThat(Present.isOfLoop(given.workspace(), returned(given))).isEqualTo(there);
    }
}
