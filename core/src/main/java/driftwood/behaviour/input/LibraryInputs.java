package driftwood.behaviour.input;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.replay.TextForm;
import driftwood.program.TypeOutline;
import driftwood.tree.LiteralKind;
import driftwood.tree.TypeRef;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Values worth trying for primitives and types of the library. */
final class LibraryInputs {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final Set<String> WHOLE = Set.of("int", "long", "short", "byte", "Integer", "Long", "Short", "Byte");
    private static final Set<String> BROKEN = Set.of("double", "float", "Double", "Float");
    private static final Set<String> LISTS = Set.of("List", "Collection", "Iterable", "ArrayList", "Queue", "Deque");

    /** Two elements of each type that arrays of their own kind have. */
    private static final Map<String, List<JsonNode>> ELEMENTS = new TreeMap<>();

    static {
        List.of("int", "long", "short", "byte", "float", "double").forEach(type ->
                ELEMENTS.put(type, List.of(JSON.numberNode(3), JSON.numberNode(1))));
        ELEMENTS.put("boolean", List.of(JSON.booleanNode(true), JSON.booleanNode(false)));
        ELEMENTS.put("char", List.of(JSON.textNode("q"), JSON.textNode("K")));
        ELEMENTS.put("String", List.of(JSON.textNode("b"), JSON.textNode("a")));
    }

    private final Inputs inputs;
    private final Constants constants;
    private final String word;

    LibraryInputs(Inputs inputs, Constants constants, String word) {
        this.inputs = inputs;
        this.constants = constants;
        this.word = word;
    }

    void add(TypeRef type, TypeOutline scope, int most, int depth, Set<JsonNode> values) {
        String name = type.simpleName();
        if (type.isArray()) {
            // driftwood: leave type-switch because the platform's types have the values that are listed for them here
            many(type.element(), scope, depth, values, "");
            if (depth == 0) {
                values.add(NullNode.instance);
            }
        } else if (WHOLE.contains(name)) {
            whole(name, most, values);
        } else if (BROKEN.contains(name)) {
            broken(most, values);
        } else if (name.equalsIgnoreCase("boolean")) {
            values.add(JSON.booleanNode(true));
            values.add(JSON.booleanNode(false));
        } else if (name.equals("char") || name.equals("Character")) {
            characters(values);
        } else if (name.equals("String") || name.equals("CharSequence") || name.equals("Comparable")
                || name.equals("Object")) {
            boolean anything = name.equals("Object") && depth == 0;
            texts(anything ? Math.min(most, 5) : most, depth, values);
            if (anything) {
                anything(scope, values);
            }
        } else if (LISTS.contains(name)) {
            many(argument(type, 0), scope, depth, values, "");
        } else if (name.equals("Set") || name.equals("Optional")) {
            many(argument(type, 0), scope, depth, values, name.equals("Set") ? "set" : "optional");
        } else if (name.equals("Map")) {
            map(type, scope, depth, values);
        } else {
            rare(type, scope, values);
        }
    }

    private static TypeRef argument(TypeRef type, int at) {
        List<TypeRef> arguments = type.arguments();
        return arguments.size() > at ? arguments.get(at) : new TypeRef("String");
    }

    /** Constants compared with it, each with its neighbours, then what is always worth trying. */
    private void whole(String type, int most, Set<JsonNode> values) {
        Set<Long> numbers = new LinkedHashSet<>();
        List<String> named = inputs.mined(constants, word, 0, LiteralKind.INTEGER);
        List<String> others = inputs.mined(constants, "", 8, LiteralKind.INTEGER);
        for (String text : named) {
            parse(text).ifPresent(number -> numbers.addAll(List.of(number, number + 1, number - 1)));
        }
        numbers.addAll(List.of(0L, 1L, -1L));
        for (String text : others) {
            parse(text).ifPresent(number -> numbers.addAll(List.of(number, number + 1)));
        }
        numbers.addAll(List.of(7L, 100L));
        long least = type.startsWith("by") || type.startsWith("By") ? Byte.MIN_VALUE
                : type.startsWith("s") || type.startsWith("S") ? Short.MIN_VALUE
                : type.startsWith("i") || type.startsWith("I") ? Integer.MIN_VALUE : Long.MIN_VALUE;
        numbers.removeIf(number -> number < least || number > -(least + 1));
        numbers.stream().limit(most).forEach(number -> values.add(JSON.numberNode(number)));
        if (Character.isUpperCase(type.charAt(0))) {
            values.add(NullNode.instance);
        }
    }

    private static Optional<Long> parse(String text) {
        try {
            return Optional.of(Long.valueOf(text));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private void broken(int most, Set<JsonNode> values) {
        Set<Double> numbers = new LinkedHashSet<>();
        for (String text : inputs.mined(constants, word, 6, LiteralKind.DECIMAL, LiteralKind.INTEGER)) {
            double number = Double.parseDouble(text);
            numbers.addAll(List.of(number, number + 0.25, number - 0.25));
        }
        numbers.addAll(List.of(0.0, 1.5, -1.0, 250.0));
        numbers.stream().limit(most).forEach(number -> values.add(JSON.numberNode(number)));
    }

    private void characters(Set<JsonNode> values) {
        inputs.mined(constants, word, 6, LiteralKind.CHARACTER).forEach(text -> values.add(JSON.textNode(text)));
        List.of("a", "Z", "5", " ").forEach(text -> values.add(JSON.textNode(text)));
    }

    private void texts(int most, int depth, Set<JsonNode> values) {
        List<String> mined = inputs.mined(constants, word, 8, LiteralKind.STRING);
        mined.stream().limit(Math.max(2, most - 3)).forEach(text -> values.add(JSON.textNode(text)));
        values.add(JSON.textNode(mined.isEmpty() || depth < 2 ? "Ada of Kelp Quay" : "abc"));
        if (depth < 3) {
            values.add(JSON.textNode(""));
            values.add(NullNode.instance);
        }
        if (depth == 0) {
            values.add(JSON.textNode("12"));
        }
    }

    /** What a routine that takes anything may be handed beside texts. */
    private void anything(TypeOutline scope, Set<JsonNode> values) {
        values.add(JSON.numberNode(7));
        values.add(JSON.booleanNode(true));
        values.add(Inputs.list(List.of(JSON.textNode("a"), JSON.textNode("b"))));
        ELEMENTS.forEach((type, items) -> {
            ObjectNode array = JSON.objectNode().put("array", type);
            array.set("items", Inputs.list(items));
            values.add(array);
        });
        inputs.values(new TypeRef(scope.name()), scope, "", 2, 1).stream().filter(each -> each.has("is")).forEach(values::add);
    }

    /** None, one, and several. @param kind empty for lists and arrays, else the key that tells the kind */
    private void many(TypeRef element, TypeOutline scope, int depth, Set<JsonNode> values, String kind) {
        // A collection is no object: what is in one just above the deepest is worth making too.
        List<JsonNode> items = inputs.values(element, scope, word, 12, depth == Inputs.DEEPEST - 1 ? depth : depth + 1).stream()
                .filter(each -> !each.isNull() || element.isPresent() && depth == 0).toList();
        wrap(List.of(), kind, values);
        for (JsonNode item : items.subList(0, Math.min(items.size(), depth == 0 ? 6 : 2))) {
            wrap(List.of(item), kind, values);
        }
        if (items.size() >= 2 && !kind.equals("optional")) {
            wrap(items.subList(0, 2), kind, values);
            wrap(items.subList(0, Math.min(5, items.size())), kind, values);
            if (items.size() > 6) {
                wrap(items.subList(items.size() - 4, items.size()), kind, values);
            }
        }
    }

    private static void wrap(List<JsonNode> items, String kind, Set<JsonNode> values) {
        JsonNode list = Inputs.list(items);
        values.add(kind.isEmpty() ? list : JSON.objectNode().set(kind, list));
    }

    private void map(TypeRef type, TypeOutline scope, int depth, Set<JsonNode> values) {
        List<JsonNode> keys = inputs.values(argument(type, 0), scope, word, 3, depth + 1);
        List<JsonNode> entries = inputs.values(argument(type, 1), scope, word, 3, depth + 1);
        values.add(JSON.objectNode().set("map", JSON.arrayNode()));
        ObjectNode several = JSON.objectNode();
        com.fasterxml.jackson.databind.node.ArrayNode pairs = several.putArray("map");
        for (int i = 0; i < keys.size(); i++) {
            if (!keys.get(i).isNull()) {
                pairs.add(Inputs.list(List.of(keys.get(i), entries.get(i % entries.size()))));
            }
        }
        values.add(several);
    }

    private void rare(TypeRef type, TypeOutline scope, Set<JsonNode> values) {
        Optional<TextForm> form = TextForm.of(type.name());
        form.ifPresent(each -> each.samples().forEach(text ->
                values.add(JSON.objectNode().put("is", each.type()).put("text", text))));
        if (form.isEmpty()) {
            Optional<Class<?>> platform = inputs.importedNames(type, scope).stream().flatMap(name -> platform(name).stream())
                    .findFirst();
            platform.filter(Class::isInterface).ifPresent(found -> values.add(JSON.objectNode().put("standIn", found.getName())));
            platform.filter(Class::isEnum).ifPresent(found -> {
                for (Object constant : found.getEnumConstants()) {
                    values.add(JSON.objectNode().put("enum", found.getName() + "." + ((Enum<?>) constant).name()));
                }
            });
        }
        values.add(NullNode.instance);
    }

    /** Only for types of the JDK itself: nothing of the observed project is loaded here. */
    private static Optional<Class<?>> platform(String name) {
        if (!name.startsWith("java.")) {
            return Optional.empty();
        }
        try {
            return Optional.of(Class.forName(name, false, ClassLoader.getPlatformClassLoader()));
        } catch (ClassNotFoundException | LinkageError e) {
            return Optional.empty();
        }
    }
}
