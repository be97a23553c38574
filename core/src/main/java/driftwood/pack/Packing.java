package driftwood.pack;

import java.util.List;
import java.util.Optional;

/**
 * Packs values of one type. Parts may be records, lists, sets, maps, optional values, enums, texts, numbers and sealed
 * families of records. A number that is marked {@link Line} is one of a line.
 *
 * @param <T> the type
 */
public final class Packing<T> {
    private final Form form;

    private Packing(Form form) {
        this.form = form;
    }

    /** For a record. */
    public static <T extends Record> Packing<T> of(Class<T> type) {
        return new Packing<>(Forms.of(type));
    }

    /** For lists of records, or of a sealed family of records. */
    public static <T> Packing<List<T>> list(Class<T> type) {
        return new Packing<>(new Forms.Listed(Forms.of(type)));
    }

    public Packed pack(T value) {
        return pack(value, Moves.NONE);
    }

    /** Packs a value as it is after lines have moved. */
    public Packed pack(T value, Moves moves) {
        Output out = new Output(moves);
        form.write(value, out);
        return out.packed();
    }

    /** The value; empty where the bytes are damaged. */
    @SuppressWarnings("unchecked")
    public Optional<T> unpack(Packed packed) {
        try {
            return Optional.of((T) form.read(new Input(packed)));
        } catch (IndexOutOfBoundsException | NegativeArraySizeException | IllegalArgumentException
                | NullPointerException | IllegalStateException e) {
            return Optional.empty();
        }
    }

    /** The value; empty where the bytes are damaged. @param bytes of a packed value, both parts as one */
    public Optional<T> unpack(byte[] bytes) {
        return Packed.of(bytes).flatMap(this::unpack);
    }
}
