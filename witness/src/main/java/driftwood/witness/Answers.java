package driftwood.witness;

import java.lang.reflect.Field;
import java.lang.reflect.Member;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/** Finds what an object can be asked, and asks: what is printed meanwhile, and calls on stand-ins, are nobody's. */
final class Answers {
    private final Asking asking;
    private final List<Capture> printed;
    private final Map<Class<?>, Boolean> own = new ConcurrentHashMap<>();
    private final Map<Class<?>, Map<String, Member>> known = new ConcurrentHashMap<>();
    /** What was asked, as {@code type name}. */
    private final Set<String> asked = Collections.synchronizedSet(new LinkedHashSet<>());
    /** Of that, what printed something. */
    private final Set<String> loud = Collections.synchronizedSet(new LinkedHashSet<>());
    private StandIns standIns = new StandIns();

    /** @param printed what observed code prints */
    Answers(Asking asking, List<Capture> printed) {
        this.asking = asking;
        this.printed = printed;
    }

    /** Nothing prints, and every class outside the platform is the project's own. */
    Answers(Map<String, List<String>> queries) {
        this(new Asking(queries, List.of(), Asking.Manner.ALONG), List.of());
    }

    /** From now on these are the stand-ins of the case. */
    void on(StandIns others) {
        standIns = others;
    }

    Set<String> asked() {
        return asked;
    }

    Set<String> loud() {
        return loud;
    }

    static boolean isForeign(Class<?> type) {
        String name = type.getName();
        return name.startsWith("java.") || name.startsWith("javax.") || name.startsWith("jdk.")
                || name.startsWith("sun.") || name.startsWith("com.sun.");
    }

    /** Whether a class is the project's own. */
    boolean isOwn(Class<?> type) {
        return own.computeIfAbsent(type, this::isAtHome);
    }

    private boolean isAtHome(Class<?> type) {
        if (type.isArray() || type.isPrimitive() || isForeign(type)) {
            return false;
        }
        String file = type.getName().replace('.', '/') + ".class";
        return asking.homes().isEmpty() || asking.homes().stream().anyMatch(each -> Files.isRegularFile(Path.of(each, file)));
    }

    /** Gives an answer for each query of an object. */
    interface Teller {
        Value tell(Object answer) throws Throwable;
    }

    /** The answers of an object of the project, by query. @param teller describes an answer */
    Map<String, Value> of(Object object, Teller teller) {
        if (asking.manner() == Asking.Manner.NEVER) {
            return Map.of();
        }
        Map<String, Member> queries = known.computeIfAbsent(object.getClass(), this::queries);
        List<String> order = new ArrayList<>(queries.keySet());
        if (asking.manner() == Asking.Manner.BACKWARDS) {
            Collections.reverse(order);
        }
        Map<String, Value> answers = new TreeMap<>();
        for (String name : order) {
            Value told = ask(object, name, queries.get(name), teller);
            answers.put(name, asking.manner() == Asking.Manner.TWICE ? ask(object, name, queries.get(name), teller) : told);
        }
        return answers;
    }

    private Value ask(Object object, String name, Member query, Teller teller) {
        String symbol = query.getDeclaringClass().getName() + " " + name;
        asked.add(symbol);
        long before = quiet(true);
        try {
            return teller.tell(query instanceof Method routine ? routine.invoke(object) : ((Field) query).get(object));
        } catch (Describer.TooLarge e) {
            throw e;
        } catch (Throwable e) {
            Throwable cause = e instanceof java.lang.reflect.InvocationTargetException && e.getCause() != null ? e.getCause() : e;
            return Value.many("throws", List.of(Describer.plain(cause, 0)));
        } finally {
            if (quiet(false) > before) {
                loud.add(symbol);
            }
        }
    }

    /** @return how much was printed in silence so far */
    private long quiet(boolean on) {
        standIns.quiet(on);
        long unheard = 0;
        for (Capture each : printed) {
            unheard += each.quiet(on);
        }
        return unheard;
    }

    /** Does something that nobody shall hear. */
    <T> T unheard(java.util.function.Supplier<T> what) {
        quiet(true);
        try {
            return what.get();
        } finally {
            quiet(false);
        }
    }

    /** What objects of a class are asked: what any of its types is; a class that nobody knows, whatever it can answer. */
    private Map<String, Member> queries(Class<?> type) {
        Set<Class<?>> types = new LinkedHashSet<>();
        above(type, types);
        Set<String> names = new TreeSet<>();
        types.forEach(each -> names.addAll(asking.queries().getOrDefault(each.getName(), List.of())));
        if (types.stream().noneMatch(each -> asking.queries().containsKey(each.getName()))) {
            asking.queries().values().forEach(names::addAll);
        }
        Map<String, Member> found = new LinkedHashMap<>();
        for (String name : names) {
            Member member = member(types, name);
            if (member != null) {
                found.put(name, member);
            }
        }
        return found;
    }

    private void above(Class<?> type, Set<Class<?>> into) {
        for (Class<?> at = type; at != null; at = at.getSuperclass()) {
            if (isOwn(at)) {
                into.add(at);
            }
            for (Class<?> each : at.getInterfaces()) {
                above(each, into);
            }
        }
    }

    /** A routine without parameters that gives something, else a public field. */
    private static Member member(Set<Class<?>> types, String name) {
        for (Class<?> type : types) {
            for (Method each : type.getDeclaredMethods()) {
                boolean fits = each.getName().equals(name) && each.getParameterCount() == 0 && !each.isSynthetic()
                        && each.getReturnType() != void.class && (each.getModifiers() & (Modifier.STATIC | Modifier.PRIVATE)) == 0
                        && (!type.isInterface() || each.isDefault() || !Modifier.isAbstract(each.getModifiers()));
                if (fits && !Modifier.isAbstract(each.getModifiers())) {
                    return reachable(each);
                }
            }
        }
        for (Class<?> type : types) {
            for (Field each : type.getDeclaredFields()) {
                if (each.getName().equals(name) && Modifier.isPublic(each.getModifiers()) && !Modifier.isStatic(each.getModifiers())) {
                    return reachable(each);
                }
            }
        }
        return null;
    }

    private static <T extends java.lang.reflect.AccessibleObject & Member> Member reachable(T member) {
        return member.trySetAccessible() ? member : null;
    }
}
