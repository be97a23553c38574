package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.ForLoopTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.recipe.nothing.GuardReader.Guard;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Reads guards against nothing around a container, where an empty one comes to the same: nothing is gone through, added or
 * counted either way.
 *
 * @param name of the local that holds it
 */
record EmptyGuards(String name) {
    private static final Set<String> PARTS = Set.of("keySet", "values", "entrySet");
    private static final Set<String> ADDING = Set.of("addAll", "putAll", "removeAll");
    private static final Pattern EMPTY = Pattern.compile("(Collections\\.empty(List|Set|Map)|List\\.of|Set\\.of|Map\\.of)\\(\\)|new [\\w.]+\\[0\\](\\[\\])*");

    /** The guard that a comparison with null is part of; null where an empty container could make a difference. */
    Guard guard(TreePath test) {
        boolean there = test.getLeaf().getKind() == Tree.Kind.NOT_EQUAL_TO;
        TreePath at = GuardReader.around(test);
        if (at.getLeaf() instanceof BinaryTree) {
            return logical(test, at, there);
        }
        if (at.getLeaf() instanceof ConditionalExpressionTree choice) {
            ExpressionTree value = there ? choice.getTrueExpression() : choice.getFalseExpression();
            ExpressionTree nothing = there ? choice.getFalseExpression() : choice.getTrueExpression();
            boolean same = isCount(value) && nothing instanceof LiteralTree none && Integer.valueOf(0).equals(none.getValue()) || isIt(value) && EMPTY.matcher(nothing.toString()).matches();
            return same ? new Guard(at, List.of(new TreePath(at, value)), null, List.of(at)) : null;
        }
        if (!(at.getLeaf() instanceof IfTree branch)) {
            return null;
        }
        if (there) {
            List<TreePath> then = GuardReader.statements(new TreePath(at, branch.getThenStatement()));
            return branch.getElseStatement() == null && !then.isEmpty() && then.stream().allMatch(each -> isIdle(each.getLeaf())) ? new Guard(at, then, null, List.of(at)) : null;
        }
        return branch.getElseStatement() == null ? leaving(at, GuardReader.statements(new TreePath(at, branch.getThenStatement()))) : null;
    }

    /** {@code x != null && !x.isEmpty()}: only the question for more than nothing stays; beside any other question that one stays. */
    private Guard logical(TreePath test, TreePath at, boolean there) {
        Tree.Kind sign = there ? Tree.Kind.CONDITIONAL_AND : Tree.Kind.CONDITIONAL_OR;
        BinaryTree logic = (BinaryTree) at.getLeaf();
        if (logic.getKind() != sign) {
            return null;
        }
        boolean first = GuardReader.strip(logic.getLeftOperand()) == test.getLeaf();
        TreePath whole = first ? at : GuardReader.around(at);
        boolean chained = whole.getLeaf() instanceof BinaryTree outer && outer.getKind() == sign && (first || GuardReader.strip(outer.getLeftOperand()) == logic);
        if (chained) {
            ExpressionTree question = ((BinaryTree) whole.getLeaf()).getRightOperand();
            if (there ? isFilled(question) : isEmptiness(question)) {
                List<TreePath> kept = List.of(first ? new TreePath(whole, question) : new TreePath(at, logic.getLeftOperand()));
                return new Guard(first ? whole : at, kept, null, List.of(whole));
            }
        }
        ExpressionTree other = first ? logic.getRightOperand() : logic.getLeftOperand();
        boolean idle = there && GuardReader.around(at).getLeaf() instanceof IfTree branch && branch.getElseStatement() == null
                && GuardReader.statements(new TreePath(GuardReader.around(at), branch.getThenStatement())).stream().allMatch(each -> isIdle(each.getLeaf()));
        return idle && (!first || !Purity.mayAct(new TreePath(at, other)) && !mentions(other)) ? new Guard(at, List.of(new TreePath(at, other)), null, List.of(GuardReader.around(at))) : null;
    }

    /** Whether nothing but the question for it asks a comparison again, so that what is behind it needs no guard. */
    static boolean isFollowed(Guard guard) {
        return guard.whole().getLeaf() instanceof BinaryTree;
    }

    /** {@code if (x == null) return sum;} before nothing but what goes through it, and the same end. */
    private Guard leaving(TreePath at, List<TreePath> then) {
        if (then.size() != 1 || !(at.getParentPath().getLeaf() instanceof BlockTree block)) {
            return null;
        }
        List<? extends StatementTree> all = block.getStatements();
        List<? extends StatementTree> rest = all.subList(all.indexOf((StatementTree) at.getLeaf()) + 1, all.size());
        Tree around = at.getParentPath().getParentPath().getLeaf();
        Tree leaves = then.get(0).getLeaf();
        String end = leaves instanceof ReturnTree back && around.getKind() == Tree.Kind.METHOD ? String.valueOf(back.getExpression())
                : leaves instanceof ContinueTree go && go.getLabel() == null && GuardReader.LOOPS.contains(around.getKind()) ? "" : null;
        if (end == null || rest.isEmpty()) {
            return null;
        }
        boolean returns = leaves instanceof ReturnTree back && back.getExpression() != null;
        StatementTree last = rest.get(rest.size() - 1);
        boolean same = !returns || last instanceof ReturnTree back && String.valueOf(back.getExpression()).equals(end) && !isIt(back.getExpression())
                && (back.getExpression() instanceof IdentifierTree || back.getExpression() instanceof LiteralTree);
        boolean idle = (returns ? rest.subList(0, rest.size() - 1) : rest).stream().allMatch(this::isIdle);
        List<TreePath> reach = new ArrayList<>(List.of(at));
        rest.forEach(each -> reach.add(new TreePath(at.getParentPath(), each)));
        return same && idle ? new Guard(at, List.of(), null, reach) : null;
    }

    /** Whether a statement does nothing where the container is empty. */
    private boolean isIdle(Tree statement) {
        if (statement instanceof BlockTree block) {
            return block.getStatements().stream().allMatch(this::isIdle);
        }
        if (statement instanceof EnhancedForLoopTree loop) {
            return isIt(loop.getExpression()) || called(loop.getExpression(), PARTS);
        }
        if (statement instanceof ForLoopTree loop) {
            return loop.getCondition() instanceof BinaryTree limit && limit.getKind() == Tree.Kind.LESS_THAN && isCount(limit.getRightOperand())
                    && loop.getInitializer().size() == 1 && loop.getInitializer().get(0).toString().matches("int " + limit.getLeftOperand() + " = 0");
        }
        if (statement instanceof IfTree branch) {
            return branch.getElseStatement() == null && isFilled(branch.getCondition());
        }
        if (statement instanceof ExpressionStatementTree only && only.getExpression() instanceof MethodInvocationTree call && call.getMethodSelect() instanceof MemberSelectTree select) {
            boolean adds = ADDING.contains(select.getIdentifier().toString()) && call.getArguments().size() == 1 && isIt(call.getArguments().get(0)) && select.getExpression() instanceof IdentifierTree;
            return adds || called(call, Set.of("forEach"));
        }
        return false;
    }

    /** Whether a condition is false where the container is empty. */
    private boolean isFilled(ExpressionTree condition) {
        ExpressionTree bare = GuardReader.strip(condition);
        if (bare instanceof UnaryTree not && not.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
            return called(GuardReader.strip(not.getExpression()), Set.of("isEmpty"));
        }
        if (bare instanceof BinaryTree both && both.getKind() == Tree.Kind.CONDITIONAL_AND) {
            return isFilled(both.getLeftOperand());
        }
        return bare instanceof BinaryTree both && isCount(both.getLeftOperand()) && (is(both.getRightOperand(), 0) && (both.getKind() == Tree.Kind.GREATER_THAN || both.getKind() == Tree.Kind.NOT_EQUAL_TO)
                || is(both.getRightOperand(), 1) && both.getKind() == Tree.Kind.GREATER_THAN_EQUAL);
    }

    /** Whether a condition is true where the container is empty. */
    private boolean isEmptiness(ExpressionTree condition) {
        ExpressionTree bare = GuardReader.strip(condition);
        return called(bare, Set.of("isEmpty")) || bare instanceof BinaryTree both && isCount(both.getLeftOperand()) && (is(both.getRightOperand(), 0)
                && (both.getKind() == Tree.Kind.EQUAL_TO || both.getKind() == Tree.Kind.LESS_THAN_EQUAL) || is(both.getRightOperand(), 1) && both.getKind() == Tree.Kind.LESS_THAN);
    }

    private boolean isCount(ExpressionTree value) {
        return called(value, Set.of("size")) || value instanceof MemberSelectTree select && select.getIdentifier().contentEquals("length") && isIt(select.getExpression());
    }

    private boolean called(ExpressionTree value, Set<String> routines) {
        return value instanceof MethodInvocationTree call && call.getMethodSelect() instanceof MemberSelectTree select && routines.contains(select.getIdentifier().toString())
                && isIt(select.getExpression());
    }

    private boolean isIt(ExpressionTree value) {
        return GuardReader.strip(value) instanceof IdentifierTree named && named.getName().contentEquals(name);
    }

    private boolean mentions(Tree code) {
        return Pattern.compile("\\b" + Pattern.quote(name) + "\\b").matcher(code.toString()).find();
    }

    private static boolean is(ExpressionTree value, int number) {
        return value instanceof LiteralTree literal && Integer.valueOf(number).equals(literal.getValue());
    }
}
