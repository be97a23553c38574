package driftwood.witness;

import java.util.List;

/**
 * What happened in a case.
 *
 * @param id     of the case
 * @param ending "gives", "throws", "endless", or "unmade" where the inputs could not be made
 * @param value  the result; for "throws" an object with type, message and cause; for "unmade" a text that says why
 * @param out    what was printed on standard output
 * @param err    what was printed on standard error
 * @param names  what changed: "this" or a parameter's name
 * @param left   the changed objects afterwards
 * @param calls  calls on stand-ins, in order
 * @param files  what was written in the working folder, by name
 */
public record Outcome(String id, String ending, Value value, String out, String err, List<String> names,
        List<Value> left, List<String> calls, List<Writing> files) {

    /**
     * A file that was written.
     *
     * @param name relative to the working folder, with forward slashes
     * @param text what is in it; for a folder, a link or what is no text, words that say so
     */
    public record Writing(String name, String text) {
    }
}
