package driftwood.refactor.java;

import static driftwood.refactor.java.Attributed.names;
import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.BlockTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Captures;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What code uses of what is around it. */
class CapturesTest {

    /** Of the statements of a routine from the second on: those before it are around. */
    private static Captures captures(String statements) {
        Attributed given = Attributed.of("""
                class Quay extends Wharf {
                    static final int RATE = 3;
                    private int stays;
                    private static int all;
                    int note(int by) { return by; }
                    <T> void run(int nights, String who, java.util.List<T> things) {
                        int sum = 0, other = 1;
                        %s
                    }
                }
                class Wharf { int depth; void moor() { } }
                """.formatted(statements));
        TreePath body = given.body("Quay#run(int,String,List)");
        List<TreePath> code = ((BlockTree) body.getLeaf()).getStatements().stream().skip(2).map(each -> new TreePath(body, each)).toList();
        return Captures.of(given.workspace(), code);
    }

    @Test
    void localsThatAreReadAndWrittenAreToldApart() {
        Captures captures = captures("sum += nights; int own = sum; own++;");
        assertThat(names(captures.read())).containsExactly("sum", "nights");
        assertThat(names(captures.written())).containsExactly("sum");
        assertThat(names(captures.declared())).containsExactly("own");
        assertThat(captures.needsObject()).isFalse();
    }

    @Test
    void membersOfTheObjectAreFoundWithAndWithoutThis() {
        Captures captures = captures("stays++; this.note(depth); moor(); sum = RATE + all;");
        assertThat(names(captures.members())).containsExactlyInAnyOrder("stays", "note", "depth", "moor");
        assertThat(names(captures.statics())).containsExactlyInAnyOrder("RATE", "all");
        assertThat(names(captures.hidden())).containsExactlyInAnyOrder("stays", "all");
        assertThat(captures.needsObject()).isTrue();
    }

    @Test
    void membersOfClassesWithinAreTheirOwn() {
        Captures captures = captures("Object o = new Object() { int count; public String toString() { count++; return this.count + who; } }; o.hashCode();");
        assertThat(captures.members()).isEmpty();
        assertThat(names(captures.read())).containsExactly("who");
        assertThat(captures.namesThis()).isFalse();
    }

    @Test
    void theObjectHandedOnIsToldFromOneItsMemberIsAskedOf() {
        assertThat(captures("System.out.println(this);").namesThis()).isTrue();
        assertThat(captures("this.stays = 2;").namesThis()).isFalse();
        assertThat(captures("super.moor();").asksSuper()).isTrue();
    }

    @Test
    void returnsOfALambdaAreItsOwn() {
        assertThat(captures("java.util.function.Supplier<Integer> s = () -> { return nights; }; s.get();").returns()).isEmpty();
        assertThat(captures("if (sum > 0) { return; }").returns()).hasSize(1);
    }

    @Test
    void jumpsLeaveOnlyWhereTheirTargetIsAround() {
        assertThat(captures("for (int i = 0; i < nights; i++) { if (i > 3) { break; } continue; }").leaves()).isEmpty();
        assertThat(captures("switch (nights) { case 1: sum = 1; break; default: sum = 2; }").leaves()).isEmpty();
        assertThat(captures("out: for (;;) { for (;;) { break out; } }").leaves()).isEmpty();
    }

    @Test
    void typeParametersOfTheRoutineAreTold() {
        assertThat(names(captures("T first = things.get(0); first.hashCode();").variables())).containsExactly("T");
    }
}
