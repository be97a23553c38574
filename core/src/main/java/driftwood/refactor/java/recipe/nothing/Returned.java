package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;

/**
 * What some routines that are one by overriding give back.
 *
 * @param family all of them
 */
record Returned(Workspace workspace, Set<ExecutableElement> family) {

    /** The values that one of them gives back; none where it has no body. */
    List<TreePath> values(TreePath routine) {
        List<TreePath> values = new ArrayList<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitReturn(ReturnTree back, Void nothing) {
                values.add(new TreePath(getCurrentPath(), back.getExpression()));
                return null;
            }

            @Override
            public Void visitLambdaExpression(LambdaExpressionTree inner, Void nothing) {
                return null;
            }

            @Override
            public Void visitClass(ClassTree inner, Void nothing) {
                return null;
            }
        }.scan(routine, null);
        return values;
    }

    /** Whether a call is what one of them gives back as it is, or one way of it. */
    boolean isHandedOn(TreePath call) {
        TreePath child = call;
        TreePath at = call.getParentPath();
        while (at.getLeaf() instanceof ParenthesizedTree || at.getLeaf() instanceof ConditionalExpressionTree choice && choice.getCondition() != child.getLeaf()) {
            child = at;
            at = at.getParentPath();
        }
        return at.getLeaf() instanceof ReturnTree && isWithin(at);
    }

    /** Whether code is directly in one of them. */
    boolean isWithin(TreePath code) {
        TreePath at = code;
        while (at != null && !(at.getLeaf() instanceof MethodTree) && !(at.getLeaf() instanceof LambdaExpressionTree)) {
            at = at.getParentPath();
        }
        return at != null && family.contains(workspace.element(at));
    }
}
