package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.TryTree;
import com.sun.source.util.TreePath;
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
                throw new Refused("it is not created everywhere with the same constant arguments: " + place(workspace, each.path()));
            }
            if (((NewClassTree) each.path().getLeaf()).getClassBody() != null) {
                throw new Refused("an anonymous class descends from it");
            }
            given = arguments;
        }
        if (calls.isEmpty() || !constructor.getThrownTypes().isEmpty()) {
            throw new Refused(calls.isEmpty() ? "nobody creates it" : "its constructor throws " + constructor.getThrownTypes().get(0) + ", which every caller handles in its own way");
        }
        SoleCreation sole = new SoleCreation(type, constructor, calls, given);
        sole.refuseClosing(workspace);
        return sole;
    }

    /** What one user closes, the others could not use any more. */
    private void refuseClosing(Workspace workspace) {
        for (Call each : calls) {
            if (!workspace.isTest(workspace.unit(each.path())) && each.path().getParentPath().getParentPath().getLeaf() instanceof TryTree) {
                throw new Refused("who creates it closes it again, and the others could not use it any more: " + place(workspace, each.path()));
            }
        }
        for (ExecutableElement each : ElementFilter.methodsIn(type.getEnclosedElements())) {
            if (each.getSimpleName().contentEquals("close") && each.getParameters().isEmpty()) {
                workspace.uses().of(each).stream().filter(use -> !workspace.isTest(workspace.unit(use))).findFirst().ifPresent(use -> {
                    throw new Refused("one user closes it, and the others could not use it any more: " + place(workspace, use));
                });
            }
        }
    }

    private static String place(Workspace workspace, TreePath path) {
        return workspace.unit(path).file() + ":" + workspace.unit(path).line(workspace.from(path));
    }
}
