package driftwood.smell.detect.container;

import driftwood.pack.Line;
import driftwood.program.Trail;

/**
 * A walk over parts that asks each whether it is a container, and goes down into those that are.
 *
 * @param within       qualified name of the type around
 * @param routine      symbol of the routine around
 * @param test         the type tested for, empty where a flag is asked
 * @param element      the way to the part that is asked
 * @param check        the question as written
 * @param checkLine    first line of the decision
 * @param checkEndLine last line of the decision
 * @param down         the descent as written, shortened
 * @param downLine     line of the descent
 * @param asked        the name of the flag asked, empty where a type is tested for
 * @param into         the member that gives the parts, empty where it cannot be told
 * @param again        whether the parts are walked by the same walk: by recursion, or on the same work list
 * @param recurs       whether by the routine around, called again
 * @param walked       whether the part comes from a loop or a walk around, rather than as an argument
 * @param line         first line of the loop around, or of the decision
 * @param endLine      last line of the loop around, or of the decision
 */
record Descent(String within, String routine, String test, Trail element, String check, @Line int checkLine,
        @Line int checkEndLine, String down, @Line int downLine, String asked, String into, boolean again, boolean recurs, boolean walked,
        @Line int line,
        @Line int endLine) {
}
