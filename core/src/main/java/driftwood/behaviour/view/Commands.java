package driftwood.behaviour.view;

import driftwood.program.RoutineOutline;
import driftwood.tree.RoutineKind;

/** Which routines are likely to change their object, as far as their declaration tells: a place to begin, no verdict. */
public final class Commands {
    private Commands() {
    }

    public static boolean isLikely(RoutineOutline routine) {
        String name = routine.name();
        return routine.kind() == RoutineKind.METHOD && !routine.traits().isStatic() && !routine.traits().isPrivate()
                && !name.startsWith("_") && !name.matches("(get|is|has|to)[A-Z_].*|hashCode|equals|toString|compareTo|clone|main")
                && (routine.returns().text().equals("void") || !routine.parameters().isEmpty()
                || name.matches("(add|remove|next|open|close|push|pop|set|advance|start|stop|clear|reset).*"));
    }
}
