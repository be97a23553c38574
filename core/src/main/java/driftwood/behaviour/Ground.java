package driftwood.behaviour;

import driftwood.behaviour.Recording.Case;
import java.io.IOException;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Code under observation in which slips can be planted, one at a time, and cases tried against them. */
interface Ground {

    /** The ground that a surface leads to. */
    interface Finder {
        /** @throws IOException where the code cannot be read; the message says why */
        Ground of(Surface surface) throws IOException;
    }

    /** All places for a slip, in the order of the code. */
    List<Slip> slips();

    /** Path of the source file of a slip, relative to the project; empty where it is not known. */
    String file(Slip slip);

    /** Paths of the source files. */
    Collection<String> files();

    /**
     * Tries slips.
     *
     * @param cases that end in the same way each time
     * @param until by {@link System#nanoTime}: slips not tried by then are left
     */
    TrialResults run(List<Case> cases, List<Slip> slips, long until) throws IOException;

    /** Adds what a case takes. @return whether it takes a branch that no case took before */
    boolean takesNew(Map<Long, BitSet> taken);

    /** What all cases take together. */
    Coverage taken() throws IOException;
}
