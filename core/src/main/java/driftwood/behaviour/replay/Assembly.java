package driftwood.behaviour.replay;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.view.Ways;
import driftwood.behaviour.view.Ways.Way;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.TypeRef;
import driftwood.witness.Make;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Turns values that name their parts into ways to make them with what the code offers now: a constructor with the same
 * names, a creation routine, a builder with steps of these names, or setters. So a recording made through a constructor
 * can be replayed through a builder.
 */
public final class Assembly {
    /** The key under which an object tells its type. */
    public static final String TYPE = "is";
    /** The key under which an object tells the creation routine that made it: its name carries meaning. */
    public static final String BY = "by";
    /** The key under which an object tells the calls that brought it into its state. */
    public static final String THEN = "then";

    private final Program program;
    private final Ways ways;
    private final Overloads overloads;
    private final Steps steps;
    private final Arguments arguments;

    /** A value cannot be made with the code as it is now. The message says why. */
    public static final class CannotMake extends RuntimeException {
        private static final long serialVersionUID = 1;

        CannotMake(String why) {
            super(why);
        }
    }

    Assembly(Program program, Ways ways) {
        this.program = program;
        this.ways = ways;
        this.overloads = new Overloads(program);
        this.steps = new Steps(program, ways, this);
        this.arguments = new Arguments(program, ways, this);
    }

    /**
     * How to make a value.
     *
     * @param declared the type it is declared with, NONE where that is not known
     * @param scope    the type in whose text the declared type is written
     * @throws CannotMake where the code offers no way, or several that differ
     */
    Make make(JsonNode value, TypeRef declared, TypeOutline scope) {
        if (value.isValueNode()) {
            return PlainValues.make(value, declared);
        }
        if (value.isArray()) {
            return declared.isArray() ? many("array", elementName(declared.element(), scope), value, declared.element(),
                    scope) : many("list", "", value, argument(declared, 0), scope);
        }
        return structured(value, declared, scope);
    }

    private String elementName(TypeRef element, TypeOutline scope) {
        return program.resolve(element, scope).map(ways::binaryName).orElse(element.simpleName());
    }

    private static TypeRef argument(TypeRef type, int at) {
        List<TypeRef> arguments = type.arguments();
        return arguments.size() > at ? arguments.get(at) : TypeRef.NONE;
    }

    private Make many(String kind, String type, JsonNode items, TypeRef element, TypeOutline scope) {
        List<Make> made = new ArrayList<>();
        items.forEach(item -> made.add(make(item, element, scope)));
        return new Make.Many(kind, type, made);
    }

    private Make structured(JsonNode value, TypeRef declared, TypeOutline scope) {
        if (program.type(value.path(TYPE).asText()).isPresent()) {
            return object(value);
        }
        if (value.has("same")) {
            return new Make.Same(value.get("same").asText());
        }
        // driftwood: leave conditional-instantiation because this is the one reader of inputs that people write
        if (value.has("enum")) {
            String name = value.get("enum").asText();
            int dot = name.lastIndexOf('.');
            String owner = name.substring(0, dot);
            return new Make.Constant(owner.startsWith("java.") ? owner : ways.binaryName(type(owner)), name.substring(dot + 1));
        }
        if (value.has("standIn")) {
            String name = value.get("standIn").asText();
            return new Make.StandIn(program.type(name).map(ways::binaryName).orElse(name));
        }
        if (value.has("array")) {
            TypeRef element = new TypeRef(value.get("array").asText());
            return many("array", elementName(element, scope), value.path("items"), element, scope);
        }
        if (value.has("set") || value.has("optional")) {
            String kind = value.has("set") ? "set" : "optional";
            return many(kind, "", value.get(kind), argument(declared, 0), scope);
        }
        if (value.has("map")) {
            List<Make> pairs = new ArrayList<>();
            value.get("map").forEach(pair -> {
                pairs.add(make(pair.get(0), argument(declared, 0), scope));
                pairs.add(make(pair.get(1), argument(declared, 1), scope));
            });
            return new Make.Many("map", "", pairs);
        }
        Optional<TextForm> form = TextForm.of(value.path(TYPE).asText());
        return form.isPresent() ? form.get().make(value.path("text").asText()) : object(value);
    }

    /** Arguments for parameters that take recorded parts in another form, or more beside them; empty where they do not. */
    Optional<List<Make>> arguments(List<ParameterOutline> parameters, Map<String, JsonNode> parts, TypeOutline scope) {
        return arguments.of(parameters, parts, scope);
    }

    private TypeOutline type(String name) {
        return program.type(name).orElseThrow(() -> new CannotMake("there is no type " + name + " in this project any more"));
    }

    /** An object from its named parts. */
    Make object(JsonNode value) {
        TypeOutline type = type(value.path(TYPE).asText());
        Map<String, JsonNode> parts = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> field : value.properties()) {
            if (!field.getKey().equals(TYPE) && !field.getKey().equals(BY) && !field.getKey().equals(THEN)) {
                parts.put(field.getKey(), field.getValue());
            }
        }
        Make made = made(type, value.path(BY).asText(), parts);
        return value.has(THEN) ? new Make.Configured(made, then(type, value.get(THEN))) : made;
    }

    private List<Make.Call> then(TypeOutline type, JsonNode steps) {
        List<Make.Call> calls = new ArrayList<>();
        for (JsonNode step : steps) {
            String name = step.path("call").asText();
            JsonNode given = step.path("given");
            List<TypeOutline> owners = new ArrayList<>(List.of(type));
            owners.addAll(program.ancestors(type));
            List<RoutineOutline> offered = owners.stream().flatMap(owner -> owner.routines().stream())
                    .filter(each -> each.name().equals(name) && each.parameters().size() == given.size()).toList();
            if (offered.isEmpty()) {
                throw new CannotMake(type.name() + " has no routine " + name + " any more");
            }
            RoutineOutline routine = overloads.called(offered, List.copyOf(given.valueStream().toList()), type);
            TypeOutline owner = type(routine.owner());
            List<String> parameters = new ArrayList<>();
            List<Make> arguments = new ArrayList<>();
            var values = given.elements();
            for (ParameterOutline each : routine.parameters()) {
                TypeRef declared = routine.bound(each.type());
                parameters.add(erased(declared, owner));
                arguments.add(make(values.next(), declared, owner));
            }
            calls.add(new Make.Call(ways.binaryName(type), List.of(), name, parameters, arguments));
        }
        return calls;
    }

    private Make made(TypeOutline type, String by, Map<String, JsonNode> parts) {
        return named(type, by, parts).or(() -> exact(type, parts)).or(() -> steps.built(type, parts)).or(() -> steps.set(type, parts))
                .or(() -> otherwise(type, parts)).or(() -> elsewhere(type, parts))
                .orElseThrow(() -> new CannotMake("no constructor, creation routine, builder or setters of " + type.name()
                        + " take the parts " + String.join(", ", parts.keySet())));
    }

    /** The creation routine of a name with exactly these parts. */
    private Optional<Make> named(TypeOutline type, String by, Map<String, JsonNode> parts) {
        List<Way> offered = by.equals(ChosenWays.CONSTRUCTOR) ? ways.constructors(type) : ways.creators(type).stream()
                .filter(way -> way.routine().orElseThrow().name().equals(by)).toList();
        return overloads.fitting(offered, parts, type).stream().findFirst().map(way -> one(type, way, parts));
    }

    /** A constructor or creation routine with exactly these names. */
    private Optional<Make> exact(TypeOutline type, Map<String, JsonNode> parts) {
        List<Way> matching = overloads.fitting(ways.constructors(type), parts, type);
        if (matching.isEmpty()) {
            matching = overloads.fitting(ways.creators(type), parts, type);
        }
        if (matching.size() > 1) {
            throw new CannotMake(type.name() + " can be made in " + matching.size() + " ways from the parts "
                    + String.join(", ", parts.keySet()));
        }
        return matching.stream().findFirst().map(way -> one(type, way, parts));
    }

    /** The one creation routine of another type, a factory, that has exactly these names. */
    private Optional<Make> elsewhere(TypeOutline type, Map<String, JsonNode> parts) {
        List<Make> made = new ArrayList<>();
        for (TypeOutline factory : parts.isEmpty() ? List.<TypeOutline>of() : program.types()) {
            for (RoutineOutline each : factory.equals(type) || program.fileOf(factory).test() ? List.<RoutineOutline>of() : factory.routines()) {
                Way way = new Way(Optional.of(each), each.parameters());
                boolean creates = each.traits().isStatic() && !each.traits().isPrivate() && each.returns().simpleName().equals(type.simpleName())
                        && way.names().size() == parts.size() && way.names().containsAll(parts.keySet());
                if (creates && program.resolve(each.returns(), factory).filter(type::equals).isPresent()) {
                    made.add(one(factory, way, parts));
                }
            }
        }
        return made.size() == 1 ? Optional.of(made.get(0)) : Optional.empty();
    }

    /** A constructor or creation routine that takes these parts in another form, or more beside them. */
    private Optional<Make> otherwise(TypeOutline type, Map<String, JsonNode> parts) {
        for (List<Way> offered : List.of(ways.constructors(type), ways.creators(type))) {
            List<Make> made = offered.stream().flatMap(way -> arguments.of(way.parameters(), parts, type).map(all -> one(type, way, all)).stream()).toList();
            if (made.size() == 1) {
                return Optional.of(made.get(0));
            }
        }
        return Optional.empty();
    }

    Make one(TypeOutline type, Way way, Map<String, JsonNode> parts) {
        return one(type, way, way.parameters().stream().map(each -> make(parts.get(each.name()), each.type(), type)).toList());
    }

    private Make one(TypeOutline type, Way way, List<Make> arguments) {
        List<String> parameters = way.parameters().stream().map(each -> erased(each.type(), type)).toList();
        Optional<RoutineOutline> creator = way.routine().filter(each -> !each.isConstructor());
        return creator.isPresent()
                ? new Make.Call(ways.binaryName(type), List.of(), creator.get().name(), parameters, arguments)
                : new Make.New(ways.binaryName(type), parameters, arguments);
    }

    /** The simple name that the JVM has for a declared type. */
    static String erased(TypeRef type, TypeOutline scope) {
        String name = scope.typeParameters().contains(type.name()) ? "Object" : type.simpleName();
        int brackets = (type.text().length() - type.text().replace("[]", "").length()) / 2;
        return name + "[]".repeat(brackets);
    }
}
