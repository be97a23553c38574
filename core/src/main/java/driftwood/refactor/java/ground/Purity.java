package driftwood.refactor.java.ground;

import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreeScanner;
import driftwood.refactor.Refused;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Expressions that may have an effect: their order is part of the behaviour. */
public final class Purity {
    private static final Set<Tree.Kind> ACTING = EnumSet.of(Tree.Kind.METHOD_INVOCATION, Tree.Kind.NEW_CLASS, Tree.Kind.ASSIGNMENT, Tree.Kind.PREFIX_INCREMENT,
            Tree.Kind.PREFIX_DECREMENT, Tree.Kind.POSTFIX_INCREMENT, Tree.Kind.POSTFIX_DECREMENT);

    private Purity() {
    }

    /** Whether working an expression out can change or ask for anything that changes. */
    public static boolean mayAct(TreePath expression) {
        boolean[] acts = new boolean[1];
        new TreeScanner<Void, Void>() {
            @Override
            public Void scan(Tree tree, Void nothing) {
                if (tree == null || tree.getKind() == Tree.Kind.LAMBDA_EXPRESSION) {
                    return null;
                }
                acts[0] |= tree instanceof CompoundAssignmentTree || ACTING.contains(tree.getKind());
                return super.scan(tree, nothing);
            }
        }.scan(expression.getLeaf(), null);
        return acts[0];
    }

    /** @throws Refused where expressions that may act would be worked out in another order */
    public static void refuseReordered(Workspace workspace, List<TreePath> before, List<TreePath> after) {
        List<TreePath> acting = before.stream().filter(after::contains).filter(Purity::mayAct).toList();
        if (!acting.equals(after.stream().filter(Purity::mayAct).toList())) {
            Unit unit = workspace.unit(before.get(0));
            throw new Refused("arguments at " + unit.file() + ":" + unit.line(workspace.from(before.get(0))) + " would be worked out in another order");
        }
    }
}
