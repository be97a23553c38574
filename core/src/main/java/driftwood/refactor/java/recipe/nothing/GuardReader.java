package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Workspace;
import java.util.LinkedHashMap;
import java.util.Map;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.TypeKind;

/** Reads guards against nothing, where all they do for nothing is what a neutral object could do. */
final class GuardReader {
    private final Workspace workspace;
    private final Map<ExecutableElement, String> answers = new LinkedHashMap<>();

    GuardReader(Workspace workspace) {
        this.workspace = workspace;
    }

    /**
     * A guard around one call.
     *
     * @param whole  what goes
     * @param call   what stays in its place; null where it goes and {@code stays} stands behind it
     * @param suffix behind the call
     * @param stays  the statement behind it; null where there is none
     */
    record Guard(TreePath whole, TreePath call, String suffix, TreePath stays) {
    }

    /** What routines of a neutral object answer, as the guards say. */
    Map<ExecutableElement, String> answers() {
        return answers;
    }

    /** The guard whose condition a use stands in; null where it stands in none that is understood. */
    Guard guard(TreePath use, Element local) {
        if (!(use.getParentPath().getLeaf() instanceof BinaryTree test) || test.getKind() != Tree.Kind.NOT_EQUAL_TO && test.getKind() != Tree.Kind.EQUAL_TO
                || !isNull(test.getLeftOperand()) && !isNull(test.getRightOperand())) {
            return null;
        }
        boolean there = test.getKind() == Tree.Kind.NOT_EQUAL_TO;
        TreePath at = use.getParentPath().getParentPath();
        while (at.getLeaf() instanceof ParenthesizedTree && !(at.getParentPath().getLeaf() instanceof IfTree)) {
            at = at.getParentPath();
        }
        if (at.getLeaf() instanceof ConditionalExpressionTree choice) {
            TreePath call = new TreePath(at, there ? choice.getTrueExpression() : choice.getFalseExpression());
            ExpressionTree nothing = there ? choice.getFalseExpression() : choice.getTrueExpression();
            return answers(call, local, nothing) ? new Guard(at, call, "", null) : null;
        }
        TreePath choice = at.getLeaf() instanceof ParenthesizedTree ? at.getParentPath() : at;
        if (!(choice.getLeaf() instanceof IfTree branch)) {
            return null;
        }
        StatementTree then = single(branch.getThenStatement());
        if (there && branch.getElseStatement() == null && then instanceof ExpressionStatementTree only) {
            TreePath call = inside(choice, branch.getThenStatement(), only, only.getExpression());
            return called(call, local) != null && called(call, local).getReturnType().getKind() == TypeKind.VOID && harmless(call) ? new Guard(choice, call, ";", null) : null;
        }
        if (!there && branch.getElseStatement() == null && then instanceof ReturnTree back && back.getExpression() != null && choice.getParentPath().getLeaf() instanceof BlockTree block) {
            int next = block.getStatements().indexOf(branch) + 1;
            if (next < block.getStatements().size() && block.getStatements().get(next) instanceof ReturnTree rest && rest.getExpression() != null) {
                TreePath last = new TreePath(choice.getParentPath(), rest);
                TreePath call = new TreePath(last, rest.getExpression());
                return answers(call, local, back.getExpression()) ? new Guard(choice, null, "", last) : null;
            }
        }
        return null;
    }

    private static boolean isNull(Tree tree) {
        return tree.getKind() == Tree.Kind.NULL_LITERAL;
    }

    private static StatementTree single(StatementTree statement) {
        return statement instanceof BlockTree block && block.getStatements().size() == 1 ? block.getStatements().get(0) : statement;
    }

    private static TreePath inside(TreePath choice, StatementTree then, StatementTree only, Tree expression) {
        TreePath path = new TreePath(choice, then);
        path = then == only ? path : new TreePath(path, only);
        return new TreePath(path, expression);
    }

    /** The routine of the type that an expression calls on the local, and nothing else; null where it does not. */
    private ExecutableElement called(TreePath expression, Element local) {
        if (expression.getLeaf() instanceof MethodInvocationTree call && call.getMethodSelect() instanceof MemberSelectTree select) {
            TreePath on = new TreePath(new TreePath(expression, select), select.getExpression());
            boolean once = workspace.uses().of(local, expression).size() == 1;
            return once && local.equals(workspace.element(on)) && workspace.element(new TreePath(expression, select)) instanceof ExecutableElement routine ? routine : null;
        }
        return null;
    }

    private boolean harmless(TreePath call) {
        return ((MethodInvocationTree) call.getLeaf()).getArguments().stream().noneMatch(each -> Purity.mayAct(new TreePath(call, each)));
    }

    private boolean answers(TreePath call, Element local, ExpressionTree nothing) {
        ExecutableElement routine = called(call, local);
        if (routine == null || !harmless(call) || !(nothing instanceof LiteralTree)) {
            return false;
        }
        String before = answers.putIfAbsent(routine, nothing.toString());
        if (before != null && !before.equals(nothing.toString())) {
            throw new Refused("callers make up different answers for " + routine.getSimpleName() + "(): " + before + " and " + nothing);
        }
        return true;
    }
}
