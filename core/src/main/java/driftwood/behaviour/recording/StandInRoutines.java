package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What the stand-ins of some cases have to answer: the names of all routines of the interfaces that they stand for, where
 * the project declares them all.
 */
public final class StandInRoutines {
    private final Program program;

    public StandInRoutines(Program program) {
        this.program = program;
    }

    /** Names by the qualified name of the interface; null where no interface of the project is stood in for. */
    public Map<String, List<String>> of(List<Case> cases) {
        Map<String, List<String>> names = new TreeMap<>();
        cases.stream().flatMap(StandInRoutines::inputs).flatMap(each -> each.findValuesAsText("standIn").stream())
                .distinct().forEach(type -> program.type(type).filter(found -> !program.hasForeignParent(found))
                        .ifPresent(found -> names.put(type, names(found))));
        return names.isEmpty() ? null : names;
    }

    private static Stream<JsonNode> inputs(Case each) {
        return Stream.concat(Stream.of(each.on(), each.given()).filter(Objects::nonNull),
                each.steps().stream().flatMap(step -> Stream.of(step.make(), step.given()).filter(Objects::nonNull)));
    }

    private List<String> names(TypeOutline type) {
        List<TypeOutline> all = new ArrayList<>(List.of(type));
        all.addAll(program.ancestors(type));
        TreeSet<String> names = new TreeSet<>();
        all.forEach(each -> each.routines().stream().map(RoutineOutline::name).forEach(names::add));
        return List.copyOf(names);
    }
}
