package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Workspace;
import java.util.EnumSet;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.TypeMirror;

/**
 * Code that becomes the body of a function of one value.
 *
 * @param own the local that becomes its parameter
 */
record AsFunction(Workspace workspace, Element own) {
    private static final Set<ElementKind> LOCALS = EnumSet.of(ElementKind.LOCAL_VARIABLE, ElementKind.PARAMETER, ElementKind.EXCEPTION_PARAMETER,
            ElementKind.RESOURCE_VARIABLE);

    /** It sets no local, asks for none that is set twice, and throws nothing that would have to be declared. */
    boolean canBe(TreePath code) {
        boolean[] can = {true};
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitIdentifier(IdentifierTree used, Void nothing) {
                Element named = workspace.element(getCurrentPath());
                boolean other = named != null && LOCALS.contains(named.getKind()) && !named.equals(own);
                can[0] &= !other || workspace.uses().of(named).stream().noneMatch(Moving::isWritten);
                return null;
            }

            @Override
            public Void visitMethodInvocation(MethodInvocationTree called, Void nothing) {
                can[0] &= isUnchecked(workspace.element(getCurrentPath()));
                return super.visitMethodInvocation(called, nothing);
            }

            @Override
            public Void visitNewClass(NewClassTree made, Void nothing) {
                can[0] &= isUnchecked(workspace.element(getCurrentPath()));
                return super.visitNewClass(made, nothing);
            }

            @Override
            public Void visitAssignment(AssignmentTree set, Void nothing) {
                can[0] &= !(set.getVariable() instanceof IdentifierTree);
                return super.visitAssignment(set, nothing);
            }

            @Override
            public Void visitCompoundAssignment(CompoundAssignmentTree set, Void nothing) {
                can[0] &= !(set.getVariable() instanceof IdentifierTree);
                return super.visitCompoundAssignment(set, nothing);
            }

            @Override
            public Void visitUnary(UnaryTree counted, Void nothing) {
                can[0] &= !(counted.getExpression() instanceof IdentifierTree);
                return super.visitUnary(counted, nothing);
            }
        }.scan(code, null);
        return can[0];
    }

    private boolean isUnchecked(Element called) {
        TypeMirror runtime = workspace.elements().getTypeElement("java.lang.RuntimeException").asType();
        TypeMirror error = workspace.elements().getTypeElement("java.lang.Error").asType();
        return called instanceof ExecutableElement routine && routine.getThrownTypes().stream()
                .allMatch(each -> workspace.types().isSubtype(each, runtime) || workspace.types().isSubtype(each, error));
    }
}
