package driftwood.smell;

import driftwood.program.Program;
import java.util.List;

/**
 * The second phase of a smell: judging all sightings against the program. A smell is one class that implements this,
 * and one line in {@link driftwood.smell.detect.Catalogue}.
 */
public interface Detector {

    /** The smell's key, title and explanation. */
    Smell smell();

    /** Who sees what this detector judges; none where the linked program says enough. */
    List<Seer<?>> seers();

    /**
     * Whether a finding depends on nothing but declarations and on the calls, creations and sightings of the one file
     * that it is told of; then only the changed files of a project need be judged anew, in {@link Program#judged()}.
     */
    default boolean isLocal() {
        return false;
    }

    /**
     * The findings among the sightings.
     *
     * @param program   all files linked, tests included
     * @param sightings of this detector's seers
     * @return findings in any order, without ids
     */
    List<Finding> judge(Program program, Sightings sightings);
}
