package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.decision.Completion;
import java.util.List;
import java.util.function.Predicate;

/**
 * What is reached only where some comparisons with null found a value.
 *
 * @param asked tells these comparisons from all other code
 */
record Guards(Predicate<Tree> asked) {

    /** Whether it compares something with null. */
    static boolean isComparison(Tree tree) {
        return tree instanceof BinaryTree both && (tree.getKind() == Tree.Kind.EQUAL_TO || tree.getKind() == Tree.Kind.NOT_EQUAL_TO)
                && (both.getLeftOperand().getKind() == Tree.Kind.NULL_LITERAL || both.getRightOperand().getKind() == Tree.Kind.NULL_LITERAL);
    }

    /** Whether a use is reached only where there is a value. @param around where to stop looking outwards */
    boolean isThere(TreePath use, TreePath around) {
        for (TreePath at = use; at.getParentPath() != null && at.getLeaf() != around.getLeaf(); at = at.getParentPath()) {
            Tree outer = at.getParentPath().getLeaf();
            if (isArm(outer, at.getLeaf()) || outer instanceof BlockTree block && isLeftBefore(block, at)) {
                return true;
            }
        }
        return false;
    }

    /** Whether a part of a decision is reached only where there is a value. */
    private boolean isArm(Tree decision, Tree arm) {
        if (decision instanceof IfTree choice) {
            return arm == choice.getThenStatement() && says(choice.getCondition(), true) || arm == choice.getElseStatement() && says(choice.getCondition(), false);
        }
        if (decision instanceof ConditionalExpressionTree choice) {
            return arm == choice.getTrueExpression() && says(choice.getCondition(), true) || arm == choice.getFalseExpression() && says(choice.getCondition(), false);
        }
        return decision instanceof BinaryTree both && arm == both.getRightOperand() && (both.getKind() == Tree.Kind.CONDITIONAL_AND && says(both.getLeftOperand(), true)
                || both.getKind() == Tree.Kind.CONDITIONAL_OR && says(both.getLeftOperand(), false));
    }

    /** Whether a statement before, in the same block, leaves where there is nothing. */
    private boolean isLeftBefore(BlockTree block, TreePath child) {
        for (StatementTree each : block.getStatements().subList(0, block.getStatements().indexOf(child.getLeaf()))) {
            if (each instanceof IfTree choice && choice.getElseStatement() == null && says(choice.getCondition(), false)
                    && !Completion.canComplete(List.of(new TreePath(child, choice.getThenStatement())))) {
                return true;
            }
        }
        return false;
    }

    /** Whether a condition that comes to a truth means that there is a value. */
    private boolean says(ExpressionTree condition, boolean truth) {
        if (condition instanceof ParenthesizedTree inside) {
            return says(inside.getExpression(), truth);
        }
        if (condition instanceof BinaryTree both && (both.getKind() == Tree.Kind.CONDITIONAL_AND && truth || both.getKind() == Tree.Kind.CONDITIONAL_OR && !truth)) {
            return says(both.getLeftOperand(), truth) || says(both.getRightOperand(), truth);
        }
        return asked.test(condition) && (condition.getKind() == Tree.Kind.NOT_EQUAL_TO) == truth;
    }
}
