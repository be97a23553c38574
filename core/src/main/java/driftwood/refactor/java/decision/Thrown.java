package driftwood.refactor.java.decision;

import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Workspace;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.ExecutableType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/** Finds the checked exceptions that code lets out; what handlers within it may catch is not looked at. */
public final class Thrown extends TreePathScanner<Void, Void> {
    private final Workspace workspace;
    private final Set<TypeMirror> all = new LinkedHashSet<>();

    private Thrown(Workspace workspace) {
        this.workspace = workspace;
    }

    /** By all arms of a decision. */
    static Set<TypeMirror> by(Workspace workspace, Decision decision) {
        Thrown thrown = new Thrown(workspace);
        decision.all().forEach(each -> each.body().forEach(path -> thrown.scan(path, null)));
        return thrown.all;
    }

    /** By some code. */
    public static Set<TypeMirror> by(Workspace workspace, List<TreePath> code) {
        Thrown thrown = new Thrown(workspace);
        code.forEach(path -> thrown.scan(path, null));
        return thrown.all;
    }

    @Override
    public Void visitMethodInvocation(MethodInvocationTree tree, Void nothing) {
        if (workspace.trees().getTypeMirror(new TreePath(getCurrentPath(), tree.getMethodSelect())) instanceof ExecutableType type) {
            type.getThrownTypes().forEach(this::add);
        }
        return super.visitMethodInvocation(tree, nothing);
    }

    @Override
    public Void visitNewClass(NewClassTree tree, Void nothing) {
        if (workspace.element(getCurrentPath()) instanceof ExecutableElement made) {
            made.getThrownTypes().forEach(this::add);
        }
        return super.visitNewClass(tree, nothing);
    }

    @Override
    public Void visitThrow(ThrowTree tree, Void nothing) {
        add(workspace.trees().getTypeMirror(new TreePath(getCurrentPath(), tree.getExpression())));
        return super.visitThrow(tree, nothing);
    }

    @Override
    public Void visitLambdaExpression(LambdaExpressionTree tree, Void nothing) {
        return null;
    }

    @Override
    public Void visitTry(TryTree tree, Void nothing) {
        return tree.getCatches().isEmpty() ? super.visitTry(tree, nothing) : null;
    }

    private void add(TypeMirror type) {
        boolean unchecked = List.of("java.lang.RuntimeException", "java.lang.Error").stream()
                .anyMatch(each -> workspace.types().isSubtype(type, workspace.elements().getTypeElement(each).asType()));
        if (!unchecked && type.getKind() == TypeKind.DECLARED && all.stream().noneMatch(each -> workspace.types().isSameType(each, type))) {
            all.add(type);
        }
    }
}
