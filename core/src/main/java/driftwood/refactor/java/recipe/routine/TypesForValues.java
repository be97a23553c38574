package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.ValueType;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.construction.CrossedCall;
import driftwood.refactor.java.recipe.construction.CrossedRecipe;
import driftwood.smell.RoutineFacts.Swap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;

/**
 * parameter-object for arguments that stand in each other's place: the call is corrected, which is meant to change what
 * it does, and what was mixed up gets types of its own, so that it does not fit any more.
 */
public final class TypesForValues implements CrossedRecipe {

    @Override
    public String pattern() {
        return "parameter-object";
    }

    @Override
    public void write(Drafting drafting) {
        new Telling(drafting, (Swap) drafting.finding().detail()).write();
    }

    private static final class Telling {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement routine;
        private final TypeElement owner;
        private final Set<ExecutableElement> family;
        private final List<Call> calls;
        /** Names of the new types, by the place of the parameter. */
        private final Map<Integer, String> types = new LinkedHashMap<>();

        Telling(Drafting drafting, Swap fact) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.routine = workspace.routine(fact.routine());
            this.owner = (TypeElement) routine.getEnclosingElement();
            if (routine.getKind() == ElementKind.CONSTRUCTOR) {
                Constructors.refuseAnnotated(routine);
            }
            if (routine.getKind() == ElementKind.CONSTRUCTOR && owner.getKind() == ElementKind.RECORD) {
                throw new Refused("the parameters are the parts of a record");
            }
            Calls all = new Calls(workspace);
            this.family = all.family(routine);
            this.calls = all.of(family);
            for (int i = 0; i < routine.getParameters().size(); i++) {
                VariableElement each = routine.getParameters().get(i);
                if (fact.parameters().contains(each.getSimpleName().toString())) {
                    refuse(each, i);
                    String word = Words.upper(each.getSimpleName().toString());
                    types.put(i, drafting.typeName(each.getSimpleName().toString(), owner, word, Words.upper(routine.getSimpleName().toString().replace("<init>", owner.getSimpleName())) + word));
                }
            }
            if (types.size() < 2) {
                throw new Refused("what is mixed up are no parameters of " + Constructors.told(routine));
            }
        }

        private void refuse(VariableElement parameter, int at) {
            boolean variadic = routine.isVarArgs() && at == routine.getParameters().size() - 1;
            if (variadic || parameter.asType().getKind() == TypeKind.TYPEVAR || !parameter.getAnnotationMirrors().isEmpty()) {
                throw new Refused("parameter " + parameter.getSimpleName() + " can have no type of its own: " + (variadic ? "it takes any number of values"
                        : parameter.getAnnotationMirrors().isEmpty() ? "its type is a type parameter" : "it is annotated with " + parameter.getAnnotationMirrors().get(0)));
            }
            for (ExecutableElement each : family) {
                MethodTree tree = workspace.tree(each);
                if (tree.getBody() != null && Captures.of(workspace, List.of(new TreePath(workspace.path(each).orElseThrow(), tree.getBody()))).written().contains(each.getParameters().get(at))) {
                    throw new Refused(Constructors.told(each) + " gives its parameter " + parameter.getSimpleName() + " another value");
                }
            }
        }

        void write() {
            new CrossedCall(drafting, routine, calls, types.keySet()).correct();
            drafting.script().stage("Add " + String.join(" and ", types.values()) + ", so that what was mixed up has types of its own", List.of(workspace.place(workspace.path(routine).orElseThrow(), "its parameters")));
            types.forEach(this::add);
            drafting.script().stage("Let " + (routine.getKind() == ElementKind.CONSTRUCTOR ? "the constructor of " + owner.getSimpleName() : routine.getSimpleName() + "()") + " take them",
                    calls.stream().map(each -> workspace.place(each.path(), "names what it hands over")).toList());
            family.forEach(this::change);
            calls.forEach(this::wrap);
        }

        private void add(int at, String type) {
            VariableElement parameter = routine.getParameters().get(at);
            NewFile file = new NewFile(drafting, workspace.unit(workspace.path(owner).orElseThrow()), type);
            String code = ValueType.code(drafting, Drafting.openness(routine), type, Map.of("value", file.name(parameter.asType())));
            file.write("/** The " + parameter.getSimpleName() + " that " + (routine.getKind() == ElementKind.CONSTRUCTOR ? Words.one(owner.getSimpleName()) + " has" : routine.getSimpleName() + "() is told") + ". */\n" + code);
        }

        private void change(ExecutableElement each) {
            drafting.changes(each);
            TreePath path = workspace.path(each).orElseThrow();
            MethodTree tree = workspace.tree(each);
            Unit unit = workspace.unit(path);
            types.forEach((at, type) -> {
                TreePath declared = new TreePath(path, tree.getParameters().get(at));
                TreePath kind = new TreePath(declared, tree.getParameters().get(at).getType());
                drafting.script().replace(unit.file(), workspace.from(kind), workspace.to(kind), typeName(type, unit));
                if (tree.getBody() != null) {
                    for (TreePath use : workspace.uses().of(each.getParameters().get(at), new TreePath(path, tree.getBody()))) {
                        drafting.script().insert(unit.file(), workspace.to(use), ".value()");
                    }
                }
            });
        }

        private void wrap(Call call) {
            drafting.callSite(call.path());
            Unit unit = workspace.unit(call.path());
            types.forEach((at, type) -> {
                TreePath argument = call.arguments().get(at);
                drafting.script().replace(unit.file(), workspace.from(argument), workspace.to(argument),
                        "new " + typeName(type, unit) + "(" + drafting.script().text(unit.file(), workspace.from(argument), workspace.to(argument)) + ")");
            });
        }

        private String typeName(String type, Unit unit) {
            String around = workspace.elements().getPackageOf(owner).getQualifiedName().toString();
            return drafting.imports().platform(around.isEmpty() ? type : around + "." + type, unit);
        }
    }
}
