package driftwood.smell.see.chain;

import driftwood.read.FileTree;
import driftwood.smell.Chain;
import driftwood.smell.Seer;
import java.util.List;

/** Sees every chain of two or more arms in a file (an arm and an else where both create). */
public final class ChainSeer implements Seer<Chain> {
    /** The one instance: detectors that share it share its sightings. */
    public static final ChainSeer INSTANCE = new ChainSeer();

    private ChainSeer() {
    }

    @Override
    public String key() {
        return "chain";
    }

    @Override
    public int version() {
        return 3;
    }

    @Override
    public List<Chain> see(FileTree file) {
        return new ChainWalk(file).chains();
    }
}
