package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Workspace;
import java.util.Collection;
import java.util.Set;
import java.util.regex.Pattern;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;

/** Routines that only look something up: who calls them once less gets the same. */
final class LookUps {
    private static final Pattern ASKING = Pattern.compile("get\\w*|contains\\w*|is[A-Z]\\w*|has[A-Z]\\w*|equals\\w*|size|length|charAt|values|keySet|entrySet|stream|filter|findFirst|findAny|orElse|"
            + "compareTo|hashCode|toString|trim|strip|toLowerCase|toUpperCase|startsWith|endsWith|indexOf|hasNext|next|iterator|name|ordinal");
    private static final Set<Tree.Kind> STEPS = Set.of(Tree.Kind.PREFIX_INCREMENT, Tree.Kind.PREFIX_DECREMENT, Tree.Kind.POSTFIX_INCREMENT, Tree.Kind.POSTFIX_DECREMENT);
    private final Workspace workspace;

    LookUps(Workspace workspace) {
        this.workspace = workspace;
    }

    /** Whether a call can be left out: who is asked, and with what, needs no working out. */
    static boolean isPlain(TreePath path) {
        if (!(path.getLeaf() instanceof MethodInvocationTree call)) {
            return false;
        }
        return !(call.getMethodSelect() instanceof MemberSelectTree select && Purity.mayAct(new TreePath(path, select.getExpression())))
                && call.getArguments().stream().noneMatch(each -> Purity.mayAct(new TreePath(path, each)));
    }

    boolean areLookUps(Collection<ExecutableElement> routines) {
        return routines.stream().allMatch(each -> workspace.path(each).filter(this::isLookUp).isPresent());
    }

    private boolean isLookUp(TreePath routine) {
        if (((MethodTree) routine.getLeaf()).getBody() == null) {
            return true;
        }
        boolean[] acts = {false};
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitMethodInvocation(MethodInvocationTree tree, Void nothing) {
                Element called = workspace.element(getCurrentPath());
                acts[0] |= called == null || !ASKING.matcher(called.getSimpleName()).matches() && !isBrief(called);
                return super.visitMethodInvocation(tree, nothing);
            }

            @Override
            public Void visitNewClass(NewClassTree tree, Void nothing) {
                acts[0] = true;
                return null;
            }

            @Override
            public Void visitAssignment(AssignmentTree tree, Void nothing) {
                acts[0] |= !isLocal(new TreePath(getCurrentPath(), tree.getVariable()));
                return super.visitAssignment(tree, nothing);
            }

            @Override
            public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void nothing) {
                acts[0] |= !isLocal(new TreePath(getCurrentPath(), tree.getVariable()));
                return super.visitCompoundAssignment(tree, nothing);
            }

            @Override
            public Void visitUnary(UnaryTree tree, Void nothing) {
                acts[0] |= STEPS.contains(tree.getKind()) && !isLocal(new TreePath(getCurrentPath(), tree.getExpression()));
                return super.visitUnary(tree, nothing);
            }
        }.scan(routine, null);
        return !acts[0];
    }

    /** A getter, whatever it is called. */
    private boolean isBrief(Element called) {
        return workspace.path(called).map(TreePath::getLeaf).filter(each -> each instanceof MethodTree method && method.getBody() != null && method.getParameters().isEmpty()
                && method.getBody().getStatements().size() == 1 && method.getBody().getStatements().get(0).toString().matches("return (this\\.)?\\w+;")).isPresent();
    }

    private boolean isLocal(TreePath target) {
        Element element = workspace.element(target);
        return element != null && (element.getKind() == ElementKind.LOCAL_VARIABLE || element.getKind() == ElementKind.PARAMETER);
    }
}
