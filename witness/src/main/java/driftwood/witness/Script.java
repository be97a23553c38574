package driftwood.witness;

import java.util.List;

/**
 * One case to run. What is alive in it has a name: {@code this} is the receiver, {@code 2} what the second step gave,
 * {@code 2.gauge} what the second step was handed for its parameter gauge.
 *
 * @param id        of the case
 * @param receiver  one element, or none for static routines
 * @param steps     in order; none where only a construction is observed
 */
public record Script(String id, List<Make> receiver, List<Step> steps) {
    /** The name of the receiver. */
    public static final String THIS = "this";
    /** In place of what a step is called on: it makes one more object. */
    public static final String NEW = "new";

    /**
     * A call, or the making of one more object.
     *
     * @param of    name of what it is called on; empty for static routines, {@link #NEW} where something is made
     * @param act   a call without receiver, or how to make the object
     * @param names of the call's parameters
     */
    public record Step(String of, Make act, List<String> names) {
    }
}
