package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.NewClassTree;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Workspace;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/**
 * A type that is created everywhere in the same way, so that one instance can stand for all.
 *
 * @param type        a class
 * @param constructor its only one
 * @param calls       all creations
 * @param given       the arguments that all of them hand over, as written
 */
record SoleCreation(TypeElement type, ExecutableElement constructor, List<Call> calls, String given) {

    /** @throws Refused where instances differ, or something else makes them */
    static SoleCreation of(Workspace workspace, TypeElement type) {
        List<ExecutableElement> constructors = ElementFilter.constructorsIn(type.getEnclosedElements());
        if (constructors.size() != 1 || !new Calls(workspace).below(type).isEmpty() || !type.getTypeParameters().isEmpty()) {
            throw new Refused(type.getSimpleName() + " has several constructors, subclasses or type parameters");
        }
        ExecutableElement constructor = constructors.get(0);
        List<Call> calls = new Calls(workspace).of(Set.of(constructor));
        String given = null;
        for (Call each : calls) {
            String arguments = each.arguments().stream().map(workspace::text).collect(Collectors.joining(", "));
            Captures captures = Captures.of(workspace, each.arguments());
            if (!captures.read().isEmpty() || captures.needsObject() || !captures.statics().isEmpty() || given != null && !given.equals(arguments)) {
                throw new Refused("it is not created everywhere with the same constant arguments: " + workspace.unit(each.path()).file() + ":" + workspace.unit(each.path()).line(workspace.from(each.path())));
            }
            if (((NewClassTree) each.path().getLeaf()).getClassBody() != null) {
                throw new Refused("an anonymous class descends from it");
            }
            given = arguments;
        }
        if (calls.isEmpty() || !constructor.getThrownTypes().isEmpty()) {
            throw new Refused(calls.isEmpty() ? "nobody creates it" : "its constructor throws " + constructor.getThrownTypes().get(0) + ", which every caller handles in its own way");
        }
        return new SoleCreation(type, constructor, calls, given);
    }
}
