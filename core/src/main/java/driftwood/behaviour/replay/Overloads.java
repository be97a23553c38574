package driftwood.behaviour.replay;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.view.Ways.Way;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.TypeRef;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;

/**
 * Which of several constructors or creation routines a value means whose parts have the same names in all of them: as
 * the compiler chooses an overload, by the types of what is handed in (JLS 15.12.2), the more specific before the less.
 */
final class Overloads {
    private static final int EXACT = 9;
    private static final int WIDER = 5;
    private static final int WIDEST = 1;
    private static final int NOT = -1000;

    private static final Map<String, Integer> OF_BOOLEANS = Map.of("boolean", EXACT, "Boolean", EXACT);
    private static final Map<String, Integer> OF_FRACTIONS = Map.of("double", EXACT, "Double", EXACT, "float", EXACT - 1,
            "Float", EXACT - 1, "Number", WIDEST);
    private static final Map<String, Integer> OF_LONGS = Map.of("long", EXACT, "Long", EXACT, "double", WIDER, "Double", WIDER,
            "float", WIDER - 1, "Float", WIDER - 1, "Number", WIDEST);
    private static final Map<String, Integer> OF_INTS = with(OF_LONGS, Map.of("int", EXACT + 1, "Integer", EXACT + 1,
            "short", EXACT - 1, "Short", EXACT - 1, "byte", EXACT - 2, "Byte", EXACT - 2));
    private static final Map<String, Integer> OF_TEXTS = Map.of("String", EXACT, "CharSequence", WIDER);
    private static final Map<String, Integer> OF_CHARACTERS = with(OF_TEXTS, Map.of("char", EXACT + 1, "Character", EXACT + 1));

    private final Program program;

    Overloads(Program program) {
        this.program = program;
    }

    /**
     * The ways whose parts have these names, those only whose types fit where some do.
     *
     * @param scope the type in whose text the parameters' types are written
     * @return several where they cannot be told apart, none where no way has these names
     */
    List<Way> fitting(List<Way> offered, Map<String, JsonNode> parts, TypeOutline scope) {
        List<Way> named = offered.stream().filter(way -> way.names().size() == parts.size()
                && parts.keySet().containsAll(way.names())).toList();
        if (named.size() < 2) {
            return named;
        }
        List<Way> best = best(named, way -> fit(way.parameters(), way.names().stream().map(parts::get).toList(), scope));
        return best.size() > 1 ? plainest(best) : best;
    }

    /**
     * The routine of several with one name and as many parameters as there are values whose types fit best.
     *
     * @param scope the type in whose text the parameters' types are written
     */
    RoutineOutline called(List<RoutineOutline> offered, List<JsonNode> given, TypeOutline scope) {
        return best(offered, each -> fit(each.parameters(), given, scope)).get(0);
    }

    private static Map<String, Integer> with(Map<String, Integer> some, Map<String, Integer> more) {
        Map<String, Integer> both = new HashMap<>(some);
        both.putAll(more);
        return Map.copyOf(both);
    }

    private static <T> List<T> best(List<T> offered, ToIntFunction<T> fit) {
        int best = offered.stream().mapToInt(fit).max().orElse(0);
        return offered.stream().filter(each -> fit.applyAsInt(each) == best).toList();
    }

    /** Higher is better: one part that does not fit outweighs all that are less specific than they could be. */
    private int fit(List<ParameterOutline> parameters, List<JsonNode> given, TypeOutline scope) {
        int sum = 0;
        for (int i = 0; i < given.size(); i++) {
            sum += closeness(given.get(i), parameters.get(i).type(), scope);
        }
        return sum;
    }

    private int closeness(JsonNode part, TypeRef type, TypeOutline scope) {
        String name = type.simpleName();
        boolean array = type.isArray();
        if (part.isNull()) {
            return !array && Character.isLowerCase(name.charAt(0)) ? NOT : EXACT;
        }
        if (!array && (name.equals("Object") || scope.typeParameters().contains(type.name()))) {
            return WIDEST;
        }
        if (part.isArray()) {
            return array || !type.arguments().isEmpty() ? EXACT : NOT;
        }
        if (part.isValueNode()) {
            return array ? NOT : takers(part).getOrDefault(name, NOT);
        }
        return structured(part, type, scope);
    }

    /** What can take a plain value, and how closely. */
    private static Map<String, Integer> takers(JsonNode part) {
        if (part.isTextual()) {
            return part.asText().length() == 1 ? OF_CHARACTERS : OF_TEXTS;
        }
        return part.isBoolean() ? OF_BOOLEANS : !part.isIntegralNumber() ? OF_FRACTIONS : part.canConvertToInt() ? OF_INTS : OF_LONGS;
    }

    private int structured(JsonNode part, TypeRef type, TypeOutline scope) {
        Optional<TextForm> form = TextForm.of(part.path(Assembly.TYPE).asText());
        if (form.isPresent()) {
            return form.equals(TextForm.of(type.simpleName())) ? EXACT : NOT;
        }
        if (!part.has(Assembly.TYPE) && part.has("array")) {
            return type.isArray() && type.element().simpleName().equals(new TypeRef(part.get("array").asText()).simpleName())
                    ? EXACT : NOT;
        }
        if (!part.has(Assembly.TYPE) && (part.has("set") || part.has("map") || part.has("optional"))) {
            return !type.isArray() && !type.arguments().isEmpty() ? EXACT : NOT;
        }
        String constant = part.path("enum").asText();
        String name = part.has("standIn") ? part.get("standIn").asText() : part.has("enum")
                ? constant.substring(0, Math.max(0, constant.lastIndexOf('.'))) : part.path(Assembly.TYPE).asText();
        Optional<TypeOutline> given = program.type(name);
        Optional<TypeOutline> declared = program.resolve(type, scope);
        if (given.isEmpty() || declared.isEmpty()) {
            return given.isEmpty() && declared.isEmpty() ? WIDER : NOT;
        }
        return given.equals(declared) ? EXACT : program.ancestors(given.get()).contains(declared.get()) ? WIDER : NOT;
    }

    /** Where the same is offered for a primitive and for its box, the compiler would take the primitive. */
    private static List<Way> plainest(List<Way> fitting) {
        long most = fitting.stream().mapToLong(Overloads::primitives).max().orElse(0);
        boolean same = fitting.stream().map(way -> way.parameters().stream().map(each -> each.type().simpleName()
                .toLowerCase(Locale.ROOT).replace("integer", "int").replace("character", "char")).toList()).distinct().count() == 1;
        return same ? fitting.stream().filter(way -> primitives(way) == most).toList() : fitting;
    }

    private static long primitives(Way way) {
        return way.parameters().stream().filter(each -> Character.isLowerCase(each.type().text().charAt(0))).count();
    }
}
