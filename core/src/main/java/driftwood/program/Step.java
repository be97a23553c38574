package driftwood.program;

import driftwood.pack.Keyed;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;

/** A step on the way to a value. Of equal steps there is only one. */
public sealed interface Step extends Keyed {
    /** The element of a collection or array. */
    Step ELEMENT = new Element();

    /** A member. @param name of the field, property or type; "this" and "super" too */
    record Get(String name) implements Step {
        @Override
        public String key() {
            return name;
        }

        @Override
        public String toString() {
            return key();
        }
    }

    /** A call. @param arguments how many it has */
    record Invoke(String name, int arguments) implements Step {
        @Override
        public String key() {
            return name + "/" + arguments;
        }

        @Override
        public String toString() {
            return key();
        }
    }

    /** An element; see {@link #ELEMENT}. */
    record Element() implements Step {
        @Override
        public String key() {
            return "[]";
        }

        @Override
        public String name() {
            return "";
        }

        @Override
        public String toString() {
            return key();
        }
    }

    /** Not a step further: a local of that declared type holds the value so far. @param type as written */
    record HeldAs(String type) implements Step {
        @Override
        public String key() {
            return ":" + type;
        }

        @Override
        public String name() {
            return "";
        }

        @Override
        public String toString() {
            return key();
        }
    }

    static Step get(String name) {
        return Known.the(new Get(name));
    }

    static Step invoke(String name, int arguments) {
        return Known.the(new Invoke(name, arguments));
    }

    static Step heldAs(String type) {
        return Known.the(new HeldAs(type));
    }

    /** What the step takes by name; empty for an element and for being held. */
    String name();

    /** Whether it is a call without arguments, or reads a member. */
    default boolean asks() {
        return this instanceof Get || this instanceof Invoke call && call.arguments() == 0;
    }

    /** The step with that key. */
    static Optional<Step> ofKey(String key) {
        Step known = Known.BY_KEY.get(key);
        if (known != null) {
            return Optional.of(known);
        }
        int slash = key.lastIndexOf('/');
        Step step = key.equals(ELEMENT.key()) ? ELEMENT : key.startsWith(":") ? heldAs(key.substring(1))
                : slash > 0 ? invoke(key.substring(0, slash), Integer.parseInt(key.substring(slash + 1))) : get(key);
        Known.BY_KEY.put(key, step);
        return Optional.of(step);
    }

    /** All steps there are. */
    final class Known {
        private static final ConcurrentMap<Step, Step> ALL = new ConcurrentHashMap<>();
        private static final ConcurrentMap<String, Step> BY_KEY = new ConcurrentHashMap<>();

        private Known() {
        }

        private static Step the(Step step) {
            Step known = ALL.putIfAbsent(step, step);
            return known == null ? step : known;
        }
    }
}
