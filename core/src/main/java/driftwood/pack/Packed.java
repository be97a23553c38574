package driftwood.pack;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Optional;

/**
 * A value as bytes. Where it names a line of a file, the bytes only say which of the lines below is meant: values that
 * differ in nothing but where they stand have the same bytes.
 *
 * @param body  all but the numbers of the lines
 * @param lines the numbers, each once, in the order in which the value first names them
 */
public record Packed(byte[] body, int[] lines) {

    /** Whether another value differs in its lines at most. */
    public boolean isAlike(Packed other) {
        return lines.length == other.lines.length && Arrays.equals(body, other.body);
    }

    /** Both parts as one. */
    public byte[] bytes() {
        ByteBuffer whole = ByteBuffer.allocate(Integer.BYTES * (1 + lines.length) + body.length).putInt(lines.length);
        for (int line : lines) {
            whole.putInt(line);
        }
        return whole.put(body).array();
    }

    /** Takes apart what {@link #bytes()} made of it; empty where the bytes are damaged. */
    public static Optional<Packed> of(byte[] bytes) {
        try {
            ByteBuffer whole = ByteBuffer.wrap(bytes);
            int count = whole.getInt();
            if (count < 0 || count > whole.remaining() / Integer.BYTES) {
                return Optional.empty();
            }
            int[] lines = new int[count];
            for (int i = 0; i < count; i++) {
                lines[i] = whole.getInt();
            }
            byte[] body = new byte[whole.remaining()];
            whole.get(body);
            return Optional.of(new Packed(body, lines));
        } catch (BufferUnderflowException e) {
            return Optional.empty();
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Packed packed && Arrays.equals(body, packed.body) && Arrays.equals(lines, packed.lines);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(body) * 31 + Arrays.hashCode(lines);
    }

    @Override
    public String toString() {
        return body.length + " bytes, lines " + Arrays.toString(lines);
    }
}
