package driftwood.behaviour.tests;

import driftwood.behaviour.recording.Recording;
import java.util.Map;

/** Writes a recording as ordinary tests of its language, for projects that keep them. */
public interface KeptTests {

    /**
     * What was written.
     *
     * @param files contents by path, relative to the folder of tests
     * @param cases how many cases are in them
     * @param left  how often what kept a case out
     */
    record Written(Map<String, String> files, int cases, Map<String, Integer> left) {
    }

    Written write(Recording recording);
}
