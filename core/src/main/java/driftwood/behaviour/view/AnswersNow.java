package driftwood.behaviour.view;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiPredicate;

/** Whether a type of the program as it is now can be asked something: by a routine without parameters, or a field. */
public final class AnswersNow implements BiPredicate<String, String> {
    /** What is told of objects of the platform's kinds, whoever declares them. */
    private static final Set<String> ALWAYS = Set.of("elements", "gives", "message", "cause");

    private final Program program;

    public AnswersNow(Program program) {
        this.program = program;
    }

    @Override
    public boolean test(String type, String query) {
        if (ALWAYS.contains(query)) {
            return true;
        }
        Optional<TypeOutline> found = program.type(type);
        if (found.isEmpty()) {
            return false;
        }
        List<TypeOutline> all = new ArrayList<>(List.of(found.get()));
        all.addAll(program.ancestors(found.get()));
        return all.stream().anyMatch(each -> each.routines().stream().anyMatch(routine -> answers(routine, query))
                || each.field(query).filter(field -> !field.traits().isPrivate()).isPresent());
    }

    private static boolean answers(RoutineOutline routine, String query) {
        return routine.name().equals(query) && routine.parameters().isEmpty() && !routine.traits().isPrivate()
                && !routine.traits().isStatic() && !routine.returns().text().equals("void");
    }
}
