package driftwood.witness;

import java.lang.reflect.Array;
import java.lang.reflect.Field;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Date;
import java.util.GregorianCalendar;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * Describes objects by what can be asked of them: values as they are, collections by their elements, the project's own
 * objects by their getters or, where they have none, by their fields. Members are sorted by name, sets and maps without
 * order by content, and an object met again is named by where it was met.
 */
final class Describer {
    private static final Pattern IDENTITY = Pattern.compile("@[0-9a-f]{5,8}(?![0-9A-Za-z])");

    private final boolean drains;

    Describer() {
        this(false);
    }

    /** @param drains whether iterators are read to their end, which uses them up */
    Describer(boolean drains) {
        this.drains = drains;
    }

    private static final int DEEPEST = 7;
    private static final int MOST = 200;
    private static final int LONGEST = 4000;

    /** Names that begin as a getter's but belong to routines that change something. */
    private static final Pattern CHANGES = Pattern.compile(
            "get(And|Next|Previous|Or|New|Random|Unique|Fresh)([A-Z].*)?");

    private final IdentityHashMap<Object, String> met = new IdentityHashMap<>();

    Value describe(Object object) {
        return describe(object, "it", 0);
    }

    private Value describe(Object object, String path, int depth) {
        if (object == null) {
            return Value.NULL;
        }
        Optional<Value> scalar = scalar(object);
        if (scalar.isPresent()) {
            return scalar.get();
        }
        String before = met.putIfAbsent(object, path);
        if (before != null) {
            return Value.scalar("same", before);
        }
        return depth > DEEPEST ? Value.scalar("cut", object.getClass().getName()) : structure(object, path, depth);
    }

    private static Optional<Value> scalar(Object object) {
        if (object instanceof Boolean flag) {
            return Optional.of(Value.scalar("flag", flag.toString()));
        }
        if (object instanceof Number number && object.getClass().getName().startsWith("java.lang.")) {
            return Optional.of(Value.scalar("number", number.toString()));
        }
        if (object instanceof String text) {
            String told = blurred(text);
            return Optional.of(Value.scalar("text", told.length() > LONGEST ? told.substring(0, LONGEST) + "..." : told));
        }
        if (object instanceof Character character) {
            return Optional.of(Value.scalar("char", character.toString()));
        }
        if (object instanceof Enum<?> constant) {
            return Optional.of(Value.scalar("enum", constant.getDeclaringClass().getName() + "." + constant.name()));
        }
        return object instanceof Class<?> type ? Optional.of(Value.scalar("opaque", "class " + type.getName()))
                : Optional.empty();
    }

    private Value structure(Object object, String path, int depth) {
        if (object.getClass().isArray()) {
            List<Value> items = new ArrayList<>();
            for (int i = 0; i < Math.min(MOST, Array.getLength(object)); i++) {
                items.add(describe(Array.get(object, i), path + "[" + i + "]", depth + 1));
            }
            return Value.many("list", items);
        }
        if (drains && object instanceof Iterator<?> steps) {
            return drained(steps, path, depth);
        }
        Optional<Class<?>> standIn = StandIns.typeOf(object);
        if (standIn.isPresent()) {
            return Value.scalar("stand-in", standIn.get().getName());
        }
        boolean foreign = isForeign(object.getClass());
        Optional<String> moment = foreign ? moment(object) : Optional.empty();
        if (moment.isPresent()) {
            return told(object, moment.get());
        }
        if (foreign && object instanceof Map<?, ?> map) {
            return map(map, path, depth);
        }
        if (foreign && object instanceof Collection<?> items) {
            return collection(items, path, depth);
        }
        if (object instanceof Optional<?> optional) {
            return Value.many("optional", optional.<List<Value>>map(each ->
                    List.of(describe(each, path + ".value", depth + 1))).orElse(List.of()));
        }
        if (object instanceof Throwable problem) {
            return problem(problem, path, depth);
        }
        return foreign ? foreign(object) : own(object, path, depth);
    }

    /** What an iterator gives, for as long as somebody is likely to ask. */
    private Value drained(Iterator<?> steps, String path, int depth) {
        List<Value> parts = new ArrayList<>();
        while (parts.size() < MOST && steps.hasNext()) {
            parts.add(describe(steps.next(), path + "[" + parts.size() + "]", depth + 1));
        }
        return Value.many("list", parts);
    }

    private Value collection(Collection<?> items, String path, int depth) {
        List<Value> parts = new ArrayList<>();
        int number = 0;
        for (Object item : items) {
            if (number == MOST) {
                break;
            }
            parts.add(describe(item, path + "[" + number++ + "]", depth + 1));
        }
        boolean ordered = !(items instanceof Set) || items instanceof SortedSet
                || items.getClass().getSimpleName().contains("Linked");
        if (!ordered) {
            parts.sort(Comparator.comparing(Value::toString));
        }
        return Value.many(items instanceof Set ? "set" : "list", parts);
    }

    private Value map(Map<?, ?> map, String path, int depth) {
        List<Value[]> entries = new ArrayList<>();
        for (Map.Entry<?, ?> entry : map.entrySet()) {
            if (entries.size() == MOST) {
                break;
            }
            Value key = describe(entry.getKey(), path + ".key", depth + 1);
            entries.add(new Value[] {key, describe(entry.getValue(), path + "[" + key.text() + "]", depth + 1)});
        }
        if (!(map instanceof SortedMap) && !map.getClass().getSimpleName().contains("Linked")) {
            entries.sort(Comparator.comparing(entry -> entry[0].toString()));
        }
        List<Value> parts = new ArrayList<>();
        entries.forEach(entry -> parts.addAll(List.of(entry)));
        return Value.many("map", parts);
    }

    Value problem(Throwable problem, String path, int depth) {
        List<String> names = new ArrayList<>(List.of("message"));
        String message = problem.getMessage();
        List<Value> parts = new ArrayList<>(List.of(message == null ? Value.NULL : Value.scalar("text", blurred(message))));
        if (problem.getCause() != null && problem.getCause() != problem && depth < DEEPEST) {
            names.add("cause");
            parts.add(problem(problem.getCause(), path + ".cause", depth + 1));
        }
        return new Value("object", problem.getClass().getName(), names, parts);
    }

    /**
     * A text without the identities of objects, such as those that end what {@link Object#toString} gives: they are the
     * same from run to run of the same code, and others as soon as it makes one object more.
     */
    static String blurred(String text) {
        return text.indexOf('@') < 0 ? text : IDENTITY.matcher(text).replaceAll("@...");
    }

    /** Library objects say what they are by their own text, unless that is only an identity. */
    private static Value foreign(Object object) {
        String type = object.getClass().getName();
        if (object.getClass().isHidden() || type.contains("$$Lambda")) {
            return Value.scalar("opaque", "a function");
        }
        String text;
        try {
            text = String.valueOf(object);
        } catch (RuntimeException e) {
            text = "";
        }
        String identity = "@" + Integer.toHexString(System.identityHashCode(object));
        if (text.isEmpty() || text.contains(identity) || text.matches("(?s).*@[0-9a-f]{4,}.*")) {
            return Value.scalar("opaque", type);
        }
        return told(object, text.length() > LONGEST ? text.substring(0, LONGEST) + "..." : text);
    }

    private static Value told(Object object, String text) {
        return new Value("object", object.getClass().getName(), List.of("text"), List.of(Value.scalar("text", text)));
    }

    /** The older dates of the platform leave the fraction out of their texts, or tell how they are built. */
    private static Optional<String> moment(Object object) {
        if (object.getClass() == Date.class) {
            return Optional.of(((Date) object).toInstant().toString());
        }
        return object instanceof GregorianCalendar calendar ? Optional.of(calendar.toZonedDateTime().toString())
                : Optional.empty();
    }

    private Value own(Object object, String path, int depth) {
        if (object.getClass().isHidden()) {
            return Value.scalar("opaque", "a function");
        }
        Map<String, Value> parts = new TreeMap<>();
        Map<String, Method> getters = getters(object.getClass());
        for (Map.Entry<String, Method> getter : getters.entrySet()) {
            parts.put(getter.getKey(), ask(object, getter.getValue(), path + "." + getter.getKey(), depth));
        }
        if (getters.isEmpty()) {
            for (Class<?> type = object.getClass(); type != null && !isForeign(type); type = type.getSuperclass()) {
                for (Field field : type.getDeclaredFields()) {
                    if (!Modifier.isStatic(field.getModifiers()) && !field.isSynthetic()) {
                        parts.putIfAbsent(field.getName(), read(object, field, path, depth));
                    }
                }
            }
        }
        return new Value("object", object.getClass().getName(), List.copyOf(parts.keySet()),
                List.copyOf(parts.values()));
    }

    private Value read(Object object, Field field, String path, int depth) {
        try {
            field.setAccessible(true);
            return describe(field.get(object), path + "." + field.getName(), depth + 1);
        } catch (ReflectiveOperationException | RuntimeException e) {
            return Value.scalar("opaque", "not readable");
        }
    }

    private Value ask(Object object, Method getter, String path, int depth) {
        try {
            getter.setAccessible(true);
            return describe(getter.invoke(object), path, depth + 1);
        } catch (ReflectiveOperationException | RuntimeException e) {
            Throwable cause = e.getCause() == null ? e : e.getCause();
            return Value.scalar("opaque", "throws " + cause.getClass().getName());
        }
    }

    /** Routines without parameters that are named as getters, or as a field that they share the type with. */
    private static Map<String, Method> getters(Class<?> of) {
        Map<String, Method> getters = new TreeMap<>();
        for (Class<?> type = of; type != null && !isForeign(type); type = type.getSuperclass()) {
            for (Method method : type.getDeclaredMethods()) {
                boolean candidate = method.getParameterCount() == 0 && !Modifier.isStatic(method.getModifiers())
                        && !Modifier.isPrivate(method.getModifiers()) && !method.isSynthetic()
                        && method.getReturnType() != void.class;
                if (candidate) {
                    nameOf(method, type).ifPresent(name -> getters.putIfAbsent(name, method));
                }
            }
        }
        return getters;
    }

    /** The property a routine gives; a field of that name vouches for it where its own name does not. */
    private static Optional<String> nameOf(Method method, Class<?> type) {
        String name = method.getName();
        String property = name;
        for (String prefix : List.of("get", "is")) {
            if (name.startsWith(prefix) && name.length() > prefix.length()
                    && Character.isUpperCase(name.charAt(prefix.length()))) {
                property = Character.toLowerCase(name.charAt(prefix.length())) + name.substring(prefix.length() + 1);
            }
        }
        boolean ownWords = Set.of("hashCode", "toString", "getClass").contains(name);
        for (Field field : type.getDeclaredFields()) {
            if (!ownWords && field.getName().equals(property) && field.getType() == method.getReturnType()) {
                return Optional.of(property);
            }
        }
        return property.equals(name) || ownWords || CHANGES.matcher(name).matches() ? Optional.empty()
                : Optional.of(property);
    }

    private static boolean isForeign(Class<?> type) {
        String name = type.getName();
        return name.startsWith("java.") || name.startsWith("javax.") || name.startsWith("jdk.")
                || name.startsWith("sun.") || name.startsWith("com.sun.");
    }
}
