package driftwood.store;

import java.util.List;

/**
 * What a project wants to be told of, where the command line does not say otherwise.
 *
 * @param smells  keys of the smells to look for; empty for all
 * @param minDrag findings of less drag are left out
 * @param failAt  a finding of this much drag or more is something to act on; infinite for none
 */
public record Wanted(List<String> smells, double minDrag, double failAt) {
    /** Everything, and nothing fails. */
    public static final Wanted DEFAULT = new Wanted(List.of(), 0, Double.POSITIVE_INFINITY);
}
