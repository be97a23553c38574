package driftwood.behaviour.replay;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.view.Ways;
import driftwood.behaviour.view.Ways.BuilderWay;
import driftwood.behaviour.view.Ways.Way;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.RoutineKind;
import driftwood.witness.Make;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes objects part by part: with a builder, or with setters behind a constructor that takes some. */
final class Steps {
    private final Program program;
    private final Ways ways;
    private final Assembly assembly;

    Steps(Program program, Ways ways, Assembly assembly) {
        this.program = program;
        this.ways = ways;
        this.assembly = assembly;
    }

    /** A builder: what its creation needs first, the other parts by steps of their names, then the closing step. */
    Optional<Make> built(TypeOutline type, Map<String, JsonNode> parts) {
        Optional<BuilderWay> builder = ways.builder(type);
        if (builder.isEmpty()) {
            return Optional.empty();
        }
        TypeOutline builderType = builder.get().type();
        List<Start> starts = new ArrayList<>();
        ways.constructors(builderType).forEach(way -> starts.add(new Start(builderType, way)));
        for (TypeOutline owner : List.of(type, builderType)) {
            owner.routines().stream().filter(each -> each.traits().isStatic() && program.resolve(each.returns(), owner)
                    .filter(builderType::equals).isPresent()).forEach(each ->
                    starts.add(new Start(owner, new Way(Optional.of(each), each.parameters()))));
        }
        for (Start start : starts) {
            if (!parts.keySet().containsAll(start.way().names())) {
                continue;
            }
            Set<String> rest = new HashSet<>(parts.keySet());
            rest.removeAll(start.way().names());
            Optional<List<Make.Call>> steps = calls(builderType, rest, parts);
            if (steps.isPresent()) {
                Make configured = new Make.Configured(assembly.one(start.owner(), start.way(), parts), steps.get());
                return Optional.of(new Make.Call(ways.binaryName(builderType), List.of(configured),
                        builder.get().build().name(), List.of(), List.of()));
            }
        }
        return Optional.empty();
    }

    /** A way to begin a builder, and the type that declares it. */
    private record Start(TypeOutline owner, Way way) {
    }

    /** A constructor for some of the parts and setters for the others. */
    Optional<Make> set(TypeOutline type, Map<String, JsonNode> parts) {
        for (Way way : ways.constructors(type)) {
            Set<String> rest = new HashSet<>(parts.keySet());
            if (parts.keySet().containsAll(way.names())) {
                rest.removeAll(way.names());
                Optional<List<Make.Call>> steps = calls(type, rest, parts);
                if (steps.isPresent()) {
                    return Optional.of(new Make.Configured(assembly.one(type, way, parts), steps.get()));
                }
            }
        }
        return Optional.empty();
    }

    /** A call for each part, in the order of the recording; empty where a part has none. */
    private Optional<List<Make.Call>> calls(TypeOutline owner, Set<String> names, Map<String, JsonNode> parts) {
        List<Make.Call> calls = new ArrayList<>();
        for (Map.Entry<String, JsonNode> part : parts.entrySet()) {
            if (names.contains(part.getKey())) {
                Optional<RoutineOutline> step = step(owner, part.getKey());
                if (step.isEmpty()) {
                    return Optional.empty();
                }
                ParameterOutline parameter = step.get().parameters().get(0);
                calls.add(new Make.Call(ways.binaryName(owner), List.of(), step.get().name(),
                        List.of(Assembly.erased(parameter.type(), owner)),
                        List.of(assembly.make(part.getValue(), parameter.type(), owner))));
            }
        }
        return Optional.of(calls);
    }

    private static Optional<RoutineOutline> step(TypeOutline owner, String part) {
        String upper = part.substring(0, 1).toUpperCase(Locale.ROOT) + part.substring(1);
        Set<String> names = Set.of(part, "with" + upper, "set" + upper, "having" + upper);
        return owner.routines().stream().filter(each -> each.kind() == RoutineKind.METHOD && !each.traits().isStatic()
                && each.parameters().size() == 1 && names.contains(each.name())).findFirst();
    }
}
