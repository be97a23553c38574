package driftwood.program;

import driftwood.tree.TypeRef;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What well-known library types give back in terms of their type arguments: enough to follow a value through
 * collections, maps, optional values and streams. Anything else foreign stays unknown.
 */
final class ForeignMembers {
    private static final Set<String> OF_VALUE = Set.of("get", "getOrDefault", "put", "remove", "computeIfAbsent",
            "computeIfPresent", "compute", "putIfAbsent", "merge", "getValue");
    private static final Set<String> OF_ELEMENT = Set.of("get", "getFirst", "getLast", "first", "last", "next",
            "previous", "poll", "pollFirst", "pollLast", "peek", "peekFirst", "peekLast", "pop", "remove",
            "removeFirst", "removeLast", "element", "orElse", "orElseGet", "orElseThrow", "elementAt", "take", "set",
            "join", "getNow", "getPlain", "getAndSet");
    private static final Set<String> SAME = Set.of("stream", "iterator", "listIterator", "filter", "sorted",
            "distinct", "limit", "skip", "peek", "findFirst", "findAny", "min", "max", "toList", "subList", "reversed",
            "parallelStream", "descendingIterator", "or", "onEach", "reduce", "headSet", "tailSet", "subSet");
    private static final Set<String> MAPS = Set.of("Map", "HashMap", "LinkedHashMap", "TreeMap", "SortedMap",
            "NavigableMap", "EnumMap", "ConcurrentMap", "ConcurrentHashMap", "IdentityHashMap", "WeakHashMap",
            "Hashtable", "ConcurrentSkipListMap");

    private ForeignMembers() {
    }

    static boolean isMap(TypeRef type) {
        return MAPS.contains(type.simpleName());
    }

    /** The type that a step on a foreign type leads to, in terms of the same scope. */
    static Optional<TypeRef> step(TypeRef type, Step step) {
        if (step.equals(Step.ELEMENT)) {
            return element(type);
        }
        List<TypeRef> arguments = type.arguments();
        if (arguments.isEmpty()) {
            return Optional.empty();
        }
        String name = step.name();
        if (arguments.size() == 2) {
            return ofPair(type, name, arguments);
        }
        if (OF_ELEMENT.contains(name) && step instanceof Step.Invoke) {
            return Optional.of(arguments.get(0));
        }
        return SAME.contains(name) ? Optional.of(new TypeRef("Collection<" + arguments.get(0).text() + ">"))
                : Optional.empty();
    }

    private static Optional<TypeRef> element(TypeRef type) {
        if (type.isArray()) {
            return Optional.of(type.element());
        }
        List<TypeRef> arguments = type.arguments();
        return arguments.size() == 1 ? Optional.of(arguments.get(0)) : Optional.empty();
    }

    private static Optional<TypeRef> ofPair(TypeRef type, String name, List<TypeRef> arguments) {
        boolean entry = type.simpleName().equals("Entry");
        if (!isMap(type) && !entry) {
            return Optional.empty();
        }
        if (entry && name.equals("getKey")) {
            return Optional.of(arguments.get(0));
        }
        return switch (name) {
            case "values" -> Optional.of(new TypeRef("Collection<" + arguments.get(1).text() + ">"));
            case "keySet", "navigableKeySet" -> Optional.of(new TypeRef("Set<" + arguments.get(0).text() + ">"));
            case "entrySet" -> Optional.of(new TypeRef(
                    "Set<Map.Entry<" + arguments.get(0).text() + "," + arguments.get(1).text() + ">>"));
            default -> OF_VALUE.contains(name) ? Optional.of(arguments.get(1)) : Optional.empty();
        };
    }
}
