package driftwood.behaviour.view;

import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;

/** Who calls a routine. */
final class Callers {
    private final Program program;

    Callers(Program program) {
        this.program = program;
    }

    /** Whether code of another type of the project calls a routine; its own nested types are no others. */
    boolean fromElsewhere(TypeOutline type, RoutineOutline routine) {
        String top = top(type);
        for (CallFact call : program.callsOf(routine.name())) {
            boolean elsewhere = program.type(call.within()).map(within -> !top(within).equals(top)).orElse(false);
            if (elsewhere && program.routinesAt(call.trail(), call.within()).stream().anyMatch(found -> isMeant(found, routine))) {
                return true;
            }
        }
        return false;
    }

    private boolean isMeant(RoutineOutline found, RoutineOutline routine) {
        return found.equals(routine) || found.parameters().size() == routine.parameters().size()
                && program.rootOf(found).equals(program.rootOf(routine));
    }

    private String top(TypeOutline type) {
        TypeOutline at = type;
        while (!at.outer().isEmpty() && program.type(at.outer()).filter(outer -> !outer.isModule()).isPresent()) {
            at = program.type(at.outer()).get();
        }
        return at.name();
    }
}
