package driftwood.refactor.java.decision;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Arm;
import java.util.List;
import java.util.Optional;

/** Reads {@code if (state != OPEN)}: what is done for all others stands first, and what is done for the one behind it. */
record Inverted(DecisionReader reader) {

    static boolean isOne(IfTree choice) {
        Tree condition = choice.getCondition();
        while (condition instanceof ParenthesizedTree inside) {
            condition = inside.getExpression();
        }
        return condition.getKind() == Tree.Kind.NOT_EQUAL_TO;
    }

    /** @throws Refused where neither side of the comparison is a constant */
    Decision of(TreePath path) {
        IfTree choice = (IfTree) path.getLeaf();
        TreePath condition = DecisionReader.bare(new TreePath(path, choice.getCondition()));
        TreePath left = DecisionReader.bare(new TreePath(condition, ((BinaryTree) condition.getLeaf()).getLeftOperand()));
        TreePath right = DecisionReader.bare(new TreePath(condition, ((BinaryTree) condition.getLeaf()).getRightOperand()));
        if (reader.isConstant(left) == reader.isConstant(right)) {
            throw reader.refused(condition);
        }
        TreePath subject = reader.isConstant(left) ? right : left;
        List<TreePath> label = List.of(reader.isConstant(left) ? left : right);
        TreePath then = new TreePath(path, choice.getThenStatement());
        Arm others = new Arm(List.of(), null, reader.body(then), reader.whole(then));
        if (choice.getElseStatement() != null) {
            TreePath rest = new TreePath(path, choice.getElseStatement());
            return decision(path, reader.to(path), subject, new Arm(label, null, reader.body(rest), reader.whole(rest)), others, false);
        }
        boolean guards = !Completion.canComplete(others.body()) && path.getParentPath().getLeaf() instanceof BlockTree;
        List<TreePath> behind = guards ? reader.behind(path) : List.of();
        if (behind.isEmpty()) {
            return decision(path, reader.to(path), subject, new Arm(label, null, List.of(), new int[] {0, 0}), others, false);
        }
        int end = reader.to(behind.get(behind.size() - 1));
        return decision(path, end, subject, new Arm(label, null, behind, new int[] {reader.begin(behind.get(0)), end}), others, true);
    }

    // driftwood: leave long-parameter-list because a decision has these parts and is made here only
    private Decision decision(TreePath path, int end, TreePath subject, Arm one, Arm others, boolean toEnd) {
        return new Decision(path, reader.workspace().from(path), end, subject, List.of(one), Optional.of(others), false, toEnd, true, false);
    }
}
