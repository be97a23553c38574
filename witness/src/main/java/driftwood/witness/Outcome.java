package driftwood.witness;

import java.util.List;

/**
 * What happened in a case.
 *
 * @param id     of the case
 * @param ending "ran"; "throws" where the receiver could not be constructed; "endless"; "exits"; or "unmade" where the
 *               inputs could not be made
 * @param value  the receiver as it was at the beginning; for "throws" the problem; for the others a text that says why
 * @param steps  what became of each step that was come to
 * @param out    what was printed on standard output
 * @param err    what was printed on standard error
 * @param pairs  how objects of the case compare with each other, as {@code this, 1.other}: {@code equal}
 * @param calls  calls on stand-ins, in order
 * @param files  what was written in the working folder, by name
 */
public record Outcome(String id, String ending, Value value, List<Told> steps, String out, String err, List<Writing> pairs,
        List<Value> calls, List<Writing> files) {

    /** A case that was not run to its end. @param why in words */
    public static Outcome ended(String id, String ending, String why) {
        return new Outcome(id, ending, Value.scalar("text", why), List.of(), "", "", List.of(), List.of(), List.of());
    }

    /**
     * What became of a step.
     *
     * @param ending "gives", "throws", or "skips" where what it is called on is not there
     * @param value  the result, or the problem
     * @param names  of what answers otherwise than before
     * @param left   each of these afterwards: objects by the answers that changed
     */
    public record Told(String ending, Value value, List<String> names, List<Value> left) {
    }

    /**
     * Something with a name.
     *
     * @param name of a file, relative to the working folder, with forward slashes; or of a pair
     * @param text what is in it; for a folder, a link or what is no text, words that say so
     */
    public record Writing(String name, String text) {
    }
}
