package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;

/**
 * A variable that takes what may be nothing, and right behind it something else in place of nothing: {@code orElse} says both.
 *
 * @param call     whose result it takes
 * @param question the if that puts something else there
 * @param instead  what that is
 */
record OptionalDefault(Workspace workspace, Call call, TreePath question, TreePath instead) {

    /** Of a call; empty where what follows does not just put something else in place of nothing. */
    static Optional<OptionalDefault> of(Workspace workspace, Call call) {
        TreePath taken = call.path().getParentPath();
        String name = taken.getLeaf() instanceof VariableTree local && local.getInitializer() == call.path().getLeaf() ? local.getName().toString()
                : taken.getLeaf() instanceof AssignmentTree set && set.getExpression() == call.path().getLeaf() && set.getVariable() instanceof IdentifierTree of
                ? of.getName().toString() : "";
        TreePath statement = taken.getLeaf() instanceof AssignmentTree ? taken.getParentPath() : taken;
        if (name.isEmpty() || !(statement.getParentPath().getLeaf() instanceof BlockTree block)) {
            return Optional.empty();
        }
        int at = block.getStatements().indexOf(statement.getLeaf()) + 1;
        if (at < 1 || at >= block.getStatements().size() || !(block.getStatements().get(at) instanceof IfTree choice)
                || choice.getElseStatement() != null || !asks(choice.getCondition(), name)) {
            return Optional.empty();
        }
        TreePath question = new TreePath(statement.getParentPath(), choice);
        Optional<TreePath> value = only(new TreePath(question, choice.getThenStatement())).filter(each -> each.getLeaf() instanceof AssignmentTree set
                && set.getVariable() instanceof IdentifierTree of && of.getName().contentEquals(name))
                .map(each -> new TreePath(each, ((AssignmentTree) each.getLeaf()).getExpression()));
        Unit unit = workspace.unit(call.path());
        boolean remarked = !Comments.remarks(unit.text().substring(workspace.to(statement), workspace.to(question))).isEmpty();
        return value.filter(each -> !remarked && isFree(workspace, each)).map(each -> new OptionalDefault(workspace, call, question, each));
    }

    private static boolean asks(ExpressionTree condition, String name) {
        if (condition instanceof ParenthesizedTree inside) {
            return asks(inside.getExpression(), name);
        }
        return condition instanceof BinaryTree both && both.getKind() == Tree.Kind.EQUAL_TO && both.getRightOperand().getKind() == Tree.Kind.NULL_LITERAL
                && both.getLeftOperand() instanceof IdentifierTree of && of.getName().contentEquals(name);
    }

    /** The one expression of a statement, or of a block of one. */
    private static Optional<TreePath> only(TreePath statement) {
        if (statement.getLeaf() instanceof BlockTree block) {
            List<? extends StatementTree> inside = block.getStatements();
            return inside.size() == 1 ? only(new TreePath(statement, inside.get(0))) : Optional.empty();
        }
        return statement.getLeaf() instanceof ExpressionStatementTree told ? Optional.of(new TreePath(statement, told.getExpression())) : Optional.empty();
    }

    /** Whether it can be worked out later, in a lambda: a literal, or a plain call that throws nothing checked, of what never changes. */
    private static boolean isFree(Workspace workspace, TreePath value) {
        if (value.getLeaf() instanceof LiteralTree literal) {
            return literal.getKind() != Tree.Kind.NULL_LITERAL;
        }
        boolean calm = value.getLeaf() instanceof MethodInvocationTree called && workspace.element(new TreePath(value, called.getMethodSelect())) instanceof ExecutableElement routine
                && routine.getThrownTypes().isEmpty() && called.getArguments().isEmpty();
        Captures captures = Captures.of(workspace, List.of(value));
        return calm && captures.written().isEmpty() && captures.read().stream().allMatch(each -> isFixed(workspace, each));
    }

    private static boolean isFixed(Workspace workspace, VariableElement local) {
        boolean set = workspace.path(local).map(TreePath::getLeaf).filter(each -> each instanceof VariableTree declared && declared.getInitializer() != null).isPresent();
        return (set || local.getKind() == ElementKind.PARAMETER) && workspace.uses().of(local).stream().noneMatch(Moving::isWritten);
    }

    /** @param optional whether what stands in place of nothing is an optional value from now on */
    void write(Drafting drafting, boolean optional) {
        Unit unit = workspace.unit(question);
        String text = workspace.text(instead) + (optional ? ".orElse(null)" : "");
        drafting.script().insert(unit.file(), workspace.to(call.path()), instead.getLeaf() instanceof LiteralTree ? ".orElse(" + text + ")" : ".orElseGet(() -> " + text + ")");
        int from = workspace.from(question);
        int to = workspace.to(question);
        int behind = unit.text().substring(0, from).stripTrailing().length();
        boolean alone = unit.text().substring(unit.lineStart(from), from).isBlank() && unit.text().substring(to, unit.lineEnd(to)).isBlank();
        drafting.script().replace(unit.file(), alone ? unit.lineStart(from) : behind, alone ? unit.lineEnd(to) : to, "");
    }
}
