package driftwood.behaviour.input;

import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Map;

/** Which of the common library types stand for a type of Python: their values have the same form in recordings. */
final class PythonInputs {
    private static final Map<String, String> SAME = Map.ofEntries(Map.entry("int", "long"), Map.entry("float", "double"),
            Map.entry("bool", "boolean"), Map.entry("str", "String"), Map.entry("list", "List"), Map.entry("List", "List"),
            Map.entry("Sequence", "List"), Map.entry("Iterable", "List"), Map.entry("Collection", "List"),
            Map.entry("tuple", "List"), Map.entry("set", "Set"), Map.entry("Set", "Set"), Map.entry("dict", "Map"),
            Map.entry("Dict", "Map"), Map.entry("Mapping", "Map"));
    /** Worth trying where nothing says the type: numbers, texts, lists and a dictionary. */
    private static final List<TypeRef> ANYTHING = List.of(new TypeRef("long"), new TypeRef("String"), new TypeRef("boolean"),
            new TypeRef("List<Long>"), new TypeRef("Map<String,List<Long>>"));

    private PythonInputs() {
    }

    /** Whether a type is one of the language's own. */
    static boolean isBuiltIn(String name) {
        return SAME.containsKey(name);
    }

    /** The types to try for an annotation; several where there is none. @param compared whether it is compared with constants, as no list or dictionary is */
    static List<TypeRef> of(TypeRef annotated, boolean compared) {
        List<TypeRef> all = of(annotated);
        return compared && all == ANYTHING ? ANYTHING.stream().filter(each -> each.arguments().isEmpty()).toList() : all;
    }

    private static List<TypeRef> of(TypeRef annotated) {
        String name = annotated.simpleName();
        if (!SAME.containsKey(name)) {
            return annotated.isPresent() && !List.of("Any", "object", "T").contains(name) ? List.of(annotated) : ANYTHING;
        }
        int open = annotated.text().indexOf('<');
        String inner = open < 0 ? "" : "<" + String.join(",", annotated.arguments().stream()
                .map(each -> of(each).get(0).text().replace("long", "Long").replace("double", "Double")).toList()) + ">";
        return List.of(new TypeRef(SAME.get(name) + inner));
    }
}
