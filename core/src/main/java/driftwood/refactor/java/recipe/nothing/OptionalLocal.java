package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.decision.Completion;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.type.TypeKind;

/**
 * A local that holds what may be nothing, where each use of its value stands behind a question whether there is one: it can
 * hold the optional value itself.
 *
 * @param local its declaration
 * @param asked its comparisons with null
 * @param taken uses of its value
 */
record OptionalLocal(Workspace workspace, TreePath local, List<TreePath> asked, List<TreePath> taken) {

    /** Of a call whose result goes into a local; empty where the local is set again, or its value is used unasked. */
    static Optional<OptionalLocal> of(Workspace workspace, Call call) {
        TreePath local = call.path().getParentPath();
        Element element = local.getLeaf() instanceof VariableTree ? workspace.element(local) : null;
        if (element == null || element.getKind() != ElementKind.LOCAL_VARIABLE || element.asType().getKind() != TypeKind.DECLARED
                || !workspace.types().isSameType(element.asType(), workspace.trees().getTypeMirror(call.path()))) {
            return Optional.empty();
        }
        OptionalLocal made = new OptionalLocal(workspace, local, new ArrayList<>(), new ArrayList<>());
        for (TreePath use : workspace.uses().of(element)) {
            if (Moving.isWritten(use)) {
                return Optional.empty();
            }
            (isComparison(use.getParentPath().getLeaf()) ? made.asked : made.taken).add(use);
        }
        boolean known = !made.asked.isEmpty() && made.taken.stream().allMatch(made::isThere);
        return known ? Optional.of(made) : Optional.empty();
    }

    private static boolean isComparison(Tree tree) {
        return tree instanceof BinaryTree both && (tree.getKind() == Tree.Kind.EQUAL_TO || tree.getKind() == Tree.Kind.NOT_EQUAL_TO)
                && (both.getLeftOperand().getKind() == Tree.Kind.NULL_LITERAL || both.getRightOperand().getKind() == Tree.Kind.NULL_LITERAL);
    }

    /** Whether a use is reached only where there is a value. */
    private boolean isThere(TreePath use) {
        for (TreePath at = use; at.getParentPath() != null && at.getLeaf() != local.getParentPath().getLeaf(); at = at.getParentPath()) {
            Tree child = at.getLeaf();
            Tree around = at.getParentPath().getLeaf();
            if (isArm(around, child) || around instanceof BlockTree block && isLeftBefore(block, child)) {
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
    private boolean isLeftBefore(BlockTree block, Tree child) {
        for (StatementTree each : block.getStatements().subList(0, block.getStatements().indexOf(child))) {
            if (each instanceof IfTree choice && choice.getElseStatement() == null && says(choice.getCondition(), false)
                    && !Completion.canComplete(List.of(new TreePath(local, choice.getThenStatement())))) {
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
        return asked.stream().anyMatch(each -> each.getParentPath().getLeaf() == condition) && (condition.getKind() == Tree.Kind.NOT_EQUAL_TO) == truth;
    }

    /** Whether a use is what a return statement gives back, or one way of it. */
    private static boolean isReturned(TreePath use) {
        TreePath child = use;
        TreePath at = use.getParentPath();
        while (at.getLeaf() instanceof ParenthesizedTree || at.getLeaf() instanceof ConditionalExpressionTree choice && choice.getCondition() != child.getLeaf()) {
            child = at;
            at = at.getParentPath();
        }
        return at.getLeaf() instanceof ReturnTree;
    }

    /** Whether it is what a value stands for. */
    boolean is(Element value) {
        return value != null && value.equals(workspace.element(local));
    }

    /**
     * Lets it hold the optional value.
     *
     * @param optional that type's name in the file
     * @param handedOn whether the routine around answers an optional value as well, and can hand it on as it is
     */
    void write(Drafting drafting, String optional, boolean handedOn) {
        Unit unit = workspace.unit(local);
        VariableTree declared = (VariableTree) local.getLeaf();
        TreePath type = declared.getType() == null ? null : new TreePath(local, declared.getType());
        if (type != null && workspace.from(type) >= 0 && !workspace.text(type).equals("var")) {
            drafting.script().replace(unit.file(), workspace.from(type), workspace.to(type), optional + "<" + workspace.text(type) + ">");
        }
        String name = declared.getName().toString();
        List<Tree> done = new ArrayList<>();
        for (TreePath each : asked) {
            TreePath comparison = each.getParentPath();
            Optional<TreePath> fallback = fallback(comparison);
            if (fallback.isPresent()) {
                TreePath whole = choice(comparison);
                drafting.script().replace(unit.file(), workspace.from(whole), workspace.to(whole), name + ".orElse(" + workspace.text(fallback.get()) + ")");
                taken.stream().filter(use -> Uses.isWithin(use, whole)).forEach(use -> done.add(use.getLeaf()));
                continue;
            }
            drafting.script().replace(unit.file(), workspace.from(comparison), workspace.to(comparison), (comparison.getLeaf().getKind() == Tree.Kind.EQUAL_TO ? "!" : "") + name + ".isPresent()");
        }
        taken.stream().filter(each -> !done.contains(each.getLeaf()) && !(handedOn && isReturned(each))).forEach(each -> drafting.script().insert(unit.file(), workspace.to(each), ".get()"));
    }

    private static Tree bare(Tree tree) {
        return tree instanceof ParenthesizedTree inside ? bare(inside.getExpression()) : tree;
    }

    /** The conditional that a comparison alone decides, parentheses aside. */
    private static TreePath choice(TreePath comparison) {
        TreePath at = comparison.getParentPath();
        return at.getLeaf() instanceof ParenthesizedTree ? at.getParentPath() : at;
    }

    /** What a conditional takes in place of nothing, where it is a literal, and the value itself is taken otherwise. */
    private Optional<TreePath> fallback(TreePath comparison) {
        TreePath whole = choice(comparison);
        if (!(whole.getLeaf() instanceof ConditionalExpressionTree choice) || bare(choice.getCondition()) != comparison.getLeaf()) {
            return Optional.empty();
        }
        boolean absent = comparison.getLeaf().getKind() == Tree.Kind.EQUAL_TO;
        ExpressionTree value = absent ? choice.getFalseExpression() : choice.getTrueExpression();
        ExpressionTree instead = absent ? choice.getTrueExpression() : choice.getFalseExpression();
        boolean plain = taken.stream().anyMatch(each -> each.getLeaf() == value) && instead instanceof LiteralTree && instead.getKind() != Tree.Kind.NULL_LITERAL;
        return plain ? Optional.of(new TreePath(whole, instead)) : Optional.empty();
    }
}
