package driftwood.behaviour.run;

import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.slip.Coverage;
import driftwood.behaviour.slip.Slip;
import driftwood.behaviour.slip.TrialResults;
import driftwood.behaviour.view.Queries;
import driftwood.behaviour.view.Surface;
import java.io.IOException;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Code under observation in which slips can be planted, one at a time, and cases tried against them. */
public interface Ground extends AutoCloseable {

    /** The ground that a surface leads to. */
    interface Finder {
        /** @throws IOException where the code cannot be read; the message says why */
        Ground of(Surface surface) throws IOException;
    }

    /** All places for a slip, in the order of the code. */
    List<Slip> slips();

    /** Whether a slip is in an observed type, rather than in what that works with. */
    boolean isMain(Slip slip);

    /** Path of the source file of a slip, relative to the project; empty where it is not known. */
    String file(Slip slip);

    /** Paths of the source files. */
    Collection<String> files();

    /**
     * Runs cases, and tries slips against them.
     *
     * @param queries what objects are asked
     * @param effort  how far to go
     */
    TrialResults run(List<Case> cases, List<Slip> slips, Queries queries, Effort effort) throws IOException;

    /**
     * How far a trial goes.
     *
     * @param work  lines of observed code to run at most, for all slips together: the same on every machine
     * @param until by {@link System#nanoTime}: slips not tried by then are left
     */
    record Effort(long work, long until) {
    }

    /** Adds what a case takes. @return whether it takes a branch that no case took before */
    boolean takesNew(Map<Long, BitSet> taken);

    /** Ends what runs for it. */
    @Override
    void close();

    /** What all cases take together. */
    Coverage taken() throws IOException;
}
