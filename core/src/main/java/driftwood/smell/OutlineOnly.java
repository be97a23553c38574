package driftwood.smell;

import driftwood.read.FileTree;
import java.util.List;

/** Sees nothing, for detectors to which the linked program says enough. */
public final class OutlineOnly implements Seer<Void> {
    /** The one instance. */
    public static final OutlineOnly INSTANCE = new OutlineOnly();

    private OutlineOnly() {
    }

    @Override
    public String key() {
        return "outline";
    }

    @Override
    public int version() {
        return 1;
    }

    @Override
    public List<Void> see(FileTree file) {
        return List.of();
    }
}
