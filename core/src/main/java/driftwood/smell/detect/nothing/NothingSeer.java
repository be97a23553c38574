package driftwood.smell.detect.nothing;

import driftwood.read.FileTree;
import driftwood.smell.Seer;
import java.util.List;

/** Sees where null is given, handed on, stored and guarded against. */
final class NothingSeer implements Seer<NothingSighting> {
    static final NothingSeer INSTANCE = new NothingSeer();

    private NothingSeer() {
    }

    @Override
    public String key() {
        return "nothing";
    }

    @Override
    public int version() {
        return 4;
    }

    @Override
    public List<NothingSighting> see(FileTree file) {
        return new NothingWalk(file).sightings();
    }
}
