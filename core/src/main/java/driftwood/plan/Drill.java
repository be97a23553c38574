package driftwood.plan;

import driftwood.smell.Evidence;
import java.util.HashSet;
import java.util.List;

/**
 * The change drill: every place to edit for one more variant.
 *
 * @param change what is added, as a clause: "one more Kind"
 * @param today  as the code stands
 * @param after  with the chosen pattern; the same as today for leaving it
 */
public record Drill(String change, List<Evidence> today, List<Evidence> after) {

    /** How many files some places are in. */
    public static int files(List<Evidence> places) {
        return new HashSet<>(places.stream().map(Evidence::file).toList()).size();
    }
}
