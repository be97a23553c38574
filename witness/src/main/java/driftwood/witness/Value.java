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
}
