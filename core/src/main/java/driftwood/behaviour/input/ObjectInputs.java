package driftwood.behaviour.input;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.replay.Assembly;
import driftwood.behaviour.view.Commands;
import driftwood.behaviour.view.Ways;
import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Objects of the project's own types worth trying, as JSON that names their parts. */
final class ObjectInputs {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Values to try for an attribute. */
    private static final int ATTRIBUTES = 4;
    /** Objects that were called before are made down to this level, each by so many of its routines. */
    private static final int MOST_GROWN = 3;
    private static final int COMMANDS = 3;

    private final Program program;
    private final Ways ways;
    private final Inputs inputs;
    private final Map<Wanted, Set<JsonNode>> known = new HashMap<>();

    /** Objects asked for: the same type is met again and again among the parts of others. */
    private record Wanted(TypeOutline type, int most, int depth) {
    }

    /** @param inputs for the parts */
    ObjectInputs(Program program, Ways ways, Inputs inputs) {
        this.program = program;
        this.ways = ways;
        this.inputs = inputs;
    }

    /** Objects of a type. @param depth how deep inside of other objects, from 0 */
    Set<JsonNode> of(TypeOutline type, int most, int depth) {
        Wanted wanted = new Wanted(type, most, depth);
        if (!known.containsKey(wanted)) {
            known.put(wanted, made(type, most, depth));
        }
        return known.get(wanted);
    }

    /** Each concrete subtype, each with its parts combined. */
    private Set<JsonNode> made(TypeOutline type, int most, int depth) {
        Set<JsonNode> values = new LinkedHashSet<>();
        if (!type.constants().isEmpty()) {
            type.constants().forEach(name -> values.add(JSON.objectNode().put("enum", type.name() + "." + name)));
            return values;
        }
        List<TypeOutline> concrete = new ArrayList<>();
        if (ways.isMakeable(type)) {
            concrete.add(type);
        }
        program.descendants(type).stream().filter(each -> ways.isMakeable(each) && !program.fileOf(each).test())
                .forEach(concrete::add);
        if (concrete.isEmpty() || depth >= Inputs.DEEPEST) {
            if (type.isInterface()) {
                values.add(JSON.objectNode().put("standIn", type.name()));
            }
            return values;
        }
        int share = Math.max(depth == 0 ? 4 : 1, most / concrete.size());
        List<List<ObjectNode>> bySubtype = new ArrayList<>();
        for (TypeOutline each : concrete) {
            bySubtype.add(ofType(each, share, depth));
        }
        bySubtype.replaceAll(each -> each.subList(0, Math.min(each.size(), share)));
        List<List<JsonNode>> grown = new ArrayList<>();
        for (int i = 0; i < concrete.size() && depth < MOST_GROWN; i++) {
            grown.add(grown(concrete.get(i), bySubtype.get(i), depth));
        }
        List<JsonNode> plain = Inputs.inTurn(bySubtype);
        int before = Math.min(plain.size(), Math.max(concrete.size(), most / 2));
        values.addAll(plain.subList(0, before));
        values.addAll(Inputs.inTurn(grown));
        values.addAll(plain.subList(before, plain.size()));
        return values;
    }

    /** An object that was called once, and one that was called twice: what holds others is worth trying with something in it. */
    private List<JsonNode> grown(TypeOutline type, List<ObjectNode> plain, int depth) {
        List<JsonNode> grown = new ArrayList<>();
        List<RoutineOutline> commands = type.routines().stream().filter(each -> each.parameters().size() <= 2 && Commands.isLikely(each)
                && (!each.parameters().isEmpty() || each.returns().text().equals("void"))).limit(COMMANDS).toList();
        if (plain.isEmpty() || commands.isEmpty()) {
            return grown;
        }
        List<ObjectNode> calls = new ArrayList<>();
        for (RoutineOutline each : commands) {
            List<ObjectNode> given = each.parameters().isEmpty() ? List.of(JSON.objectNode())
                    : inputs.combinations(each.parameters(), type, 3, depth + 1);
            given.forEach(one -> calls.add(JSON.objectNode().put("call", each.name()).set("given", one)));
        }
        for (int i = 0; i < calls.size() && grown.size() < 2 * COMMANDS; i++) {
            ObjectNode object = plain.get(i % plain.size()).deepCopy();
            if (!object.has(Assembly.THEN)) {
                object.putArray(Assembly.THEN).add(calls.get(i));
                if (i % 2 == 1) {
                    object.withArray(Assembly.THEN).add(calls.get((i + 1) % calls.size()));
                }
                grown.add(object);
            }
        }
        return grown;
    }

    /** Objects of one concrete type, made by its fullest constructor; without one, by its creation routines in turn. */
    private List<ObjectNode> ofType(TypeOutline type, int most, int depth) {
        Optional<Ways.Way> constructor = ways.fullest(type);
        if (constructor.isPresent() && program.fileOf(type).language().isDuckTyped()) {
            List<ParameterOutline> needed = constructor.get().parameters().stream().filter(each -> !each.optional()).toList();
            Set<ObjectNode> made = new LinkedHashSet<>(needed.size() < constructor.get().parameters().size()
                    ? ofWay(type, needed, Math.max(1, most / 3), depth) : List.of());
            made.addAll(ofConstructors(type, most, depth));
            return withAttributes(type, List.copyOf(made), depth);
        }
        if (constructor.isPresent()) {
            return ofConstructors(type, most, depth);
        }
        List<ObjectNode> made = new ArrayList<>();
        List<Ways.Way> creators = ways.creators(type);
        for (Ways.Way way : creators) {
            String by = way.routine().orElseThrow().name();
            for (ObjectNode object : ofWay(type, way.parameters(), Math.max(1, most / creators.size()), depth)) {
                ObjectNode told = JSON.objectNode().put(Assembly.TYPE, type.name()).put(Assembly.BY, by);
                object.remove(Assembly.TYPE);
                made.add(told.setAll(object));
            }
        }
        return made;
    }

    /** By the fullest constructor, and some by each of the others: they may lead to states of their own. */
    private List<ObjectNode> ofConstructors(TypeOutline type, int most, int depth) {
        List<Ways.Way> all = new ArrayList<>(ways.constructors(type));
        all.sort(Comparator.comparing((Ways.Way way) -> way.parameters().size()).reversed());
        Set<ObjectNode> made = new LinkedHashSet<>(ofWay(type, all.get(0).parameters(), most, depth));
        int others = depth >= Inputs.DEEPEST - 1 ? 0 : Math.max(1, most / (2 * all.size()));
        for (Ways.Way way : all.subList(1, all.size())) {
            ofWay(type, way.parameters(), others, depth).stream().limit(others).forEach(made::add);
        }
        List<ObjectNode> mixed = new ArrayList<>(made);
        int kept = Math.max(1, most - others * (all.size() - 1));
        if (mixed.size() > most && kept < mixed.size()) {
            List<ObjectNode> shorter = new ArrayList<>(mixed.subList(0, Math.min(kept, mixed.size())));
            shorter.addAll(mixed.subList(Math.max(kept, mixed.size() - others * (all.size() - 1)), mixed.size()));
            return shorter;
        }
        return mixed;
    }

    /** Where anybody may set what a constructor does not take, that is a state worth trying too. */
    private List<ObjectNode> withAttributes(TypeOutline type, List<ObjectNode> bare, int depth) {
        List<ObjectNode> made = new ArrayList<>(bare);
        for (FieldOutline field : type.fields()) {
            boolean open = !field.name().startsWith("_") && !field.traits().isStatic() && field.type().isPresent();
            if (!bare.isEmpty() && open && !bare.get(0).has(field.name())) {
                inputs.values(field.type(), type, field.name(), ATTRIBUTES, depth + 1).stream()
                        .filter(each -> !each.isNull() && !(each.isArray() && each.isEmpty())).forEach(each ->
                        made.add(bare.get(made.size() % bare.size()).deepCopy().set(field.name(), each)));
            }
        }
        return made;
    }

    /** Objects of one type made from given parameters. */
    List<ObjectNode> ofWay(TypeOutline type, List<ParameterOutline> parameters, int most, int depth) {
        List<ObjectNode> made = new ArrayList<>();
        for (ObjectNode parts : inputs.combinations(parameters, type, most, depth + 1)) {
            ObjectNode object = JSON.objectNode().put(Assembly.TYPE, type.name());
            object.setAll(parts);
            made.add(object);
        }
        return made;
    }
}
