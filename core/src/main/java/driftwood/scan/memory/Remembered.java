package driftwood.scan.memory;

import driftwood.pack.Packing;
import driftwood.program.Later;
import driftwood.program.Outline;
import driftwood.scan.memory.PackedFacts.Rest;
import driftwood.scan.memory.Facts.Used;
import driftwood.scan.memory.Memory.Kind;
import java.util.List;
import java.util.Optional;

/**
 * Facts that an earlier scan saw: the types at once, the rest when somebody asks for it. Safe to ask from several
 * threads; asking throws {@link Lost} where what was remembered cannot be read any more.
 */
public final class Remembered implements Facts {
    private final Outline outline;
    private final Later<Rest> rest;

    /** A memory that is damaged in parts. */
    public static final class Lost extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    private Remembered(Memory memory, String path, String digest, Outline outline) {
        this.outline = outline;
        this.rest = new Later<>(() -> recalled(memory, Kind.SIGHTED, path, digest, PackedFacts.REST));
    }

    /**
     * The facts that are remembered of a file; empty where they are not.
     *
     * @param digest of the facts
     * @param lines  how many the file has
     */
    public static Optional<Facts> of(Memory memory, String path, String digest, int lines) {
        return PackedFacts.outline(memory, path, digest, new Later<>(() -> recalled(memory, Kind.USED, path, digest, PackedFacts.USED)))
                .map(outline -> new Remembered(memory, path, digest, outline.ofLines(lines)));
    }

    private static <T> T recalled(Memory memory, Kind kind, String path, String digest, Packing<T> packing) {
        return memory.recall(kind, path, digest).flatMap(packing::unpack).orElseThrow(Lost::new);
    }

    @Override
    public Outline outline() {
        return outline;
    }

    @Override
    public List<Object> sightings(String seer) {
        PackedFacts.Sighted sighted = rest.get().sighted().get(seer);
        return sighted == null ? List.of() : sighted.unpacked().orElseThrow(Lost::new);
    }

    @Override
    public Remarks remarks() {
        return rest.get().remarks();
    }
}
