package driftwood.smell;

import driftwood.program.Program;
import driftwood.smell.detect.Catalogue;
import java.util.List;

/**
 * The second phase of a smell: judging all sightings against the program. A smell is one class that implements this,
 * and one line in {@link Catalogue}.
 *
 * @param <S> the sightings it judges
 */
public interface Detector<S> {

    /** The smell's key, title and explanation. */
    Smell smell();

    /** Who sees what this detector judges. */
    Seer<S> seer();

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
     * @param program  all files linked, tests included
     * @param sighted  in the order of files and lines; sightings in test code are evidence at most
     * @return findings in any order, without ids
     */
    List<Finding> judge(Program program, List<Seen<S>> sighted);
}
