package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Reads guards against nothing, where all they do for nothing is what a neutral object could do. */
final class GuardReader {
    static final Set<Tree.Kind> LOOPS = Set.of(Tree.Kind.ENHANCED_FOR_LOOP, Tree.Kind.FOR_LOOP, Tree.Kind.WHILE_LOOP, Tree.Kind.DO_WHILE_LOOP);
    private final Answers answers;

    GuardReader(Answers answers) {
        this.answers = answers;
    }

    /**
     * A guard around calls.
     *
     * @param whole what goes
     * @param kept  the parts of it that stay in its place, side by side; none where all of it goes
     * @param gone  the statement behind it that goes with it; null where there is none
     * @param reach where what is asked is known to be there
     */
    record Guard(TreePath whole, List<TreePath> kept, TreePath gone, List<TreePath> reach) {
        private static Guard of(TreePath whole, TreePath kept) {
            return new Guard(whole, List.of(kept), null, List.of(whole));
        }
    }

    /** The guard whose condition a use stands in; null where it stands in none that is understood. */
    Guard guard(TreePath use, Asked asked) {
        TreePath test = use.getParentPath();
        if (!(test.getLeaf() instanceof BinaryTree both) || both.getKind() != Tree.Kind.NOT_EQUAL_TO && both.getKind() != Tree.Kind.EQUAL_TO
                || !isNull(both.getLeftOperand()) && !isNull(both.getRightOperand())) {
            return null;
        }
        boolean there = both.getKind() == Tree.Kind.NOT_EQUAL_TO;
        TreePath at = around(test);
        if (at.getLeaf() instanceof BinaryTree logic) {
            return logical(test, at, logic, asked, there);
        }
        if (at.getLeaf() instanceof ConditionalExpressionTree choice) {
            TreePath call = new TreePath(at, there ? choice.getTrueExpression() : choice.getFalseExpression());
            Tree nothing = there ? choice.getFalseExpression() : choice.getTrueExpression();
            return answers.are(call, asked, nothing) ? Guard.of(at, call) : null;
        }
        return at.getLeaf() instanceof IfTree branch ? there ? whereThere(at, branch, asked) : whereNothing(at, branch, asked) : null;
    }

    static TreePath around(TreePath path) {
        TreePath at = path.getParentPath();
        while (at.getLeaf() instanceof ParenthesizedTree) {
            at = at.getParentPath();
        }
        return at;
    }

    /** {@code x != null && x.isOpen()}, perhaps with more in front of it: only the question stays. */
    private Guard logical(TreePath test, TreePath at, BinaryTree logic, Asked asked, boolean there) {
        Tree.Kind sign = there ? Tree.Kind.CONDITIONAL_AND : Tree.Kind.CONDITIONAL_OR;
        boolean first = strip(logic.getLeftOperand()) == test.getLeaf();
        TreePath whole = first ? at : around(at);
        if (logic.getKind() != sign || !(whole.getLeaf() instanceof BinaryTree outer) || outer.getKind() != sign || !first && strip(outer.getLeftOperand()) != logic) {
            return null;
        }
        TreePath question = new TreePath(whole, outer.getRightOperand());
        if (!answers.isTruth(question, asked, !there)) {
            return null;
        }
        List<TreePath> reach = new ArrayList<>(List.of(whole));
        TreePath top = whole;
        while (top.getLeaf().getKind() == sign && around(top).getLeaf().getKind() == sign) {
            top = around(top);
        }
        reach.add(top);
        if (there && around(top).getLeaf() instanceof IfTree branch) {
            reach.add(new TreePath(around(top), branch.getThenStatement()));
        } else if (there && around(top).getLeaf() instanceof ConditionalExpressionTree choice) {
            reach.add(new TreePath(around(top), choice.getTrueExpression()));
        }
        return new Guard(first ? whole : at, List.of(first ? question : new TreePath(at, logic.getLeftOperand())), null, reach);
    }

    private Guard whereThere(TreePath at, IfTree branch, Asked asked) {
        List<TreePath> then = statements(new TreePath(at, branch.getThenStatement()));
        TreePath otherwise = branch.getElseStatement() == null ? null : new TreePath(at, branch.getElseStatement());
        if (otherwise == null && !then.isEmpty() && then.stream().allMatch(each -> isPlainCall(each, asked) || isSum(each, asked))) {
            return new Guard(at, then, null, List.of(at));
        }
        if (then.size() != 1) {
            return null;
        }
        TreePath next = otherwise == null ? beside(at, 1) : only(otherwise);
        if (then.get(0).getLeaf() instanceof ReturnTree back && back.getExpression() != null && next != null && next.getLeaf() instanceof ReturnTree rest) {
            boolean same = answers.are(new TreePath(then.get(0), back.getExpression()), asked, rest.getExpression());
            return same ? new Guard(at, then, otherwise == null ? next : null, List.of(at)) : null;
        }
        TreePath other = otherwise == null ? beside(at, -1) : only(otherwise);
        return stores(then.get(0), other, asked) ? new Guard(at, then, null, List.of(at)) : null;
    }

    private Guard whereNothing(TreePath at, IfTree branch, Asked asked) {
        TreePath then = only(new TreePath(at, branch.getThenStatement()));
        if (then == null) {
            return null;
        }
        if (branch.getElseStatement() != null) {
            TreePath otherwise = only(new TreePath(at, branch.getElseStatement()));
            boolean same = otherwise != null && (stores(otherwise, then, asked) || otherwise.getLeaf() instanceof ReturnTree back && back.getExpression() != null && then.getLeaf() instanceof ReturnTree none
                    && answers.are(new TreePath(otherwise, back.getExpression()), asked, none.getExpression()));
            return same ? new Guard(at, List.of(otherwise), null, List.of(at)) : null;
        }
        TreePath next = beside(at, 1);
        if (then.getLeaf() instanceof ReturnTree back && back.getExpression() != null && next != null && next.getLeaf() instanceof ReturnTree rest && rest.getExpression() != null) {
            return answers.are(new TreePath(next, rest.getExpression()), asked, back.getExpression()) ? new Guard(at, List.of(), null, List.of(at, next)) : null;
        }
        List<TreePath> rest = behind(at);
        Tree around = at.getParentPath().getParentPath().getLeaf();
        boolean ends = then.getLeaf() instanceof ReturnTree none && none.getExpression() == null && around instanceof MethodTree
                || then.getLeaf() instanceof ContinueTree go && go.getLabel() == null && LOOPS.contains(around.getKind());
        boolean plain = ends && !rest.isEmpty() && rest.stream().allMatch(each -> isPlainCall(each, asked) || isSum(each, asked));
        List<TreePath> reach = new ArrayList<>(List.of(at));
        reach.addAll(rest);
        return plain ? new Guard(at, List.of(), null, reach) : null;
    }

    /** {@code sum = x.hours()} beside {@code sum = 0}. @param other null where there is none */
    private boolean stores(TreePath one, TreePath other, Asked asked) {
        if (other == null || !(one.getLeaf() instanceof ExpressionStatementTree kept) || !(kept.getExpression() instanceof AssignmentTree assignment)) {
            return false;
        }
        String target = assignment.getVariable().toString();
        Tree nothing = other.getLeaf() instanceof VariableTree local && local.getName().contentEquals(target) ? local.getInitializer()
                : other.getLeaf() instanceof ExpressionStatementTree set && set.getExpression() instanceof AssignmentTree value && value.getVariable().toString().equals(target) ? value.getExpression() : null;
        return answers.are(new TreePath(new TreePath(one, assignment), assignment.getExpression()), asked, nothing);
    }

    /** {@code sum += x.hours();}, to which nothing adds nothing. */
    private boolean isSum(TreePath statement, Asked asked) {
        return statement.getLeaf() instanceof ExpressionStatementTree only && only.getExpression() instanceof CompoundAssignmentTree sum
                && (sum.getKind() == Tree.Kind.PLUS_ASSIGNMENT || sum.getKind() == Tree.Kind.MINUS_ASSIGNMENT) && answers.areNothing(new TreePath(new TreePath(statement, sum), sum.getExpression()), asked);
    }

    private boolean isPlainCall(TreePath statement, Asked asked) {
        return statement.getLeaf() instanceof ExpressionStatementTree only && answers.isHarmless(new TreePath(statement, only.getExpression()), asked);
    }

    private static boolean isNull(Tree tree) {
        return tree.getKind() == Tree.Kind.NULL_LITERAL;
    }

    static ExpressionTree strip(ExpressionTree tree) {
        return tree instanceof ParenthesizedTree inside ? strip(inside.getExpression()) : tree;
    }

    static List<TreePath> statements(TreePath body) {
        return body.getLeaf() instanceof BlockTree block ? block.getStatements().stream().map(each -> new TreePath(body, each)).toList() : List.of(body);
    }

    private static TreePath only(TreePath body) {
        List<TreePath> all = statements(body);
        return all.size() == 1 ? all.get(0) : null;
    }

    /** The statement before or behind another; null where there is none. */
    private static TreePath beside(TreePath statement, int step) {
        if (!(statement.getParentPath().getLeaf() instanceof BlockTree block)) {
            return null;
        }
        int at = block.getStatements().indexOf((StatementTree) statement.getLeaf()) + step;
        return at < 0 || at >= block.getStatements().size() ? null : new TreePath(statement.getParentPath(), block.getStatements().get(at));
    }

    private static List<TreePath> behind(TreePath statement) {
        if (!(statement.getParentPath().getLeaf() instanceof BlockTree block)) {
            return List.of();
        }
        int at = block.getStatements().indexOf((StatementTree) statement.getLeaf()) + 1;
        return block.getStatements().subList(at, block.getStatements().size()).stream().map(each -> new TreePath(statement.getParentPath(), each)).toList();
    }

    /** The declaration right before a guard, of the local that all that stays of it gives a value; empty where it is none. */
    static Optional<TreePath> declared(Guard guard) {
        TreePath before = guard.kept().size() == 1 && guard.gone() == null && guard.whole().getLeaf() instanceof IfTree ? beside(guard.whole(), -1) : null;
        boolean sets = before != null && before.getLeaf() instanceof VariableTree local && guard.kept().get(0).getLeaf() instanceof ExpressionStatementTree only
                && only.getExpression() instanceof AssignmentTree set && local.getName().contentEquals(set.getVariable().toString()) && (local.getInitializer() == null || isLiteral(local.getInitializer()));
        return sets ? Optional.of(before) : Optional.empty();
    }

    /** Whether a literal is all that stands for nothing. */
    static boolean isLiteral(Tree nothing) {
        return nothing instanceof LiteralTree;
    }
}
