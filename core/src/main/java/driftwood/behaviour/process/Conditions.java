package driftwood.behaviour.process;

import driftwood.witness.Asking.Manner;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Circumstances under which cases are run. What an outcome owes to them is no behaviour of the code, and is masked.
 *
 * @param order     of the cases: what earlier ones leave behind in static state shows
 * @param flags     of the JVM: other identity hashes, so that the order of hashed things differs
 * @param later     the clock that the project's own classes read is more than a year ahead
 * @param manner    in which objects are asked
 * @param trying    whether cases are tried for the first time: what never comes to its end is given up soon
 */
public record Conditions(Order order, List<String> flags, boolean later, Manner manner, boolean trying) {
    /** An order of cases; no case keeps its place in all of them. */
    public enum Order {
        GIVEN, BACKWARDS, HALVES;

        /** The items in this order, or put back from it. */
        public <T> List<T> of(List<T> items, boolean back) {
            List<T> ordered = new ArrayList<>(items);
            if (this == BACKWARDS) {
                Collections.reverse(ordered);
            } else if (this == HALVES) {
                int half = items.size() / 2;
                Collections.rotate(ordered, back ? half : -half);
            }
            return ordered;
        }
    }

    /** As any program runs. */
    public static final Conditions USUAL = new Conditions(Order.GIVEN, List.of(), false, Manner.ALONG, false);
    /** The same for cases of which nobody knows yet whether they end. */
    public static final Conditions TRYING = new Conditions(Order.GIVEN, List.of(), false, Manner.ALONG, true);
    /** Other circumstances, to compare with. The flag chooses how HotSpot makes identity hashes. */
    public static final List<Conditions> OTHERS = List.of(new Conditions(Order.BACKWARDS, hashes(3), true, Manner.BACKWARDS, false),
            new Conditions(Order.HALVES, hashes(0), false, Manner.ALONG, false));

    private static List<String> hashes(int way) {
        return List.of("-XX:+IgnoreUnrecognizedVMOptions", "-XX:+UnlockExperimentalVMOptions", "-XX:hashCode=" + way);
    }
}
