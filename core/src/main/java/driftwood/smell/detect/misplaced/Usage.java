package driftwood.smell.detect.misplaced;

import driftwood.pack.Line;
import driftwood.program.Step;
import driftwood.program.Trail;
import java.util.List;
import java.util.Set;

/**
 * Which members a routine uses.
 *
 * @param type    qualified name of the type around
 * @param routine symbol
 * @param name    of the routine
 * @param made    simple name of the type that a creation routine makes, empty if it is none
 * @param own     names of its own object's members
 * @param others  members of other objects, each once
 * @param line    first line
 * @param endLine last line
 */
record Usage(String type, String routine, String name, String made, Set<String> own, List<Use> others, @Line int line, @Line int endLine) {

    /**
     * A use of a member.
     *
     * @param receiver the way to the object
     * @param member   the step taken from there
     */
    record Use(Trail receiver, Step member) {
    }
}
