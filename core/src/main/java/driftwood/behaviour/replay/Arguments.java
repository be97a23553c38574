package driftwood.behaviour.replay;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.view.Ways;
import driftwood.behaviour.view.Ways.Way;
import driftwood.program.Program;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.Mark;
import driftwood.tree.TypeKind;
import driftwood.witness.Make;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Arguments from recorded parts for a list of parameters that has changed since: some parts are handed over in one object
 * now, and beside them comes what the code made by itself before. A wrong guess shows, for then it does something else.
 */
final class Arguments {
    private final Program program;
    private final Ways ways;
    private final Assembly assembly;

    Arguments(Program program, Ways ways, Assembly assembly) {
        this.program = program;
        this.ways = ways;
        this.assembly = assembly;
    }

    /**
     * An argument for each parameter, with every part used once.
     *
     * @param parts by their names in the recording
     * @param scope the type in whose text the parameters' types are written
     * @return empty where a part is left over, or a parameter cannot be filled
     */
    Optional<List<Make>> of(List<ParameterOutline> parameters, Map<String, JsonNode> parts, TypeOutline scope) {
        Set<String> left = new LinkedHashSet<>(parts.keySet());
        parameters.forEach(each -> left.remove(each.name()));
        List<Make> arguments = new ArrayList<>();
        for (ParameterOutline each : parameters) {
            Optional<Make> argument = parts.containsKey(each.name()) ? Optional.of(assembly.make(parts.get(each.name()), each.type(), scope))
                    : program.resolve(each.type(), scope).flatMap(type -> whole(type, left, parts).or(() -> collaborator(type)));
            if (argument.isEmpty()) {
                return Optional.empty();
            }
            arguments.add(argument.get());
        }
        return left.isEmpty() ? Optional.of(arguments) : Optional.empty();
    }

    /** An object of as many of the parts as it can take. @param left those that are in no other; what it takes is removed */
    private Optional<Make> whole(TypeOutline type, Set<String> left, Map<String, JsonNode> parts) {
        Optional<Way> way = Stream.concat(ways.constructors(type).stream(), ways.creators(type).stream())
                .filter(each -> ways.isMakeable(type) && !each.names().isEmpty() && left.containsAll(each.names())).max(Comparator.comparingInt(each -> each.names().size()));
        way.ifPresent(each -> each.names().forEach(left::remove));
        return way.map(each -> assembly.one(type, each, parts));
    }

    /** A class of the project that can be made of nothing, or hands out the one it has. */
    private Optional<Make> collaborator(TypeOutline type) {
        boolean working = type.kind() == TypeKind.CLASS && !type.traits().has(Mark.DATA) && ways.isMakeable(type);
        return working ? Stream.concat(ways.constructors(type).stream(), ways.creators(type).stream()).filter(each -> each.names().isEmpty())
                .findFirst().map(each -> assembly.one(type, each, Map.of())) : Optional.empty();
    }
}
