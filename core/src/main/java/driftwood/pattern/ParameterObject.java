package driftwood.pattern;

import driftwood.pattern.Advice.Only;
import driftwood.pattern.Answer.Cost;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Parameters;
import driftwood.source.Language;
import driftwood.source.Language.Habit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** parameter-object for a long list: flags become options with names; what goes through several routines together becomes a value. */
public final class ParameterObject implements Computed {
    private static final int FEWEST = 3;
    /** As many parameters as nobody complains of. */
    private static final int LEFT = 5;
    private static final Set<String> TRUTHS = Set.of("boolean", "bool");
    private static final Cost COST = new Cost(1, 14, "one object to create at each call");
    private static final Map<String, String> CAST = Map.of("routine", "the routine");
    private static final String MOVE = "Move the callers over, one at a time; remove the old.";
    private static final String SECOND = "Add a second form of {routine} that takes it, and let the old one call it.";

    @Override
    public String key() {
        return "parameter-object";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        return finding.detail() instanceof Parameters fact ? Optional.of(advice(finding, fact, program).fit(key(), fact)) : Optional.empty();
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Parameters fact = (Parameters) finding.detail();
        return advice(finding, fact, site.program()).answer(finding, fact);
    }

    private static Advice advice(Finding finding, Parameters fact, Program program) {
        Optional<TypeOutline> type = program.type(Symbol.of(fact.routine()).type());
        Optional<RoutineOutline> routine = type.flatMap(each -> each.routine(fact.routine()));
        List<String> flags = routine.filter(each -> !isNamed(finding)).map(ParameterObject::flags).orElse(List.of());
        if (!flags.isEmpty()) {
            return new Advice(Only.ANYTHING, 0.58, told(flags) + " are flags: as options with names, a caller says only those that it sets", CAST,
                    List.of("Declare a type for the flags " + told(flags) + ", with a value in which none is set, and a copy for each in which it is.", SECOND, MOVE), COST,
                    List.of("one more option: callers stay as they are"));
        }
        List<String> together = routine.map(each -> together(type.get(), each)).orElse(List.of());
        if (!together.isEmpty()) {
            return new Advice(Only.ANYTHING, 0.56, told(together) + " go through other routines together as well, and can have a name", CAST,
                    List.of("Declare a type for " + told(together) + ", with their checks.", SECOND, MOVE), COST, List.of("a field of the object, and the callers that set it"));
        }
        return new Advice(Only.ANYTHING, 0.46, "what belongs together of {parameters} can have a name; no other routine here takes them together", CAST,
                List.of("Choose the parameters that belong together; where none do, the routine does too much, and is to be split first.", "Declare a type for them, with their checks.",
                        SECOND, MOVE), COST, List.of("a field of the object, and the callers that set it"));
    }

    /** Where callers name what they pass, nobody mixes flags up. */
    private static boolean isNamed(Finding finding) {
        return Language.ofKey(finding.language()).filter(each -> each.has(Habit.NAMED_ARGUMENTS)).isPresent();
    }

    /** The flags of a routine; none where they are too few, or too much would be left beside them. */
    private static List<String> flags(RoutineOutline routine) {
        List<String> flags = routine.parameters().stream().filter(each -> TRUTHS.contains(each.type().text()) && !each.variadic()).map(ParameterOutline::name).toList();
        return areOptions(flags.size(), routine.parameters().size()) ? flags : List.of();
    }

    /** Whether so many flags among so many parameters are better options: enough of them, and little left beside them. */
    public static boolean areOptions(int flags, int parameters) {
        return flags >= FEWEST && parameters - flags + 1 <= LEFT;
    }

    /** The most that another routine of the type takes as well; none where that is little, or leaves much. */
    private static List<String> together(TypeOutline type, RoutineOutline routine) {
        List<String> most = List.of();
        for (RoutineOutline other : type.routines()) {
            if (!other.name().equals(routine.name())) {
                List<String> shared = new ArrayList<>();
                for (ParameterOutline each : routine.parameters()) {
                    if (other.parameters().stream().anyMatch(one -> one.name().equals(each.name()) && one.type().equals(each.type()))) {
                        shared.add(each.name());
                    }
                }
                most = shared.size() > most.size() ? shared : most;
            }
        }
        return most.size() >= FEWEST && routine.parameters().size() - most.size() < LEFT ? most : List.of();
    }

    private static String told(List<String> names) {
        return names.size() > 4 ? String.join(", ", names.subList(0, 3)) + " and " + (names.size() - 3) + " more"
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.get(names.size() - 1);
    }
}
