package driftwood.refactor.java.decision;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreeScanner;
import driftwood.refactor.java.ground.Workspace;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.util.ElementFilter;

/** Whether every constructor gives a field its value before it does anything else, so that nobody meets it without one. */
public record SetFirst(Workspace workspace, Element field) {

    public boolean isSo() {
        List<ExecutableElement> constructors = ElementFilter.constructorsIn(field.getEnclosingElement().getEnclosedElements());
        return constructors.stream().allMatch(each -> workspace.isWritten(each) && value(workspace.path(each).orElseThrow()).isPresent());
    }

    /** What a constructor sets it to first; the call of the other constructor that does so. */
    private Optional<TreePath> value(TreePath constructor) {
        MethodTree tree = (MethodTree) constructor.getLeaf();
        TreePath body = new TreePath(constructor, tree.getBody());
        for (StatementTree each : tree.getBody().getStatements()) {
            TreePath statement = new TreePath(body, each);
            ExpressionTree does = each instanceof ExpressionStatementTree expression ? expression.getExpression() : null;
            if (does instanceof AssignmentTree set && field.equals(workspace.element(new TreePath(new TreePath(statement, set), set.getVariable())))) {
                return Optional.of(new TreePath(new TreePath(statement, set), set.getExpression()));
            }
            String called = does instanceof MethodInvocationTree call ? call.getMethodSelect().toString() : "";
            if (called.equals("this")) {
                return Optional.of(new TreePath(statement, does));
            }
            boolean quiet = does instanceof AssignmentTree set ? !callsOwn(set.getExpression()) : called.equals("super");
            if (!quiet) {
                return Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** Whether a routine of the object itself is called, which may ask the field. */
    private static boolean callsOwn(ExpressionTree value) {
        return Boolean.TRUE.equals(new TreeScanner<Boolean, Void>() {
            @Override
            public Boolean visitMethodInvocation(MethodInvocationTree call, Void nothing) {
                return call.getMethodSelect() instanceof IdentifierTree || super.visitMethodInvocation(call, nothing) == Boolean.TRUE;
            }

            @Override
            public Boolean visitIdentifier(IdentifierTree name, Void nothing) {
                return name.getName().contentEquals("this");
            }

            @Override
            public Boolean reduce(Boolean one, Boolean other) {
                return one == Boolean.TRUE || other == Boolean.TRUE;
            }
        }.scan(value, null));
    }
}
