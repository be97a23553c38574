package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParameterizedTypeTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/**
 * A private collection of objects of any kind, of which some kinds alone are ever put into it.
 *
 * @param field    the collection
 * @param declared where it, its parts and what is put into it are declared as objects
 */
record KeptAsObjects(VariableElement field, List<TreePath> declared) {
    private static final Set<String> ASKED = Set.of("size", "isEmpty", "clear");
    private static final Set<String> HANDED = Set.of("add", "remove", "contains", "indexOf");

    /** The one that a decision walks. @throws Refused where something else may be put into it, or it is handed out */
    static KeptAsObjects of(Workspace workspace, Decision decision, Set<TypeElement> kinds) {
        Element part = workspace.element(decision.subject());
        TreePath declared = part == null || part.getKind().isField() ? null : workspace.path(part).orElse(null);
        if (declared == null || !(declared.getParentPath().getLeaf() instanceof EnhancedForLoopTree loop) || !isObject(part.asType())) {
            throw new Refused(workspace.trees().getTypeMirror(decision.subject()).toString().replaceFirst("<.*", "").replaceFirst("^.*\\.", "") + " is a type of a library: nothing can be added to it");
        }
        Element field = workspace.element(new TreePath(declared.getParentPath(), loop.getExpression()));
        boolean own = field instanceof VariableElement && field.getKind() == ElementKind.FIELD && field.getModifiers().contains(Modifier.PRIVATE) && field.asType() instanceof DeclaredType kept
                && kept.getTypeArguments().size() == 1 && isObject(kept.getTypeArguments().get(0));
        if (!own) {
            throw new Refused("the parts are not kept in a private collection of the object that walks them");
        }
        return new Reader(workspace, (VariableElement) field, kinds).read();
    }

    private static boolean isObject(TypeMirror type) {
        return type.toString().equals("java.lang.Object");
    }

    /** Follows the collection through its type. */
    private static final class Reader {
        private final Workspace workspace;
        private final VariableElement field;
        private final Set<TypeElement> kinds;
        private final List<TreePath> declared = new ArrayList<>();
        private final Set<VariableElement> handed = new LinkedHashSet<>();

        Reader(Workspace workspace, VariableElement field, Set<TypeElement> kinds) {
            this.workspace = workspace;
            this.field = field;
            this.kinds = kinds;
        }

        KeptAsObjects read() {
            TreePath path = workspace.path(field).orElseThrow();
            VariableTree tree = (VariableTree) path.getLeaf();
            argument(new TreePath(path, tree.getType()));
            if (tree.getInitializer() != null) {
                created(new TreePath(path, tree.getInitializer()));
            }
            workspace.uses().of(field).forEach(this::use);
            handed.forEach(this::parameter);
            return new KeptAsObjects(field, declared);
        }

        private Refused handedOn(TreePath use) {
            return new Refused("the parts are handed on as objects: " + workspace.unit(use).file() + ":" + workspace.unit(use).line(workspace.from(use)));
        }

        private void argument(TreePath type) {
            if (!(type.getLeaf() instanceof ParameterizedTypeTree of)) {
                throw handedOn(type);
            }
            if (!of.getTypeArguments().isEmpty()) {
                declared.add(new TreePath(type, of.getTypeArguments().get(0)));
            }
        }

        /** A collection that begins empty. */
        private void created(TreePath value) {
            if (!(value.getLeaf() instanceof NewClassTree made) || !made.getArguments().isEmpty() || made.getClassBody() != null) {
                throw handedOn(value);
            }
            argument(new TreePath(value, made.getIdentifier()));
        }

        private void use(TreePath use) {
            TreePath around = use.getParentPath();
            if (around.getLeaf() instanceof MemberSelectTree select && around.getParentPath().getLeaf() instanceof MethodInvocationTree call && call.getMethodSelect() == select
                    && (ASKED.contains(select.getIdentifier().toString()) || HANDED.contains(select.getIdentifier().toString()) && call.getArguments().size() == 1)) {
                call.getArguments().forEach(each -> put(new TreePath(around.getParentPath(), each)));
            } else if (around.getLeaf() instanceof EnhancedForLoopTree loop && loop.getExpression() == use.getLeaf()) {
                TreePath part = new TreePath(around, loop.getVariable());
                if (isObject(workspace.element(part).asType()) && loop.getVariable().getType() != null) {
                    declared.add(new TreePath(part, loop.getVariable().getType()));
                }
            } else if (around.getLeaf() instanceof AssignmentTree set && set.getVariable() == use.getLeaf()) {
                created(new TreePath(around, set.getExpression()));
            } else {
                throw handedOn(use);
            }
        }

        private void put(TreePath value) {
            if (workspace.element(value) instanceof VariableElement parameter && parameter.getKind() == ElementKind.PARAMETER && isObject(parameter.asType())) {
                handed.add(parameter);
            } else if (!isPart(workspace.trees().getTypeMirror(value))) {
                throw handedOn(value);
            }
        }

        private boolean isPart(TypeMirror type) {
            return type != null && (type.getKind() == TypeKind.NULL || kinds.stream().anyMatch(each -> workspace.types().isSubtype(workspace.types().erasure(type), workspace.types().erasure(each.asType()))));
        }

        /** A parameter that only goes into the collection, of a routine that is handed parts alone. */
        private void parameter(VariableElement parameter) {
            TreePath path = workspace.path(parameter).orElseThrow();
            if (!(path.getParentPath().getLeaf() instanceof MethodTree tree) || !(parameter.getEnclosingElement() instanceof ExecutableElement routine) || new Calls(workspace).family(routine).size() > 1) {
                throw handedOn(path);
            }
            for (TreePath use : workspace.uses().of(parameter)) {
                Tree around = use.getParentPath().getLeaf();
                boolean asked = around.getKind() == Tree.Kind.EQUAL_TO || around.getKind() == Tree.Kind.NOT_EQUAL_TO;
                boolean put = around instanceof MethodInvocationTree call && call.getMethodSelect() instanceof MemberSelectTree select && HANDED.contains(select.getIdentifier().toString())
                        && field.equals(workspace.element(new TreePath(new TreePath(use.getParentPath(), select), select.getExpression())));
                if (!asked && !put) {
                    throw handedOn(use);
                }
            }
            int at = tree.getParameters().indexOf((VariableTree) path.getLeaf());
            for (Call call : new Calls(workspace).of(Set.of(routine))) {
                if (!isPart(workspace.trees().getTypeMirror(call.arguments().get(at)))) {
                    throw new Refused("something else than " + String.join(", ", kinds.stream().map(each -> each.getSimpleName().toString()).toList()) + " is put in: "
                            + workspace.unit(call.path()).file() + ":" + workspace.unit(call.path()).line(workspace.from(call.path())));
                }
            }
            declared.add(new TreePath(path, ((VariableTree) path.getLeaf()).getType()));
        }
    }
}
