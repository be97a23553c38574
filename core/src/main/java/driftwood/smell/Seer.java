package driftwood.smell;

import driftwood.read.FileTree;
import java.util.List;

/**
 * The first phase: what one file alone can tell. Several detectors may share a seer. Stateless; called from many
 * threads at once.
 *
 * @param <S> the sighting: a small immutable record without tree nodes
 */
public interface Seer<S> {

    /** A name of its own among all seers, part of every cache key; never blank. */
    String key();

    /** Changes whenever the sightings of an unchanged tree change. */
    int version();

    /** The sightings of one file in source order; never null. */
    List<S> see(FileTree file);
}
