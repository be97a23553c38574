package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.RoutineFacts.Swap;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/**
 * builder for arguments that stand in each other's place: the call is corrected, which is meant to change what it does,
 * and what was mixed up is said by name from then on; a part that nobody said is refused when it is built.
 */
public final class StepsByName implements CrossedRecipe {

    @Override
    public String pattern() {
        return "builder";
    }

    @Override
    public List<String> forms() {
        return List.of(BuilderPlace.STATIC_ENTRY, BuilderPlace.NESTED, BuilderPlace.SEPARATE);
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        Swap fact = (Swap) drafting.finding().detail();
        ExecutableElement routine = workspace.routine(fact.routine());
        if (routine.getKind() != ElementKind.CONSTRUCTOR) {
            throw new Refused(routine.getSimpleName() + "() is a routine: a builder would have to hold its arguments until it is called; types of their own for what is mixed up are simpler");
        }
        Set<Integer> crossed = new TreeSet<>();
        for (int i = 0; i < routine.getParameters().size(); i++) {
            if (fact.parameters().contains(routine.getParameters().get(i).getSimpleName().toString())) {
                crossed.add(i);
            }
        }
        new Naming(drafting, routine, crossed).write();
    }

    /** One constructor whose callers are moved to a builder. */
    private static final class Naming {
        private static final int MOST_FIRST = 3;
        private final Drafting drafting;
        private final Workspace workspace;
        private final Script script;
        private final ExecutableElement constructor;
        private final TypeElement type;
        private final TreePath home;
        private final Set<Integer> told;
        private final List<Call> calls;
        private final CrossedCall crossed;
        private final BuilderPlace place;

        Naming(Drafting drafting, ExecutableElement constructor, Set<Integer> crossed) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.script = drafting.script();
            this.constructor = constructor;
            this.type = (TypeElement) constructor.getEnclosingElement();
            this.home = workspace.path(type).orElseThrow();
            BuilderCode.refuse(type, List.of(constructor));
            this.calls = new Calls(workspace).of(Set.of(constructor));
            this.crossed = new CrossedCall(drafting, constructor, calls, crossed);
            if (!isBuilt(this.crossed.call())) {
                throw new Refused("the call hands its arguments to a constructor of the same object, where a builder has no place; types of their own for what is mixed up are the way here");
            }
            this.place = new BuilderPlace(drafting, type);
            // Many parts in a row would be mixed up again.
            boolean all = constructor.getParameters().size() - crossed.size() > MOST_FIRST;
            this.told = new TreeSet<>(crossed);
            for (int i = 0; all && i < constructor.getParameters().size(); i++) {
                told.add(i);
            }
        }

        private static boolean isBuilt(Call call) {
            return call.path().getLeaf() instanceof NewClassTree creation && creation.getClassBody() == null;
        }

        void write() {
            crossed.correct();
            script.stage("Add " + place.told() + ", which is told by name what was mixed up", List.of(workspace.place(home, "its builder")));
            String open = Drafting.visibility(constructor);
            List<String> none = Collections.nCopies(constructor.getParameters().size(), null);
            BuilderCode code = new BuilderCode(drafting, constructor, new BuilderCode.Parts(none, told), place);
            boolean record = type.getKind() == ElementKind.RECORD;
            if (!record) {
                refuseAmbiguous();
                drafting.declarations().add(home, code.constructor(!calls.stream().allMatch(Naming::isBuilt)), Where.CONSTRUCTORS);
            }
            code.add(open);
            List<Call> building = calls.stream().filter(Naming::isBuilt).toList();
            script.stage("Let all who create a " + type.getSimpleName() + " say its parts by name", building.stream().map(each -> workspace.place(each.path(), "uses the builder")).toList());
            building.forEach(this::redirect);
            if (building.size() == calls.size() && !record) {
                script.stage("Remove the constructor that nobody calls any more", List.of(workspace.place(workspace.path(constructor).orElseThrow(), "goes")));
                drafting.changes(constructor);
                drafting.declarations().remove(workspace.path(constructor).orElseThrow());
            }
        }

        /** Beside a constructor that takes a builder, a bare null would no longer say which one it means. */
        private void refuseAmbiguous() {
            for (ExecutableElement each : ElementFilter.constructorsIn(type.getEnclosedElements())) {
                if (each.getParameters().size() == 1 && !each.getParameters().get(0).asType().getKind().isPrimitive()) {
                    throw new Refused(Constructors.told(each) + " takes one object as well: a bare null would no longer say which constructor it means");
                }
            }
        }

        private void redirect(Call call) {
            drafting.callSite(call.path());
            Unit site = workspace.unit(call.path());
            List<String> first = new ArrayList<>();
            List<String> steps = new ArrayList<>();
            List<TreePath> order = new ArrayList<>();
            for (int i = 0; i < call.arguments().size(); i++) {
                TreePath argument = call.arguments().get(i);
                String value = script.text(site.file(), workspace.from(argument), workspace.to(argument));
                if (told.contains(i)) {
                    steps.add("." + constructor.getParameters().get(i).getSimpleName() + "(" + value + ")");
                    order.add(argument);
                } else {
                    first.add(value);
                    order.add(first.size() - 1, argument);
                }
            }
            Purity.refuseReordered(workspace, call.arguments(), order);
            steps.add(".build()");
            int from = workspace.from(call.path());
            script.replace(site.file(), from, workspace.to(call.path()), site.chain(from, place.begin(call.path(), workspace.text(call.name()), String.join(", ", first)), steps));
        }
    }
}
