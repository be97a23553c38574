package driftwood.behaviour.input;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.tree.Import;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Values worth trying for a declared type, as JSON that names the parts of objects. Mined from the code: constants in
 * comparisons and their neighbours, constants of enums, concrete subtypes, null, empty, booleans.
 */
public final class Inputs {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Objects inside objects are made down to this level. */
    static final int DEEPEST = 4;
    /** One in so many values is something else than what it is likely to be. */
    private static final int OTHERS = 4;

    private final Program program;
    private final Constants constants;
    private final ObjectInputs objects;
    private final LikelyTypes types;

    public Inputs(Program program, Constants constants, Ways ways) {
        this.program = program;
        this.constants = constants;
        this.objects = new ObjectInputs(program, ways, this);
        this.types = new LikelyTypes(program, constants);
    }

    /** Values for the parameters of a routine, as combinations. @param most how many */
    public List<ObjectNode> given(RoutineOutline routine, TypeOutline scope, int most) {
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
        List<ObjectNode> bare = needed.size() == routine.parameters().size() || !program.fileOf(scope).language().isDuckTyped()
                ? List.of() : combinations(needed, scope, Math.max(1, most / 3), 0);
        List<ObjectNode> whole = combinations(routine.parameters().stream().map(each -> new ParameterOutline(each.name(),
                routine.bound(each.type()), each.nullable(), each.variadic(), each.optional(), each.named())).toList(),
                scope, Math.max(1, most - bare.size()), 0);
        return inTurn(List.of(whole, bare)).stream().map(ObjectNode.class::cast).toList();
    }

    List<ObjectNode> combinations(List<ParameterOutline> parameters, TypeOutline scope, int most, int depth) {
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
    public List<JsonNode> values(TypeRef type, TypeOutline scope, String word, int most, int depth) {
        Set<JsonNode> values = new LinkedHashSet<>();
        Optional<TypeOutline> own = program.resolve(type, scope);
        if (own.isPresent()) {
            values.addAll(objects.of(own.get(), most, depth));
            if (depth < 2) {
                values.add(NullNode.instance);
            }
        } else {
            boolean python = program.fileOf(scope).language().isDuckTyped();
            if (python ? !type.isPresent() : type.simpleName().equals("Object")) {
                likely(word, scope, most, depth, values);
            }
            boolean sure = !values.isEmpty() && (python ? constants.askedToBe(word).stream().noneMatch(PythonInputs::isBuiltIn) : types.isAskedForOwn(word));
            if (sure) {
                values.add(NullNode.instance);
            }
            LibraryInputs library = new LibraryInputs(this, constants, word);
            List<List<JsonNode>> byType = new ArrayList<>();
            for (TypeRef each : sure ? List.<TypeRef>of() : python ? PythonInputs.of(type, !constants.of(word).isEmpty()) : List.of(type)) {
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

    /** Objects of the types that a value without a declared one may be, one or several; some room is left for nothing, and what it may be besides. */
    private void likely(String word, TypeOutline scope, int most, int depth, Set<JsonNode> values) {
        int room = Math.max(1, most - most / OTHERS);
        List<List<JsonNode>> objects = types.of(word, scope).stream().map(each -> List.copyOf(this.objects.of(each, room, depth))).toList();
        inTurn(objects).stream().limit(room).forEach(values::add);
        if (values.isEmpty() && word.length() > 1 && word.endsWith("s")) {
            types.of(word.substring(0, word.length() - 1), scope).stream().limit(1).map(each -> List.copyOf(this.objects.of(each, room, depth + 1))).filter(each -> !each.isEmpty())
                    .forEach(each -> values.addAll(List.of(list(each.subList(0, 1)), list(each.subList(0, Math.min(3, each.size()))), list(List.of()))));
        }
    }

    /** The first of each, then the second of each: whatever is cut off, each has its share. */
    static List<JsonNode> inTurn(List<? extends List<? extends JsonNode>> lists) {
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

    /** Objects of one type made from given parameters. */
    public List<ObjectNode> ofWay(TypeOutline type, List<ParameterOutline> parameters, int most, int depth) {
        return objects.ofWay(type, parameters, most, depth);
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
