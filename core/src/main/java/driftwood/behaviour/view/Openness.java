package driftwood.behaviour.view;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import driftwood.source.Language;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/**
 * Which routines of a type its clients see: public ones, and others that code of another type does call. Where a type
 * has neither, it was written for its neighbours, and they see whatever is not private.
 */
final class Openness {
    /** Public because the language wants it so. */
    private static final Set<String> FORCED = Set.of("main", "equals", "hashCode", "toString", "compareTo");

    private final Program program;
    private final Callers callers;
    private final Map<String, Boolean> sheltered = new HashMap<>();

    Openness(Program program) {
        this.program = program;
        this.callers = new Callers(program);
    }

    boolean isOpen(TypeOutline type, RoutineOutline routine) {
        if (program.fileOf(type).language().has(Language.Habit.PRIVATE_BY_NAME)) {
            return !routine.name().startsWith("_");
        }
        return !routine.traits().isPrivate() && (shows(type, routine) || sheltered.computeIfAbsent(type.name(), key ->
                type.routines().stream().filter(each -> !each.isConstructor() && !each.traits().isPrivate() && !FORCED.contains(each.name()))
                        .noneMatch(each -> shows(type, each))));
    }

    private boolean shows(TypeOutline type, RoutineOutline routine) {
        return routine.traits().isPublic() || type.isInterface() || callers.fromElsewhere(type, routine);
    }
}
