package driftwood.behaviour.replay;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.replay.Assembly.CannotMake;
import driftwood.behaviour.view.Ways;
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
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Turns cases, which name things, into scripts for the code as it is now. */
public final class Scripts {
    private final Program program;
    private final Ways ways;
    private final Assembly assembly;

    public Scripts(Program program) {
        this.program = program;
        this.ways = new Ways(program);
        this.assembly = new Assembly(program, ways);
    }

    /**
     * The script of a case.
     *
     * @throws CannotMake where the code no longer offers what the case needs; the message says what
     */
    public Script of(Case each) {
        TypeOutline type = program.type(each.owner())
                .orElseThrow(() -> new CannotMake("there is no type " + each.owner() + " in this project any more"));
        boolean bound = each.on() != null && !each.on().isNull();
        List<Make> receiver = bound ? List.of(assembly.make(each.on(), new TypeRef(each.owner()), type)) : List.of();
        Map<String, TypeOutline> alive = new HashMap<>();
        alive.put(Script.THIS, type);
        List<Script.Step> steps = new ArrayList<>();
        for (Step step : each.steps()) {
            String number = Integer.toString(steps.size() + 1);
            if (step.make() != null) {
                steps.add(new Script.Step(Script.NEW, assembly.make(step.make(), TypeRef.NONE, type), List.of()));
                typeOf(step.make()).ifPresent(made -> alive.put(number, made));
            } else {
                String of = step.of() == null ? bound ? Script.THIS : "" : step.of();
                TypeOutline target = of.isEmpty() ? type : alive.get(of);
                if (target == null) {
                    throw new CannotMake("nothing in the case is " + of);
                }
                add(of, target, routine(target, step.call(), step.given(), alive), step.given(), steps, alive);
            }
        }
        if (!each.member().equals("new")) {
            add(bound ? Script.THIS : "", type, observed(type, each, alive), each.given(), steps, alive);
        }
        return new Script(each.id(), receiver, steps);
    }

    private Optional<TypeOutline> typeOf(JsonNode value) {
        return value == null ? Optional.empty() : program.type(value.path(Assembly.TYPE).asText(value.path("standIn").asText()));
    }

    private void add(String of, TypeOutline target, RoutineOutline routine, ObjectNode given, List<Script.Step> steps,
            Map<String, TypeOutline> alive) {
        String number = Integer.toString(steps.size() + 1);
        List<String> names = new ArrayList<>();
        Iterator<Map.Entry<String, JsonNode>> recorded = given == null ? List.<Map.Entry<String, JsonNode>>of().iterator()
                : given.properties().iterator();
        TypeOutline owner = program.type(routine.owner()).orElse(target);
        for (ParameterOutline parameter : routine.parameters()) {
            Map.Entry<String, JsonNode> next = recorded.hasNext() ? recorded.next() : Map.entry(parameter.name(), NullNode.instance);
            boolean named = given != null && given.has(parameter.name());
            boolean inPlace = given == null || given.size() == routine.parameters().size();
            String key = named || !inPlace ? parameter.name() : next.getKey();
            JsonNode value = named ? given.get(key) : inPlace ? next.getValue() : NullNode.instance;
            String name = number + "." + key;
            names.add(key);
            JsonNode same = value.path("same");
            Optional<TypeOutline> meant = same.isTextual() ? Optional.ofNullable(alive.get(same.asText())) : typeOf(value);
            meant.or(() -> program.resolve(routine.bound(parameter.type()), owner)).ifPresent(found -> alive.put(name, found));
        }
        program.resolve(routine.returns(), owner).ifPresent(found -> alive.put(number, found));
        steps.add(new Script.Step(of, call(target, routine, given), names));
    }

    /** The routine that a case calls last, as the code has it now. */
    public RoutineOutline observed(TypeOutline type, Case each) {
        return observed(type, each, Map.of());
    }

    private RoutineOutline observed(TypeOutline type, Case each, Map<String, TypeOutline> alive) {
        return exact(type, each.routine()) != null ? exact(type, each.routine()) : routine(type, each.member(), each.given(), alive);
    }

    private RoutineOutline exact(TypeOutline type, String symbol) {
        return type.routine(symbol).orElse(null);
    }

    /** By name and the names of the parameters; failing that, by name and number. Inherited ones count. */
    private RoutineOutline routine(TypeOutline type, String name, ObjectNode given, Map<String, TypeOutline> alive) {
        List<String> wanted = new ArrayList<>();
        if (given != null) {
            given.fieldNames().forEachRemaining(wanted::add);
        }
        List<TypeOutline> owners = new ArrayList<>(List.of(type));
        owners.addAll(program.ancestors(type));
        return owners.stream().flatMap(owner -> owner.routines().stream())
                .filter(each -> each.kind() == RoutineKind.METHOD && each.name().equals(name)
                        && each.parameters().size() == wanted.size())
                .min(Comparator.comparingInt(each -> misfit(each, wanted, given, alive)))
                .or(() -> owners.stream().flatMap(owner -> owner.routines().stream()).filter(each -> each.kind() == RoutineKind.METHOD
                        && each.name().equals(name) && otherwise(type, each, given).isPresent()).findFirst())
                .orElseThrow(() -> new CannotMake(type.name() + " has no routine " + name + "("
                        + String.join(", ", wanted) + ") any more"));
    }

    /** How badly an overload fits: other names of parameters, and other types than those of what is handed to it. */
    private int misfit(RoutineOutline routine, List<String> wanted, ObjectNode given, Map<String, TypeOutline> alive) {
        int misfit = routine.parameters().stream().map(ParameterOutline::name).toList().equals(wanted) ? 0 : 1;
        for (int i = 0; i < wanted.size(); i++) {
            TypeRef declared = routine.parameters().get(i).type();
            JsonNode value = given.get(wanted.get(i));
            Optional<TypeOutline> handed = value.path("same").isTextual()
                    ? Optional.ofNullable(alive.get(value.get("same").asText())) : typeOf(value);
            Optional<TypeOutline> taken = program.type(routine.owner()).flatMap(owner -> program.resolve(declared, owner));
            boolean fits = handed.isEmpty() || taken.isEmpty() || handed.equals(taken)
                    || program.ancestors(handed.get()).contains(taken.get());
            misfit += fits ? 0 : 2;
        }
        return misfit;
    }

    /** What a routine is handed whose parameters have changed since; empty where they are as many as before. */
    private Optional<List<Make>> otherwise(TypeOutline type, RoutineOutline routine, ObjectNode given) {
        Map<String, JsonNode> parts = new LinkedHashMap<>();
        if (given != null) {
            given.properties().forEach(each -> parts.put(each.getKey(), each.getValue()));
        }
        return routine.parameters().size() == parts.size() ? Optional.empty()
                : assembly.arguments(routine.parameters(), parts, program.type(routine.owner()).orElse(type));
    }

    private Make.Call call(TypeOutline type, RoutineOutline routine, ObjectNode given) {
        TypeOutline owner = program.type(routine.owner()).orElse(type);
        Optional<List<Make>> changed = otherwise(type, routine, given);
        if (changed.isPresent()) {
            return new Make.Call(ways.binaryName(type), List.of(), routine.name(),
                    routine.parameters().stream().map(each -> Assembly.erased(routine.bound(each.type()), owner)).toList(), changed.get());
        }
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
