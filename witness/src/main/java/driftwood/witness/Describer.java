package driftwood.witness;

import java.lang.reflect.Array;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.stream.BaseStream;

/**
 * Describes objects by what a client can see of them: values as they are, collections by their elements, the project's
 * own objects by the answers of their queries, never by their fields. Sets and maps without order are sorted by content.
 * Two objects with the same content are described alike, whether they are one object or not; one that holds itself is
 * told by how far up it was met.
 */
final class Describer {
    private static final int[] DEPTHS = {7, 4, 3, 2, 1};
    private static final int MOST = 200;
    /** Parts of one description. */
    private static final int MOST_PARTS = 600;

    /** A description has too many parts. */
    static final class TooLarge extends RuntimeException {
        private static final long serialVersionUID = 1;

        TooLarge() {
            super(null, null, false, false);
        }
    }

    private final Answers answers;
    private final boolean drains;
    /** The objects that the one being described is in, with their depth. */
    private final IdentityHashMap<Object, Integer> around = new IdentityHashMap<>();
    private int deepest;
    private int parts;

    /** @param drains whether iterators and streams are read to their end, which uses them up */
    Describer(Answers answers, boolean drains) {
        this.answers = answers;
        this.drains = drains;
    }

    /** As deep as there is room for. */
    Value describe(Object object) {
        for (int depth : drains && isUsedUp(object) ? new int[] {DEPTHS[0]} : DEPTHS) {
            try {
                around.clear();
                parts = 0;
                deepest = depth;
                return describe(object, 0, drains);
            } catch (TooLarge e) {
                continue;
            }
        }
        return Value.scalar("cut", object.getClass().getName());
    }

    private static boolean isUsedUp(Object object) {
        return object instanceof Iterator || object instanceof BaseStream;
    }

    private Value describe(Object object, int depth, boolean draining) {
        if (parts++ > MOST_PARTS) {
            throw new TooLarge();
        }
        Optional<Value> scalar = Foreign.scalar(object);
        if (scalar.isPresent()) {
            return scalar.get();
        }
        Integer met = around.get(object);
        if (met != null) {
            return Value.scalar("same", (depth - met) + " up");
        }
        around.put(object, depth);
        try {
            return structure(object, depth, draining);
        } finally {
            around.remove(object);
        }
    }

    private Value structure(Object object, int depth, boolean draining) {
        Class<?> type = object.getClass();
        if (StandIns.typeOf(object).isPresent()) {
            return Value.scalar("stand-in", StandIns.typeOf(object).get().getName());
        }
        if (type.isHidden() || type.getName().contains("$$Lambda")) {
            return Value.scalar("opaque", "a function");
        }
        if (answers.isOwn(type)) {
            return own(object, depth, draining);
        }
        if (draining && isUsedUp(object)) {
            return drained(object, depth);
        }
        Optional<String> moment = Foreign.moment(object);
        if (moment.isPresent()) {
            return Foreign.told(object, moment.get());
        }
        boolean many = type.isArray() || object instanceof Map || object instanceof Collection || object instanceof Optional;
        if (many && depth >= deepest) {
            return Value.scalar("cut", type.isArray() ? "array" : object instanceof Map ? "map" : "collection");
        }
        if (many) {
            return many(object, depth);
        }
        return object instanceof Throwable problem ? plain(problem, depth) : Foreign.described(object);
    }

    private Value many(Object object, int depth) {
        if (object instanceof Map<?, ?> map) {
            return map(map, depth);
        }
        if (object instanceof Collection<?> items) {
            return collection(items, depth);
        }
        if (object instanceof Optional<?> optional) {
            return Value.many("optional", optional.map(each -> List.of(describe(each, depth + 1, true))).orElse(List.of()));
        }
        List<Value> items = new ArrayList<>();
        for (int i = 0; i < Math.min(MOST, Array.getLength(object)); i++) {
            items.add(describe(Array.get(object, i), depth + 1, true));
        }
        return Value.many("list", items);
    }

    /** What an iterator or a stream gives, for as long as somebody is likely to ask. */
    private Value drained(Object steps, int depth) {
        Iterator<?> iterator = steps instanceof BaseStream<?, ?> stream ? stream.iterator() : (Iterator<?>) steps;
        List<Value> items = new ArrayList<>();
        while (items.size() < MOST && iterator.hasNext()) {
            items.add(describe(iterator.next(), depth + 1, true));
        }
        return Value.many("list", items);
    }

    private Value collection(Collection<?> items, int depth) {
        List<Value> told = new ArrayList<>();
        for (Object item : items) {
            if (told.size() == MOST) {
                break;
            }
            told.add(describe(item, depth + 1, true));
        }
        boolean ordered = !(items instanceof Set) || items instanceof SortedSet
                || items.getClass().getSimpleName().contains("Linked");
        if (!ordered) {
            told.sort(Comparator.comparing(Value::toString));
        }
        return Value.many(items instanceof Set ? "set" : "list", told);
    }

    private Value map(Map<?, ?> map, int depth) {
        List<Value[]> entries = new ArrayList<>();
        for (Map.Entry<?, ?> entry : map.entrySet()) {
            if (entries.size() == MOST) {
                break;
            }
            entries.add(new Value[] {describe(entry.getKey(), depth + 1, true), describe(entry.getValue(), depth + 1, true)});
        }
        if (!(map instanceof SortedMap) && !map.getClass().getSimpleName().contains("Linked")) {
            entries.sort(Comparator.comparing(entry -> entry[0].toString()));
        }
        List<Value> told = new ArrayList<>();
        entries.forEach(entry -> told.addAll(List.of(entry)));
        return Value.many("map", told);
    }

    /**
     * An object of the project: its class and its answers. What it holds as a collection is an answer too, and what went
     * wrong is told as with any problem.
     */
    private Value own(Object object, int depth, boolean draining) {
        List<String> names = new ArrayList<>();
        List<Value> told = new ArrayList<>();
        if (object instanceof Throwable problem) {
            Value plain = plain(problem, depth);
            names.addAll(plain.names());
            told.addAll(plain.parts());
        }
        if (depth < deepest) {
            if (object instanceof Map || object instanceof Collection) {
                names.add("elements");
                told.add(answers.unheard(() -> object instanceof Map<?, ?> map ? map(map, depth) : collection((Collection<?>) object, depth)));
            } else if (draining && isUsedUp(object)) {
                names.add("gives");
                told.add(drained(object, depth));
            }
            Map<String, Value> asked = answers.of(object, answer -> describe(answer, depth + 1, true));
            names.addAll(asked.keySet());
            told.addAll(asked.values());
        }
        return new Value("object", object.getClass().getName(), names, List.copyOf(told));
    }

    /** Class, message and cause. */
    static Value plain(Throwable problem, int depth) {
        List<String> names = new ArrayList<>(List.of("message"));
        List<Value> told = new ArrayList<>(List.of(Foreign.message(problem).map(each -> Value.scalar("text", each)).orElse(Value.NULL)));
        if (problem.getCause() != null && problem.getCause() != problem && depth < DEPTHS[0]) {
            names.add("cause");
            told.add(plain(problem.getCause(), depth + 1));
        }
        return new Value("object", problem.getClass().getName(), names, told);
    }
}
