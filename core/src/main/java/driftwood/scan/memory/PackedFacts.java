package driftwood.scan.memory;

import driftwood.pack.Packed;
import driftwood.pack.Packing;
import driftwood.program.Later;
import driftwood.program.NameSet;
import driftwood.program.Outline;
import driftwood.scan.memory.Facts.Remarks;
import driftwood.scan.memory.Facts.Used;
import driftwood.scan.memory.Memory.Kind;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The facts of a file in the form in which they are remembered: each part for itself, so that who needs one need not
 * unpack the others.
 *
 * @param declared types and their members, for the linked program
 * @param called   names of what is called
 * @param used     calls and creations
 * @param rest     what is told of the file, and what was seen in it
 */
public record PackedFacts(Packed declared, NameSet called, Packed used, Rest rest) {
    private static final Packing<Outline> OUTLINE = Packing.of(Outline.class);
    private static final Packing<Declared> DECLARED = Packing.of(Declared.class);
    static final Packing<Used> USED = Packing.of(Used.class);
    static final Packing<Rest> REST = Packing.of(Rest.class);
    private static final String OWN = "driftwood.";

    /**
     * What one seer saw.
     *
     * @param type   name of the class of the sightings, or of the family that all their classes are of
     * @param packed the list of them
     */
    record Sighted(String type, Packed packed) {

        private static Sighted of(Class<?> type, List<Object> seen) {
            return new Sighted(type.getName(), pack(type, seen));
        }

        @SuppressWarnings("unchecked")
        private static <T> Packed pack(Class<T> type, List<Object> seen) {
            return Packing.list(type).pack((List<T>) (List<?>) seen);
        }

        /** The sightings; empty where they are damaged or of another version. */
        Optional<List<Object>> unpacked() {
            try {
                return type.startsWith(OWN) ? Packing.list(Class.forName(type)).unpack(packed)
                        .map(List::copyOf) : Optional.empty();
            } catch (ClassNotFoundException | ClassCastException e) {
                return Optional.empty();
            }
        }
    }

    /**
     * What is remembered together.
     *
     * @param remarks what is told of the file itself
     * @param sighted what each seer saw, where it saw anything, by its key
     */
    record Rest(Remarks remarks, Map<String, Sighted> sighted) {
    }

    /** What is read of every file when the program is linked. The names stand apart, as no declaration changes with them. */
    private record Declared(Packed outline, NameSet called) {
    }

    /** The number of a file's lines is left out: it matters to no judge. */
    public static PackedFacts of(Facts.Fresh facts) {
        Outline outline = facts.outline();
        Map<String, Sighted> sighted = new LinkedHashMap<>();
        facts.all().forEach((seer, seen) -> {
            if (!seen.isEmpty()) {
                sighted.put(seer, Sighted.of(facts.types().get(seer), seen));
            }
        });
        return new PackedFacts(OUTLINE.pack(outline.ofLines(0).using(List.of(), List.of())),
                outline.named(), USED.pack(new Used(outline.creations(), outline.calls())), new Rest(facts.remarks(), sighted));
    }

    /** Tells these facts from any others. */
    public String digest() {
        return Digest.of(declared.bytes()) + Digest.of(used.bytes()) + Digest.of(REST.pack(rest).bytes());
    }

    public void remember(Memory memory, String path, String digest) {
        memory.remember(Kind.DECLARED, path, digest, DECLARED.pack(new Declared(declared, called)).bytes());
        memory.remember(Kind.USED, path, digest, used.bytes());
        memory.remember(Kind.SIGHTED, path, digest, REST.pack(rest).bytes());
    }

    /** What is remembered of a file; empty where it is not, or only in part. */
    public static Optional<PackedFacts> recall(Memory memory, String path, String digest) {
        Optional<Declared> declared = memory.recall(Kind.DECLARED, path, digest).flatMap(DECLARED::unpack);
        Optional<Packed> used = memory.recall(Kind.USED, path, digest).flatMap(Packed::of);
        Optional<Rest> rest = memory.recall(Kind.SIGHTED, path, digest).flatMap(REST::unpack);
        return declared.isEmpty() || used.isEmpty() ? Optional.empty()
                : rest.map(each -> new PackedFacts(declared.get().outline(), declared.get().called(), used.get(), each));
    }

    /**
     * The types of a file; empty where they are not remembered.
     *
     * @param used finds the calls and creations out when somebody asks for them
     */
    static Optional<Outline> outline(Memory memory, String path, String digest, Later<Used> used) {
        return memory.recall(Kind.DECLARED, path, digest).flatMap(DECLARED::unpack).flatMap(declared -> OUTLINE.unpack(declared.outline()).map(outline ->
                outline.using(new LaterList<>(() -> used.get().creations()), new LaterList<>(() -> used.get().calls()), declared.called())));
    }
}
