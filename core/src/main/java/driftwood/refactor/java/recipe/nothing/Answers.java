package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Nulls;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;

/** What the routines of a neutral object answer, as the guards say. */
final class Answers {
    private final Map<ExecutableElement, String> values = new LinkedHashMap<>();

    /** By routine; as code. */
    Map<ExecutableElement, String> values() {
        return values;
    }

    /** Whether a call asks one thing, and a literal stands for it where there is nothing. @param nothing may be null */
    boolean are(TreePath call, Asked asked, Tree nothing) {
        Optional<ExecutableElement> routine = asked.called(call).filter(each -> isHarmless(call, asked) && nothing != null && GuardReader.isLiteral(nothing)
                && each.getReturnType().getKind() != TypeKind.VOID);
        routine.ifPresent(each -> note(each, nothing.toString()));
        return routine.isPresent();
    }

    /** Whether what a call gives is added to something, so that nothing or an empty text changes nothing. */
    boolean areNothing(TreePath call, Asked asked) {
        Optional<ExecutableElement> routine = asked.called(call).filter(each -> isHarmless(call, asked) && each.getReturnType().getKind() != TypeKind.BOOLEAN
                && (each.getReturnType().getKind().isPrimitive() || isText(each)));
        routine.ifPresent(each -> note(each, isText(each) ? "\"\"" : "0"));
        return routine.isPresent();
    }

    private static boolean isText(ExecutableElement routine) {
        return routine.getReturnType().toString().equals("java.lang.String");
    }

    /** Whether a question asks one thing that is true or false, perhaps turned round. @param wanted what it comes to where there is nothing */
    boolean isTruth(TreePath question, Asked asked, boolean wanted) {
        if (question.getLeaf() instanceof ParenthesizedTree inside) {
            return isTruth(new TreePath(question, inside.getExpression()), asked, wanted);
        }
        if (question.getLeaf() instanceof UnaryTree not && not.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
            return isTruth(new TreePath(question, not.getExpression()), asked, !wanted);
        }
        Optional<ExecutableElement> routine = asked.called(question).filter(each -> isHarmless(question, asked) && each.getReturnType().getKind() == TypeKind.BOOLEAN);
        routine.ifPresent(each -> note(each, Boolean.toString(wanted)));
        return routine.isPresent();
    }

    /** Whether a call does nothing but ask: its arguments can be worked out where there is nothing as well. */
    boolean isHarmless(TreePath call, Asked asked) {
        return asked.called(call).isPresent() && ((MethodInvocationTree) call.getLeaf()).getArguments().stream().map((ExpressionTree each) -> new TreePath(call, each))
                .allMatch(each -> !Purity.mayAct(each) || !Purity.acts(asked.workspace(), each) && isSafe(asked.workspace(), each));
    }

    /** Whether an argument asks only who is there in any case: what the routine has asked before, or a field that is never nothing. */
    private static boolean isSafe(Workspace workspace, TreePath argument) {
        List<TreePath> calls = new ArrayList<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitMethodInvocation(MethodInvocationTree tree, Void nothing) {
                calls.add(getCurrentPath());
                return super.visitMethodInvocation(tree, nothing);
            }
        }.scan(argument, null);
        if (argument.getLeaf() instanceof MethodInvocationTree && !calls.contains(argument)) {
            calls.add(argument);
        }
        return calls.stream().allMatch(each -> asksField(workspace, each) || isAskedBefore(workspace, each));
    }

    private static boolean asksField(Workspace workspace, TreePath call) {
        return ((MethodInvocationTree) call.getLeaf()).getMethodSelect() instanceof MemberSelectTree select && select.getExpression() instanceof IdentifierTree name
                && workspace.element(new TreePath(new TreePath(call, select), name)) instanceof VariableElement field && field.getKind().isField() && Nulls.isNeverNull(workspace, field);
    }

    /** Whether an argument asks an object that the routine has asked before whatever happened, so that it is there. */
    private static boolean isAskedBefore(Workspace workspace, TreePath argument) {
        TreePath routine = argument;
        while (routine != null && !(routine.getLeaf() instanceof MethodTree)) {
            routine = routine.getParentPath();
        }
        if (routine == null || !(argument.getLeaf() instanceof MethodInvocationTree call && call.getMethodSelect() instanceof MemberSelectTree select && select.getExpression() instanceof IdentifierTree)) {
            return false;
        }
        BlockTree body = ((MethodTree) routine.getLeaf()).getBody();
        TreePath block = new TreePath(routine, body);
        Pattern asked = Pattern.compile("(?s)(?!.*(&&|\\|\\||\\?|->)).*\\b" + Pattern.quote(select.getExpression().toString()) + "\\.\\w.*");
        return body.getStatements().stream().filter(each -> each.getKind() == Tree.Kind.VARIABLE || each.getKind() == Tree.Kind.EXPRESSION_STATEMENT)
                .map(each -> new TreePath(block, each)).anyMatch(each -> workspace.to(each) <= workspace.from(argument) && asked.matcher(workspace.text(each)).matches());
    }

    private void note(ExecutableElement routine, String value) {
        String before = values.putIfAbsent(routine, value);
        if (before != null && !before.equals(value)) {
            throw new Refused("callers make up different answers for " + routine.getSimpleName() + "(): " + before + " and " + value);
        }
    }
}
