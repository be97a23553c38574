package driftwood.witness;

import java.util.List;

/**
 * A described value.
 *
 * @param kind  what it is: null, flag, number, text, char, enum, list, set, map, optional, object, stand-in, call,
 *              throws, opaque, same, cut
 * @param text  a scalar's text; the type of an object; for "same", which object it is like, or how far up it was met
 * @param names names of an object's parts; empty for others
 * @param parts elements, keys and values in turn, or an object's parts
 */
public record Value(String kind, String text, List<String> names, List<Value> parts) {
    /** Nothing. */
    public static final Value NULL = scalar("null", "");

    public static Value scalar(String kind, String text) {
        return new Value(kind, text, List.of(), List.of());
    }

    public static Value many(String kind, List<Value> parts) {
        return new Value(kind, "", List.of(), List.copyOf(parts));
    }

    /** Written out: what the platform would make of the parts takes longer to link than most processes have to compare. */
    @Override
    public boolean equals(Object other) {
        return this == other || other instanceof Value value && kind.equals(value.kind) && text.equals(value.text)
                && names.equals(value.names) && parts.equals(value.parts);
    }

    @Override
    public String toString() {
        return "Value[kind=" + kind + ", text=" + text + ", names=" + names + ", parts=" + parts + "]";
    }

    @Override
    public int hashCode() {
        return ((kind.hashCode() * 31 + text.hashCode()) * 31 + names.hashCode()) * 31 + parts.hashCode();
    }
}
