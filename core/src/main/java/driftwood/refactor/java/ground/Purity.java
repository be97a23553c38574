package driftwood.refactor.java.ground;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import java.util.List;

/** Expressions that may have an effect: their order is part of the behaviour. */
public final class Purity {
    private Purity() {
    }

    /** Whether working an expression out can change or ask for anything that changes. */
    public static boolean mayAct(TreePath expression) {
        boolean[] acts = new boolean[1];
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitMethodInvocation(MethodInvocationTree tree, Void nothing) {
                acts[0] = true;
                return null;
            }

            @Override
            public Void visitNewClass(NewClassTree tree, Void nothing) {
                acts[0] = true;
                return null;
            }

            @Override
            public Void visitAssignment(AssignmentTree tree, Void nothing) {
                acts[0] = true;
                return null;
            }

            @Override
            public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void nothing) {
                acts[0] = true;
                return null;
            }

            @Override
            public Void visitUnary(UnaryTree tree, Void nothing) {
                acts[0] |= tree.getKind().name().startsWith("PREFIX_") || tree.getKind().name().startsWith("POSTFIX_");
                return super.visitUnary(tree, nothing);
            }

            @Override
            public Void visitLambdaExpression(LambdaExpressionTree tree, Void nothing) {
                return null;
            }
        }.scan(expression, null);
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
