package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Workspace;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;

/**
 * What is asked whether it is there: a local, or a call that is written again and again.
 *
 * @param local the local; null for a call
 * @param text  the call as it is written; empty for a local
 */
record Asked(Workspace workspace, Element local, String text) {

    boolean is(TreePath path) {
        return path.getLeaf() instanceof ExpressionTree && (local != null ? local.equals(workspace.element(path)) : workspace.text(path).replaceAll("\\s+", "").equals(text));
    }

    /** How often it is named within a tree. */
    int count(TreePath within) {
        int[] times = {0};
        new TreePathScanner<Void, Void>() {
            @Override
            public Void scan(TreePath path, Void nothing) {
                times[0] += is(path) ? 1 : 0;
                return super.scan(path, nothing);
            }

            @Override
            public Void scan(com.sun.source.tree.Tree tree, Void nothing) {
                if (tree != null && getCurrentPath() != null) {
                    times[0] += is(new TreePath(getCurrentPath(), tree)) ? 1 : 0;
                }
                return super.scan(tree, nothing);
            }
        }.scan(within, null);
        return times[0];
    }

    /** The routine that an expression calls on it, and nothing else. */
    Optional<ExecutableElement> called(TreePath expression) {
        if (expression.getLeaf() instanceof MethodInvocationTree call && call.getMethodSelect() instanceof MemberSelectTree select) {
            TreePath on = new TreePath(new TreePath(expression, select), select.getExpression());
            return is(on) && count(expression) == 1 && workspace.element(new TreePath(expression, select)) instanceof ExecutableElement routine ? Optional.of(routine) : Optional.empty();
        }
        return Optional.empty();
    }
}
