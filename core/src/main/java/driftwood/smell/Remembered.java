package driftwood.smell;

import driftwood.pack.Packing;
import driftwood.program.Outline;
import driftwood.smell.Chapters.Rest;
import driftwood.smell.Facts.Used;
import driftwood.smell.Memory.Kind;
import java.util.List;
import java.util.Optional;

/**
 * Facts that an earlier scan saw: the types at once, the rest when somebody asks for it. Safe to ask from several
 * threads; asking throws {@link Lost} where what was remembered cannot be read any more.
 */
final class Remembered implements Facts {
    private final Memory memory;
    private final String path;
    private final String digest;
    private final Outline outline;
    private Used used;
    private Rest rest;

    /** A memory that is damaged in parts. */
    static final class Lost extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    private Remembered(Memory memory, String path, String digest, Outline declared) {
        this.memory = memory;
        this.path = path;
        this.digest = digest;
        this.outline = declared.using(new Later<>(() -> used().creations()), new Later<>(() -> used().calls()));
    }

    /**
     * The facts that are remembered of a file; empty where they are not.
     *
     * @param digest of the facts
     * @param lines  how many the file has
     */
    static Optional<Facts> of(Memory memory, String path, String digest, int lines) {
        return memory.recall(Kind.DECLARED, path, digest).flatMap(Chapters.OUTLINE::unpack)
                .map(declared -> new Remembered(memory, path, digest, declared.ofLines(lines)));
    }

    private <T> T recalled(Kind kind, Packing<T> packing) {
        return memory.recall(kind, path, digest).flatMap(packing::unpack).orElseThrow(Lost::new);
    }

    private synchronized Used used() {
        if (used == null) {
            used = recalled(Kind.USED, Chapters.USED);
        }
        return used;
    }

    private synchronized Rest rest() {
        if (rest == null) {
            rest = recalled(Kind.SIGHTED, Chapters.REST);
        }
        return rest;
    }

    @Override
    public Outline outline() {
        return outline;
    }

    @Override
    public List<Object> sightings(String seer) {
        Chapters.Sighted sighted = rest().sighted().get(seer);
        return sighted == null ? List.of() : sighted.unpacked().orElseThrow(Lost::new);
    }

    @Override
    public Remarks remarks() {
        return rest().remarks();
    }
}
