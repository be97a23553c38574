package driftwood.refactor.java.decision;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.ground.Workspace;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.VariableElement;

/** What a local that the arms of a decision set is before it. */
final class StartValue {
    private static final Set<Tree.Kind> LOOPS = EnumSet.of(Tree.Kind.FOR_LOOP, Tree.Kind.ENHANCED_FOR_LOOP, Tree.Kind.WHILE_LOOP, Tree.Kind.DO_WHILE_LOOP);

    private StartValue() {
    }

    /** The literal that it is declared as, if it is that still where the decision begins, and no arm asks for it; else an empty text. */
    static String of(Workspace workspace, Decision decision, VariableElement variable) {
        TreePath declared = workspace.path(variable).orElseThrow();
        if (!(declared.getLeaf() instanceof VariableTree tree) || !(tree.getInitializer() instanceof LiteralTree literal) || decision.toEnd()
                || !(declared.getParentPath().getLeaf() instanceof BlockTree) || !isReachedOnce(decision.around(), declared.getParentPath())) {
            return "";
        }
        boolean untouched = workspace.uses().of(variable).stream().noneMatch(use -> workspace.from(use) > workspace.to(declared) && workspace.from(use) < decision.from());
        return untouched && decision.all().stream().allMatch(each -> setsFirst(workspace, each, variable)) ? workspace.text(new TreePath(declared, literal)) : "";
    }

    /** Whether nothing between a decision and the block that declares comes to it a second time, or later. */
    private static boolean isReachedOnce(TreePath decision, TreePath block) {
        for (TreePath at = decision; at != null; at = at.getParentPath()) {
            if (at.getLeaf() == block.getLeaf()) {
                return true;
            }
            if (LOOPS.contains(at.getLeaf().getKind()) || at.getLeaf() instanceof LambdaExpressionTree || at.getLeaf() instanceof ClassTree) {
                return false;
            }
        }
        return false;
    }

    /** Whether an arm never asks for it, or gives it a value whatever happens before it does. */
    private static boolean setsFirst(Workspace workspace, Arm arm, VariableElement variable) {
        if (arm.body().stream().flatMap(each -> workspace.uses().of(variable, each).stream()).allMatch(StartValue::isOnlySet)) {
            return true;
        }
        TreePath first = arm.body().stream().filter(each -> !workspace.uses().of(variable, each).isEmpty()).findFirst().orElseThrow();
        List<TreePath> uses = workspace.uses().of(variable, first);
        return first.getLeaf() instanceof ExpressionStatementTree statement && statement.getExpression() instanceof AssignmentTree && uses.size() == 1 && isOnlySet(uses.get(0));
    }

    private static boolean isOnlySet(TreePath use) {
        return use.getParentPath().getLeaf() instanceof AssignmentTree set && set.getVariable() == use.getLeaf();
    }
}
