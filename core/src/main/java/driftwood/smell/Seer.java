package driftwood.smell;

import driftwood.read.FileTree;
import java.util.List;
import java.util.function.Function;

/**
 * The first phase: what one file alone can tell. Several detectors may share a seer. Stateless; called from many
 * threads at once.
 *
 * @param <S>      the sighting: a small immutable record without tree nodes, or a sealed family of such records
 * @param key      a name of its own among all seers, part of every cache key; never blank
 * @param version  changes whenever the sightings of an unchanged tree change
 * @param sighting the class of the sightings
 * @param sight    gives the sightings of one file in source order; never null
 */
public record Seer<S>(String key, int version, Class<S> sighting, Function<FileTree, List<S>> sight) {

    /** By its key: it is looked up for each file. */
    @Override
    public int hashCode() {
        return key.hashCode();
    }

    /** The sightings of one file in source order; never null. */
    public List<S> see(FileTree file) {
        return sight.apply(file);
    }
}
