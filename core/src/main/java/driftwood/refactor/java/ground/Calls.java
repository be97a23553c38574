package driftwood.refactor.java.ground;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/** Who calls a routine or constructor, and which routines are one with it by overriding. */
public final class Calls {
    private final Workspace workspace;

    public Calls(Workspace workspace) {
        this.workspace = workspace;
    }

    /**
     * A call or creation.
     *
     * @param path      of the whole call
     * @param name      of what is before its arguments: a name, a selection, or the created type
     * @param arguments in order
     */
    public record Call(TreePath path, TreePath name, List<TreePath> arguments) {

        /** Whether it is {@code this(...)} or {@code super(...)}. */
        public boolean isChained() {
            return name.getLeaf() instanceof IdentifierTree identifier && (identifier.getName().contentEquals("this") || identifier.getName().contentEquals("super"));
        }

        public boolean isCreation() {
            return path.getLeaf() instanceof NewClassTree;
        }
    }

    /** Some routines are called by whoever is handed them as a function: their calls can be written out. */
    public static final class HandedOn extends Refused {
        private static final long serialVersionUID = 1;
        private final transient Set<ExecutableElement> routines;

        private HandedOn(Set<ExecutableElement> routines, String because) {
            super(because);
            this.routines = Set.copyOf(routines);
        }

        /** All whose calls were asked for. */
        public Set<ExecutableElement> routines() {
            return routines;
        }
    }

    /**
     * All calls of some routines, inner ones before those around them.
     *
     * @throws HandedOn where one of them is handed on as a function
     * @throws Refused  where one of them creates an enum constant
     */
    public List<Call> of(Set<ExecutableElement> routines) {
        List<Call> calls = new ArrayList<>();
        for (ExecutableElement routine : routines) {
            for (TreePath use : workspace.uses().of(routine)) {
                calls.add(call(use, routine, routines));
            }
        }
        calls.sort(Comparator.comparing((Call each) -> workspace.unit(each.path()).file())
                .thenComparingInt(each -> workspace.to(each.path()) - workspace.from(each.path())).thenComparingInt(each -> workspace.from(each.path())));
        return calls;
    }

    private Call call(TreePath use, ExecutableElement routine, Set<ExecutableElement> routines) {
        Tree leaf = use.getLeaf();
        TreePath parent = use.getParentPath();
        if (leaf instanceof NewClassTree creation) {
            if (parent.getLeaf() instanceof VariableTree variable && workspace.element(parent) != null && workspace.element(parent).getKind() == ElementKind.ENUM_CONSTANT) {
                throw new Refused("constants of " + routine.getEnclosingElement().getSimpleName() + " are made with it");
            }
            return new Call(use, new TreePath(use, creation.getIdentifier()), arguments(use, creation.getArguments()));
        }
        if (parent.getLeaf() instanceof MethodInvocationTree invocation && invocation.getMethodSelect() == leaf) {
            return new Call(parent, use, arguments(parent, invocation.getArguments()));
        }
        String name = routine.getSimpleName().toString().replace("<init>", routine.getEnclosingElement().getSimpleName().toString());
        String where = " at " + workspace.unit(use).file() + ":" + workspace.unit(use).line(workspace.from(use));
        throw leaf instanceof MemberReferenceTree ? new HandedOn(routines, name + " is handed on as a function" + where) : new Refused(name + " is named otherwise than in a call" + where);
    }

    private static List<TreePath> arguments(TreePath call, List<? extends ExpressionTree> arguments) {
        return arguments.stream().map(each -> new TreePath(call, each)).toList();
    }

    /** What a call's routine is called on, with the dot; empty where it is called by its bare name. */
    public String before(Call call) {
        return call.name().getLeaf() instanceof MemberSelectTree select
                ? workspace.unit(call.path()).text().substring(workspace.from(call.name()), workspace.to(call.name()) - select.getIdentifier().length()) : "";
    }

    /**
     * A routine and all that override it or that it overrides.
     *
     * @throws Refused where one of them is a library's own, or is written as a lambda
     */
    public Set<ExecutableElement> family(ExecutableElement routine) {
        Set<ExecutableElement> family = new LinkedHashSet<>(Set.of(routine));
        if (routine.getKind() == ElementKind.CONSTRUCTOR || routine.getModifiers().contains(Modifier.STATIC) || routine.getModifiers().contains(Modifier.PRIVATE)) {
            return family;
        }
        List<TypeElement> all = types();
        boolean more = true;
        while (more) {
            more = false;
            for (TypeElement type : all) {
                for (ExecutableElement own : methods(type, routine)) {
                    more |= !family.contains(own) && family.stream().anyMatch(each -> isOne(own, each)) && family.add(own);
                }
            }
            for (ExecutableElement each : List.copyOf(family)) {
                for (ExecutableElement above : above(each)) {
                    if (!workspace.isHere(above)) {
                        throw new Refused(each.getSimpleName() + "() overrides a routine of " + above.getEnclosingElement() + ", which is not of this project");
                    }
                    more |= family.add(above);
                }
            }
        }
        family.forEach(this::refuseLambdas);
        return family;
    }

    /** Whether no type of the project overrides it. */
    public boolean isSole(ExecutableElement routine) {
        return types().stream().flatMap(type -> methods(type, routine).stream()).noneMatch(own -> !own.equals(routine) && isOne(own, routine));
    }

    private boolean isOne(ExecutableElement own, ExecutableElement other) {
        return workspace.elements().overrides(own, other, (TypeElement) own.getEnclosingElement())
                || workspace.elements().overrides(other, own, (TypeElement) other.getEnclosingElement());
    }

    private Set<ExecutableElement> above(ExecutableElement routine) {
        Set<ExecutableElement> above = new LinkedHashSet<>();
        TypeElement owner = (TypeElement) routine.getEnclosingElement();
        for (TypeElement parent : supertypes(owner)) {
            methods(parent, routine).stream().filter(each -> workspace.elements().overrides(routine, each, owner)).forEach(above::add);
        }
        return above;
    }

    private static List<ExecutableElement> methods(TypeElement type, ExecutableElement like) {
        return ElementFilter.methodsIn(type.getEnclosedElements()).stream().filter(each -> each.getSimpleName().equals(like.getSimpleName())
                && each.getParameters().size() == like.getParameters().size()).toList();
    }

    private void refuseLambdas(ExecutableElement routine) {
        TypeElement owner = (TypeElement) routine.getEnclosingElement();
        if (owner.getKind() != ElementKind.INTERFACE || !routine.getModifiers().contains(Modifier.ABSTRACT)) {
            return;
        }
        for (Unit unit : workspace.units()) {
            new TreePathScanner<Void, Void>() {
                @Override
                public Void visitLambdaExpression(LambdaExpressionTree tree, Void nothing) {
                    refuse();
                    return super.visitLambdaExpression(tree, nothing);
                }

                @Override
                public Void visitMemberReference(MemberReferenceTree tree, Void nothing) {
                    refuse();
                    return super.visitMemberReference(tree, nothing);
                }

                private void refuse() {
                    TypeMirror type = workspace.trees().getTypeMirror(getCurrentPath());
                    if (type instanceof DeclaredType declared && declared.asElement().equals(owner)) {
                        throw new Refused(owner.getSimpleName() + " is written as a lambda at " + unit.file() + ":" + unit.line(workspace.from(getCurrentPath())));
                    }
                }
            }.scan(unit.tree(), null);
        }
    }

    /** All supertypes, near ones first. */
    public List<TypeElement> supertypes(TypeElement type) {
        Set<TypeElement> all = new LinkedHashSet<>();
        for (TypeMirror each : workspace.types().directSupertypes(type.asType())) {
            if (each instanceof DeclaredType declared && declared.asElement() instanceof TypeElement parent && all.add(parent)) {
                all.addAll(supertypes(parent));
            }
        }
        return List.copyOf(all);
    }

    /** Whether somebody who wrote the project meant its objects to be written out: not where a library's parent brings it along, as all windows do. */
    public boolean isSerialised(TypeElement type) {
        TypeMirror serialised = workspace.elements().getTypeElement("java.io.Serializable").asType();
        return type.getKind() != ElementKind.ENUM && Stream.concat(Stream.of(type), supertypes(type).stream()).filter(workspace::isHere)
                .anyMatch(each -> each.getInterfaces().stream().anyMatch(one -> workspace.types().isSubtype(one, serialised)));
    }

    /** All types declared in the files, nested, local and anonymous ones too. */
    public List<TypeElement> types() {
        List<TypeElement> all = new ArrayList<>();
        for (Unit unit : workspace.units()) {
            new TreePathScanner<Void, Void>() {
                @Override
                public Void visitClass(ClassTree tree, Void nothing) {
                    if (workspace.element(getCurrentPath()) instanceof TypeElement type) {
                        all.add(type);
                    }
                    return super.visitClass(tree, nothing);
                }
            }.scan(unit.tree(), null);
        }
        return all;
    }

    /** Those of the types in the files that descend from one, itself not among them. */
    public List<TypeElement> below(TypeElement type) {
        TypeMirror erased = workspace.types().erasure(type.asType());
        return types().stream().filter(each -> !each.equals(type) && workspace.types().isSubtype(workspace.types().erasure(each.asType()), erased)).toList();
    }
}
