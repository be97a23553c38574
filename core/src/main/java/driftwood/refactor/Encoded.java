package driftwood.refactor;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * How the text of a file is kept in bytes: what is written back is kept in the same way.
 *
 * @param charset name of it
 * @param marked  whether a byte order mark stands before it
 */
public record Encoded(String charset, boolean marked) {
    private static final String MARK = "\uFEFF";
    /** How new files are written. */
    public static final Encoded USUAL = new Encoded(StandardCharsets.UTF_8.name(), false);

    /** As sources are read: UTF-16 with its mark, UTF-8, or else ISO-8859-1. */
    public static Encoded of(byte[] bytes) {
        int two = bytes.length < 2 ? 0 : (bytes[0] & 0xFF) << 8 | bytes[1] & 0xFF;
        if (two == 0xFEFF || two == 0xFFFE) {
            return new Encoded(two == 0xFEFF ? StandardCharsets.UTF_16BE.name() : StandardCharsets.UTF_16LE.name(), true);
        }
        try {
            String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            return new Encoded(StandardCharsets.UTF_8.name(), text.startsWith(MARK));
        } catch (CharacterCodingException e) {
            return new Encoded(StandardCharsets.ISO_8859_1.name(), false);
        }
    }

    /** The text of bytes kept so, without its mark. */
    public String text(byte[] bytes) {
        String text = new String(bytes, Charset.forName(charset));
        return marked && text.startsWith(MARK) ? text.substring(1) : text;
    }

    /** @throws Refused where the text has characters that cannot be kept so */
    public byte[] bytes(String text) {
        Charset kept = Charset.forName(charset);
        if (!kept.newEncoder().canEncode(text)) {
            throw new Refused("a changed file is in " + charset.toUpperCase(Locale.ROOT) + ", which cannot hold what would be written");
        }
        return ((marked ? MARK : "") + text).getBytes(kept);
    }
}
