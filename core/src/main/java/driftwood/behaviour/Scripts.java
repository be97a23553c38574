package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.Assembly.CannotMake;
import driftwood.behaviour.Recording.Case;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.RoutineKind;
import driftwood.tree.TypeRef;
import driftwood.witness.Make;
import driftwood.witness.Script;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;

/** Turns cases, which name things, into scripts for the code as it is now. */
final class Scripts {
    private final Program program;
    private final Ways ways;
    private final Assembly assembly;

    Scripts(Program program) {
        this.program = program;
        this.ways = new Ways(program);
        this.assembly = new Assembly(program, ways);
    }

    /**
     * The script of a case.
     *
     * @throws CannotMake where the code no longer offers what the case needs; the message says what
     */
    Script of(Case each) {
        int hash = each.routine().indexOf('#');
        String owner = each.routine().substring(0, hash);
        TypeOutline type = program.type(owner)
                .orElseThrow(() -> new CannotMake("there is no type " + owner + " any more"));
        List<Make> receiver = each.on() == null || each.on().isNull() ? List.of()
                : List.of(assembly.make(each.on(), new TypeRef(owner), type));
        List<Make.Call> before = new ArrayList<>();
        for (Recording.Step step : each.before() == null ? List.<Recording.Step>of() : each.before()) {
            RoutineOutline routine = routine(type, step.call(), step.given());
            before.add(call(type, routine, step.given()));
        }
        if (each.routine().endsWith("#new")) {
            return new Script(each.id(), receiver, before, List.of(), List.of());
        }
        RoutineOutline routine = observed(type, each);
        List<String> names = routine.parameters().stream().map(ParameterOutline::name).toList();
        return new Script(each.id(), receiver, before, List.of(call(type, routine, each.given())), names);
    }

    /** The routine that a case calls, as the code has it now. */
    RoutineOutline observed(TypeOutline type, Case each) {
        String name = each.routine().substring(each.routine().indexOf('#') + 1, each.routine().indexOf('('));
        return exact(type, each.routine()) != null ? exact(type, each.routine()) : routine(type, name, each.given());
    }

    private RoutineOutline exact(TypeOutline type, String symbol) {
        return type.routines().stream().filter(each -> each.symbol().equals(symbol)).findFirst().orElse(null);
    }

    /** By name and the names of the parameters; failing that, by name and number. Inherited ones count. */
    private RoutineOutline routine(TypeOutline type, String name, ObjectNode given) {
        List<String> wanted = new ArrayList<>();
        if (given != null) {
            given.fieldNames().forEachRemaining(wanted::add);
        }
        List<TypeOutline> owners = new ArrayList<>(List.of(type));
        owners.addAll(program.ancestors(type));
        return owners.stream().flatMap(owner -> owner.routines().stream())
                .filter(each -> each.kind() == RoutineKind.METHOD && each.name().equals(name)
                        && each.parameters().size() == wanted.size())
                .min(Comparator.comparingInt(each -> each.parameters().stream().map(ParameterOutline::name).toList()
                        .equals(wanted) ? 0 : 1))
                .orElseThrow(() -> new CannotMake(type.name() + " has no routine " + name + "("
                        + String.join(", ", wanted) + ") any more"));
    }

    private Make.Call call(TypeOutline type, RoutineOutline routine, ObjectNode given) {
        TypeOutline owner = program.type(routine.owner()).orElse(type);
        List<Make> arguments = new ArrayList<>();
        List<String> parameters = new ArrayList<>();
        Iterator<JsonNode> inOrder = given == null ? List.<JsonNode>of().iterator() : given.elements();
        for (ParameterOutline parameter : routine.parameters()) {
            JsonNode positional = inOrder.hasNext() ? inOrder.next() : NullNode.instance;
            JsonNode value = given != null && given.has(parameter.name()) ? given.get(parameter.name()) : positional;
            TypeRef declared = routine.bound(parameter.type());
            arguments.add(assembly.make(value, declared, owner));
            parameters.add(Assembly.erased(declared, owner));
        }
        return new Make.Call(ways.binaryName(type), List.of(), routine.name(), parameters, arguments);
    }
}
