package driftwood.source;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.util.Optional;

/**
 * The text of a source file.
 *
 * @param file  the file it came from; never null
 * @param text  its characters, without a byte order mark; never null
 * @param latin true where the bytes are not UTF-8 and were read as ISO-8859-1, which never fails
 */
public record SourceText(SourceFile file, String text, boolean latin) {
    /** A larger source file is generated or data; javac itself gives up on methods long before. In bytes. */
    static final long LARGEST = 32L * 1024 * 1024;
    private static final long ONES = 0x0101010101010101L;
    private static final long HIGH_BITS = 0x8080808080808080L;

    /** The same text, as code that is read but not judged. */
    public SourceText asideFromJudging() {
        return new SourceText(new SourceFile(file.path(), file.location(), file.language(), true), text, latin);
    }

    /** What went wrong with a file, in words for the person at the keyboard. */
    public static final class NotReadable extends Exception {
        private static final long serialVersionUID = 1;

        NotReadable(String why) {
            super(why);
        }
    }

    /**
     * Reads a file.
     *
     * @throws NotReadable where the file is missing, forbidden, far too large, or not text
     */
    public static SourceText read(SourceFile file) throws NotReadable {
        return decode(file, bytes(file));
    }

    /**
     * The bytes of a file.
     *
     * @throws NotReadable where it is missing, forbidden or far too large
     */
    public static byte[] bytes(SourceFile file) throws NotReadable {
        try {
            if (Files.size(file.location()) > LARGEST) {
                throw new NotReadable("larger than " + LARGEST / (1024 * 1024) + " MiB");
            }
            return Files.readAllBytes(file.location());
        } catch (AccessDeniedException e) {
            throw new NotReadable("no permission to read it");
        } catch (NoSuchFileException e) {
            throw new NotReadable("it is gone");
        } catch (IOException e) {
            throw new NotReadable("could not be read: " + e.getMessage());
        }
    }

    /**
     * Decodes bytes as UTF-8, as UTF-16 where a byte order mark or the zeros of every other byte say so, or else as
     * ISO-8859-1. Zero bytes in valid UTF-8 are text all the same: they stand in literals of real code, and compilers
     * take them.
     *
     * @throws NotReadable where the bytes are not text at all
     */
    public static SourceText decode(SourceFile file, byte[] bytes) throws NotReadable {
        if (isPlain(bytes)) {
            return new SourceText(file, new String(bytes, StandardCharsets.ISO_8859_1), false);
        }
        int[] zeros = zeros(bytes);
        Optional<Charset> wide = wide(bytes, zeros);
        if (wide.isPresent()) {
            return wide(file, bytes, wide.get());
        }
        try {
            String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            if ((zeros[0] + zeros[1]) * 5L > bytes.length * 2L) {
                throw new NotReadable("not text (it is full of zero bytes)");
            }
            return new SourceText(file, text.startsWith("\uFEFF") ? text.substring(1) : text, false);
        } catch (CharacterCodingException e) {
            if (zeros[0] + zeros[1] > 0) {
                throw new NotReadable("not text (it holds zero bytes and is no UTF-8)");
            }
            return new SourceText(file, new String(bytes, StandardCharsets.ISO_8859_1), true);
        }
    }

    /** How many bytes are zero at even and at odd places. */
    private static int[] zeros(byte[] bytes) {
        int[] zeros = new int[2];
        for (int i = 0; i < bytes.length; i++) {
            zeros[i % 2] += bytes[i] == 0 ? 1 : 0;
        }
        return zeros;
    }

    /** UTF-16 of either order. In source text without a mark, nearly every other byte is zero and none of the rest. */
    private static Optional<Charset> wide(byte[] bytes, int[] zeros) {
        int mark = bytes.length < 2 ? 0 : (bytes[0] & 0xFF) << 8 | bytes[1] & 0xFF;
        boolean even = bytes.length % 2 == 0;
        if (mark == 0xFFFE || even && zeros[0] == 0 && zeros[1] * 5L > bytes.length * 2L) {
            return Optional.of(StandardCharsets.UTF_16LE);
        }
        return mark == 0xFEFF || even && zeros[1] == 0 && zeros[0] * 5L > bytes.length * 2L
                ? Optional.of(StandardCharsets.UTF_16BE) : Optional.empty();
    }

    private static SourceText wide(SourceFile file, byte[] bytes, Charset charset) throws NotReadable {
        try {
            String text = charset.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            return new SourceText(file, text.startsWith("\uFEFF") ? text.substring(1) : text, false);
        } catch (CharacterCodingException e) {
            throw new NotReadable("not text (it begins like " + charset + " and is not)");
        }
    }

    /** Whether all bytes are ASCII and none is zero, as in nearly all sources; eight are looked at in one step. */
    private static boolean isPlain(byte[] bytes) {
        ByteBuffer buffer = ByteBuffer.wrap(bytes);
        while (buffer.remaining() >= Long.BYTES) {
            long eight = buffer.getLong();
            if (((eight | eight - ONES) & HIGH_BITS) != 0) {
                return false;
            }
        }
        while (buffer.hasRemaining()) {
            if (buffer.get() <= 0) {
                return false;
            }
        }
        return true;
    }
}
