package driftwood.program;

import java.util.Arrays;
import java.util.stream.Stream;

/**
 * A small summary of some names: enough to tell for certain that one is not among them.
 *
 * @param hashes hash codes of all of them, ascending
 */
public record NameSet(int[] hashes) {
    /** Of no name. */
    public static final NameSet NONE = new NameSet(new int[0]);

    public static NameSet of(Stream<String> names) {
        return new NameSet(names.mapToInt(String::hashCode).sorted().distinct().toArray());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof NameSet set && Arrays.equals(hashes, set.hashes);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(hashes);
    }
}
