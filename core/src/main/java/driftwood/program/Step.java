package driftwood.program;

import driftwood.pack.Keyed;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** A step on the way to a value. Of equal steps there is only one, so they are told apart by identity. */
public abstract sealed class Step implements Keyed {
    /** The element of a collection or array. */
    public static final Step ELEMENT = new Element();

    private static final Map<String, Step> GETS = new ConcurrentHashMap<>();
    private static final Map<String, Step> INVOKES = new ConcurrentHashMap<>();
    private static final Map<String, Step> HELD = new ConcurrentHashMap<>();
    private static final Map<String, Step> BY_KEY = new ConcurrentHashMap<>(Map.of("[]", ELEMENT));

    private final String name;
    private final String key;

    private Step(String name, String key) {
        this.name = name;
        this.key = key;
    }

    /** A member: a field, property or type; "this" and "super" too. */
    public static final class Get extends Step {
        private Get(String name) {
            super(name, name);
        }
    }

    /** A call. */
    public static final class Invoke extends Step {
        private final int arguments;
        /** The same call with one argument more, once somebody makes it. */
        private volatile Invoke longer;

        private Invoke(String name, int arguments) {
            super(name, (name + "/" + arguments).intern());
            this.arguments = arguments;
        }

        /** How many it has. */
        public int arguments() {
            return arguments;
        }

        private synchronized Invoke longer() {
            if (longer == null) {
                longer = new Invoke(name(), arguments + 1);
            }
            return longer;
        }
    }

    private static final class Element extends Step {
        private Element() {
            super("", "[]");
        }
    }

    /** Not a step further: a local of a declared type holds the value so far. */
    public static final class HeldAs extends Step {
        private final String type;

        private HeldAs(String type) {
            super("", (":" + type).intern());
            this.type = type;
        }

        /** As written. */
        public String type() {
            return type;
        }
    }

    public static Step get(String name) {
        return GETS.computeIfAbsent(name, Get::new);
    }

    /** @param arguments how many the call has */
    public static Step invoke(String name, int arguments) {
        Invoke call = (Invoke) INVOKES.computeIfAbsent(name, key -> new Invoke(key, 0));
        for (int i = 0; i < arguments; i++) {
            Invoke next = call.longer;
            call = next == null ? call.longer() : next;
        }
        return call;
    }

    public static Step heldAs(String type) {
        return HELD.computeIfAbsent(type, HeldAs::new);
    }

    /** What the step takes by name; empty for an element and for being held. */
    public final String name() {
        return name;
    }

    @Override
    public final String key() {
        return key;
    }

    /** Whether it is a call without arguments, or reads a member. */
    public final boolean asks() {
        return this instanceof Get || this instanceof Invoke call && call.arguments() == 0;
    }

    /** The same in every process, unlike that of an object's identity. */
    @Override
    public final int hashCode() {
        return key.hashCode();
    }

    @Override
    public final boolean equals(Object other) {
        return this == other;
    }

    @Override
    public final String toString() {
        return key;
    }

    /** The step with that key. */
    public static Optional<Step> ofKey(String key) {
        return Optional.of(BY_KEY.computeIfAbsent(key, Step::read));
    }

    private static Step read(String key) {
        int slash = key.lastIndexOf('/');
        return key.startsWith(":") ? heldAs(key.substring(1)) : slash > 0
                ? invoke(key.substring(0, slash), Integer.parseInt(key.substring(slash + 1))) : get(key);
    }
}
