package driftwood.smell.see.reach;

import driftwood.read.FileTree;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.see.creation.Birth;
import driftwood.smell.see.creation.BirthSeer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Sees creations and what reaches outside, for judges that need both. */
public final class Reaching implements Seer<Reaching.Fact> {
    /** The one instance: detectors that share it share its sightings. */
    public static final Reaching INSTANCE = new Reaching();

    private Reaching() {
    }

    /**
     * One of the two.
     *
     * @param birth a creation
     * @param reach a way outside
     */
    public record Fact(Optional<Birth> birth, Optional<Reach> reach) {
    }

    /** The creations among what was seen. */
    public static List<Seen<Birth>> births(List<Seen<Fact>> sighted) {
        List<Seen<Birth>> births = new ArrayList<>();
        sighted.forEach(seen -> seen.sighting().birth().ifPresent(each ->
                births.add(new Seen<>(seen.file(), seen.test(), each))));
        return births;
    }

    /** The ways outside among what was seen. */
    public static List<Seen<Reach>> reaches(List<Seen<Fact>> sighted) {
        List<Seen<Reach>> reaches = new ArrayList<>();
        sighted.forEach(seen -> seen.sighting().reach().ifPresent(each ->
                reaches.add(new Seen<>(seen.file(), seen.test(), each))));
        return reaches;
    }

    @Override
    public String key() {
        return "reaching";
    }

    @Override
    public int version() {
        return BirthSeer.INSTANCE.version() * 100 + ReachSeer.INSTANCE.version();
    }

    @Override
    public List<Fact> see(FileTree file) {
        List<Fact> facts = new ArrayList<>();
        BirthSeer.INSTANCE.see(file).forEach(each -> facts.add(new Fact(Optional.of(each), Optional.empty())));
        ReachSeer.INSTANCE.see(file).forEach(each -> facts.add(new Fact(Optional.empty(), Optional.of(each))));
        return facts;
    }
}
