package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.nothing.GuardReader.Guard;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Finding;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.ArrayType;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;

/** null-object, of a container: an empty one stands where null stood, if no caller tells the two apart. */
public final class EmptyResult implements Recipe {
    /** What gives an empty one, by the type. */
    private static final Map<String, String> EMPTY = Map.of("List", "emptyList", "Collection", "emptyList", "Iterable", "emptyList", "Set", "emptySet", "Map", "emptyMap");

    /** Whether what may be nothing is a container. @param type as it is declared */
    static boolean isContainer(String type) {
        TypeRef ref = new TypeRef(type);
        return ref.isArray() || EMPTY.containsKey(ref.simpleName());
    }

    @Override
    public String pattern() {
        return "null-object";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Nothing fact && Symbol.of(fact.source()).isRoutine() && isContainer(fact.yields());
    }

    @Override
    public Set<String> words(Finding finding) {
        Nothing fact = (Nothing) finding.detail();
        return new LinkedHashSet<>(List.of(Symbol.of(fact.source()).simpleType(), Symbol.of(fact.source()).member()));
    }

    @Override
    public void write(Drafting drafting) {
        ExecutableElement source = drafting.workspace().routine(((Nothing) drafting.finding().detail()).source());
        if (source.getReturnType() instanceof DeclaredType declared && !((TypeElement) declared.asElement()).getQualifiedName().toString().startsWith("java.")) {
            // The project's own type of that name.
            drafting.follow(new NeutralObject().words(drafting.finding()));
            new NeutralObject().write(drafting);
            return;
        }
        new Emptying(drafting, source).write();
    }

    private static final class Emptying {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement source;
        private final Set<ExecutableElement> family;
        private final List<Call> calls;
        private final Returned returned;
        private final GuardsOut out;

        Emptying(Drafting drafting, ExecutableElement source) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.source = source;
            this.out = new GuardsOut(drafting);
            Calls all = new Calls(workspace);
            this.family = all.family(source);
            this.calls = all.of(family);
            this.returned = new Returned(workspace, family);
        }

        void write() {
            String kind = kind(source.getReturnType());
            for (Call each : calls) {
                drafting.callSite(each.path());
                out.answers(each.path());
                if (!returned.isHandedOn(each.path())) {
                    understand(each);
                }
            }
            if (out.isEmpty()) {
                throw new Refused("no guard is found");
            }
            drafting.script().stage("Let " + source.getSimpleName() + "() answer an empty " + kind + " instead of null, and take the guards out", out.places());
            family.forEach(each -> change(each, kind));
            out.open();
        }

        /** @throws Refused where a caller tells an empty container from nothing, or may */
        private void understand(Call call) {
            String where = workspace.unit(call.path()).file() + ":" + workspace.unit(call.path()).line(workspace.from(call.path()));
            TreePath declared = call.path().getParentPath();
            if (!(declared.getLeaf() instanceof VariableTree) || !(workspace.element(declared) instanceof VariableElement local) || workspace.uses().of(local).stream().anyMatch(Moving::isWritten)) {
                throw new Refused((declared.getLeaf() instanceof MemberSelectTree ? "a caller does not guard, and fails today where there is nothing: "
                        : declared.getLeaf() instanceof BinaryTree ? "a caller asks for it and compares it, without a local of its own: " : "a caller hands on what it gets: ") + where);
            }
            EmptyGuards reader = new EmptyGuards(local.getSimpleName().toString());
            List<Guard> guards = new ArrayList<>();
            List<TreePath> others = new ArrayList<>();
            Set<Tree> asking = new LinkedHashSet<>();
            for (TreePath use : workspace.uses().of(local)) {
                TreePath test = use.getParentPath();
                if (!Guards.isComparison(test.getLeaf())) {
                    others.add(use);
                    continue;
                }
                Guard guard = reader.guard(test);
                if (guard == null) {
                    throw new Refused("whether a caller may take an empty " + kind(source.getReturnType()) + " for nothing is for somebody to say who knows it: " + workspace.unit(test).file() + ":" + workspace.unit(test).line(workspace.from(test)));
                }
                guards.add(guard);
                if (EmptyGuards.isFollowed(guard)) {
                    asking.add(test.getLeaf());
                }
            }
            Guards there = new Guards(asking::contains);
            if (!others.stream().allMatch(use -> guards.stream().flatMap(each -> each.reach().stream()).anyMatch(reach -> Uses.isWithin(use, reach)) || there.isThere(use, declared.getParentPath()))) {
                throw new Refused("a caller does not guard, and fails today where there is nothing: " + where);
            }
            guards.forEach(out::add);
        }

        /** What an empty one is called. @throws Refused where there is none that everybody may have */
        private String kind(TypeMirror type) {
            if (type instanceof ArrayType array && !(array.getComponentType() instanceof DeclaredType part && !part.getTypeArguments().isEmpty())) {
                return "array";
            }
            if (type instanceof DeclaredType declared && ((TypeElement) declared.asElement()).getQualifiedName().toString().matches("java\\.(util|lang)\\.\\w+")
                    && EMPTY.containsKey(declared.asElement().getSimpleName().toString())) {
                return declared.asElement().getSimpleName().toString().toLowerCase(java.util.Locale.ROOT);
            }
            throw new Refused("there is no empty " + Nullness.bare(type) + " that everybody could be given");
        }

        private String none(Unit unit) {
            if (source.getReturnType() instanceof ArrayType array) {
                String dimensions = "";
                TypeMirror part = array.getComponentType();
                for (; part instanceof ArrayType deeper; part = deeper.getComponentType()) {
                    dimensions += "[]";
                }
                return "new " + drafting.imports().name(part, unit) + "[0]" + dimensions;
            }
            return drafting.imports().platform("java.util.Collections", unit) + "." + EMPTY.get(((DeclaredType) source.getReturnType()).asElement().getSimpleName().toString()) + "()";
        }

        private void change(ExecutableElement each, String kind) {
            drafting.answersOtherwise(each);
            TreePath path = workspace.path(each).orElseThrow();
            MethodTree tree = (MethodTree) path.getLeaf();
            Unit unit = workspace.unit(path);
            Nullness.forget(drafting, path, tree.getModifiers());
            Comments.rewrite(drafting, path, comment -> Comments.returning(comment, "an empty " + kind));
            String none = none(unit);
            returned.values(path).forEach(value -> out.wrap(value, none, unit));
        }
    }
}
