package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.source.Language;
import driftwood.tree.Import;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Values worth trying for a declared type, as JSON that names the parts of objects. Mined from the code: constants in
 * comparisons and their neighbours, constants of enums, concrete subtypes, null, empty, booleans.
 */
final class Inputs {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Objects inside objects are made down to this level. */
    static final int DEEPEST = 4;
    /** Values to try for an attribute. */
    private static final int ATTRIBUTES = 4;

    private final Program program;
    private final Constants constants;
    private final Ways ways;
    private final Map<Wanted, Set<JsonNode>> known = new HashMap<>();

    /** Objects asked for: the same type is met again and again among the parts of others. */
    private record Wanted(TypeOutline type, int most, int depth) {
    }

    Inputs(Program program, Constants constants, Ways ways) {
        this.program = program;
        this.constants = constants;
        this.ways = ways;
    }

    /** Values for the parameters of a routine, as combinations. @param most how many */
    List<ObjectNode> given(RoutineOutline routine, TypeOutline scope, int most) {
        boolean equality = routine.name().equals("equals") && routine.parameters().size() == 1
                && routine.parameters().get(0).type().simpleName().equals("Object");
        if (equality) {
            List<ObjectNode> others = new ArrayList<>();
            for (TypeRef each : List.of(new TypeRef(scope.name()), new TypeRef("Object"))) {
                values(each, scope, "", Math.max(2, most / 2), 0).forEach(value -> {
                    ObjectNode given = JSON.objectNode();
                    given.set(routine.parameters().get(0).name(), value);
                    others.add(given);
                });
            }
            return others;
        }
        List<ParameterOutline> needed = routine.parameters().stream().filter(each -> !each.optional()).toList();
        List<ObjectNode> bare = needed.size() == routine.parameters().size() || program.fileOf(scope).language() != Language.PYTHON
                ? List.of() : combinations(needed, scope, Math.max(1, most / 3), 0);
        List<ObjectNode> whole = combinations(routine.parameters().stream().map(each -> new ParameterOutline(each.name(),
                routine.bound(each.type()), each.nullable(), each.variadic(), each.optional(), each.named())).toList(),
                scope, Math.max(1, most - bare.size()), 0);
        return inTurn(List.of(whole, bare)).stream().map(ObjectNode.class::cast).toList();
    }

    private List<ObjectNode> combinations(List<ParameterOutline> parameters, TypeOutline scope, int most, int depth) {
        List<List<JsonNode>> slots = new ArrayList<>();
        int each = parameters.size() <= 1 ? most : Math.max(4, (int) (2.2 * Math.sqrt(most)));
        for (ParameterOutline parameter : parameters) {
            slots.add(values(parameter.type(), scope, parameter.name(), each, depth));
        }
        int[] sizes = slots.stream().mapToInt(List::size).toArray();
        List<ObjectNode> made = new ArrayList<>();
        for (int[] row : Pairs.choose(sizes, Math.max(1, most), 20260301L + parameters.size())) {
            ObjectNode given = JSON.objectNode();
            for (int i = 0; i < row.length; i++) {
                given.set(parameters.get(i).name(), slots.get(i).get(row[i]));
            }
            made.add(given);
        }
        return made;
    }

    /** Values for a declared type. @param word the name it goes by, for constants compared with it */
    List<JsonNode> values(TypeRef type, TypeOutline scope, String word, int most, int depth) {
        Set<JsonNode> values = new LinkedHashSet<>();
        Optional<TypeOutline> own = program.resolve(type, scope);
        if (own.isPresent()) {
            Wanted wanted = new Wanted(own.get(), most, depth);
            if (!known.containsKey(wanted)) {
                known.put(wanted, objects(own.get(), most, depth));
            }
            values.addAll(known.get(wanted));
            if (depth < 2) {
                values.add(NullNode.instance);
            }
        } else {
            boolean python = program.fileOf(scope).language() == Language.PYTHON;
            LibraryInputs library = new LibraryInputs(this, constants, word);
            List<List<JsonNode>> byType = new ArrayList<>();
            for (TypeRef each : python ? PythonInputs.of(type) : List.of(type)) {
                Set<JsonNode> some = new LinkedHashSet<>();
                library.add(each, scope, most, depth, some);
                byType.add(new ArrayList<>(some));
            }
            values.addAll(inTurn(byType));
        }
        List<JsonNode> list = new ArrayList<>(values);
        if (list.size() <= most || list.isEmpty()) {
            return list.isEmpty() ? List.of(NullNode.instance) : list;
        }
        boolean nothing = depth == 0 && list.remove(NullNode.instance);
        List<JsonNode> kept = new ArrayList<>(list.subList(0, Math.max(1, nothing ? most - 1 : most)));
        if (nothing) {
            kept.add(NullNode.instance);
        }
        return kept;
    }

    /** The first of each, then the second of each: whatever is cut off, each has its share. */
    private static List<JsonNode> inTurn(List<? extends List<? extends JsonNode>> lists) {
        List<JsonNode> all = new ArrayList<>();
        int longest = lists.stream().mapToInt(List::size).max().orElse(0);
        for (int i = 0; i < longest; i++) {
            for (List<? extends JsonNode> each : lists) {
                if (i < each.size()) {
                    all.add(each.get(i));
                }
            }
        }
        return all;
    }

    /** Objects of a type of the project: each concrete subtype, each with its parts combined. */
    private Set<JsonNode> objects(TypeOutline type, int most, int depth) {
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
        if (concrete.isEmpty() || depth >= DEEPEST) {
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
        values.addAll(inTurn(bySubtype));
        return values;
    }

    /** Objects of one concrete type, made by its fullest constructor; without one, by its creation routines in turn. */
    private List<ObjectNode> ofType(TypeOutline type, int most, int depth) {
        Optional<Ways.Way> constructor = ways.fullest(type);
        if (constructor.isPresent() && program.fileOf(type).language() == Language.PYTHON) {
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
        int others = depth >= DEEPEST - 1 ? 0 : Math.max(1, most / (2 * all.size()));
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
                values(field.type(), type, field.name(), ATTRIBUTES, depth + 1).stream()
                        .filter(each -> !each.isNull() && !(each.isArray() && each.isEmpty())).forEach(each ->
                        made.add(bare.get(made.size() % bare.size()).deepCopy().set(field.name(), each)));
            }
        }
        return made;
    }

    /** Objects of one type made from given parameters. */
    List<ObjectNode> ofWay(TypeOutline type, List<ParameterOutline> parameters, int most, int depth) {
        List<ObjectNode> made = new ArrayList<>();
        for (ObjectNode parts : combinations(parameters, type, most, depth + 1)) {
            ObjectNode object = JSON.objectNode().put(Assembly.TYPE, type.name());
            object.setAll(parts);
            made.add(object);
        }
        return made;
    }

    /** Constants of some kinds for a word: those compared with it first, then a few others. */
    List<String> mined(Constants from, String word, int others, LiteralKind... kinds) {
        Set<String> found = new LinkedHashSet<>();
        for (LiteralKind kind : kinds) {
            from.of(word).stream().filter(each -> each.kind() == kind).map(Literal::text).forEach(found::add);
        }
        int named = found.size();
        for (LiteralKind kind : kinds) {
            from.all().stream().filter(each -> each.kind() == kind).map(Literal::text)
                    .limit(named > 0 ? others / 2 : others).forEach(found::add);
        }
        return List.copyOf(found);
    }

    /** The qualified names that a library type may have by the file's imports, likeliest first. */
    List<String> importedNames(TypeRef type, TypeOutline scope) {
        if (type.name().indexOf('.') > 0) {
            return List.of(type.name());
        }
        List<String> names = new ArrayList<>();
        List<Import> imports = program.fileOf(scope).imports();
        imports.stream().filter(each -> !each.onDemand() && each.name().endsWith("." + type.name()))
                .map(Import::name).forEach(names::add);
        names.add("java.lang." + type.name());
        imports.stream().filter(Import::onDemand).map(each -> each.name() + "." + type.name()).forEach(names::add);
        return names;
    }

    static JsonNode list(List<JsonNode> items) {
        ArrayNode array = JSON.arrayNode();
        items.forEach(array::add);
        return array;
    }
}
