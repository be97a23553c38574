package driftwood.pack;

/**
 * A value of a fixed set, told by its key: packed as that key. A class that implements it has a public static routine
 * {@code ofKey(String)} that gives the value as an {@code Optional}.
 */
public interface Keyed {

    /** The name that tells it from all others of its class; never blank. */
    String key();
}
