package driftwood.pack;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/** Bytes being written. Texts and lines are written once each and numbered. */
final class Output {
    private static final int SOME = 1024;
    private static final int SEVEN_BITS = 7;
    private static final int MORE = 0x80;

    private final Moves moves;
    private final Map<String, Integer> texts = new HashMap<>();
    private final Map<Integer, Integer> numbers = new HashMap<>();
    private byte[] bytes = new byte[SOME];
    private int length;
    private int[] lines = new int[16];
    private String file = "";

    Output(Moves moves) {
        this.moves = moves;
    }

    /** The file whose lines are meant from now on. @return the one before */
    String within(String now) {
        String before = file;
        file = now;
        return before;
    }

    void line(int line) {
        int moved = moves.moved(file, line);
        Integer known = numbers.get(moved);
        if (known == null) {
            known = numbers.size();
            if (known == lines.length) {
                lines = Arrays.copyOf(lines, known * 2);
            }
            lines[known] = moved;
            numbers.put(moved, known);
        }
        number(known);
    }

    void text(String text) {
        Integer known = texts.putIfAbsent(text, texts.size());
        if (known != null) {
            number(known + 1);
            return;
        }
        number(0);
        byte[] narrow = text.getBytes(StandardCharsets.ISO_8859_1);
        boolean fits = new String(narrow, StandardCharsets.ISO_8859_1).equals(text);
        byte[] written = fits ? narrow : wide(text);
        number(written.length * 2 + (fits ? 0 : 1));
        plain(written);
    }

    /** Two bytes a character, so that text which is no proper Unicode survives as well. */
    private static byte[] wide(String text) {
        byte[] written = new byte[2 * text.length()];
        for (int i = 0; i < text.length(); i++) {
            written[2 * i] = (byte) (text.charAt(i) >> Byte.SIZE);
            written[2 * i + 1] = (byte) text.charAt(i);
        }
        return written;
    }

    /** A number of any size; small ones from 0 up take one byte. */
    void number(int number) {
        int left = number;
        room(Integer.BYTES + 1);
        while ((left & ~(MORE - 1)) != 0) {
            bytes[length++] = (byte) (left & (MORE - 1) | MORE);
            left >>>= SEVEN_BITS;
        }
        bytes[length++] = (byte) left;
    }

    void whole(long value) {
        room(Long.BYTES);
        for (int shift = Long.SIZE - Byte.SIZE; shift >= 0; shift -= Byte.SIZE) {
            bytes[length++] = (byte) (value >>> shift);
        }
    }

    void bytes(byte[] value) {
        number(value.length);
        plain(value);
    }

    private void plain(byte[] value) {
        room(value.length);
        System.arraycopy(value, 0, bytes, length, value.length);
        length += value.length;
    }

    private void room(int more) {
        if (length + more > bytes.length) {
            bytes = Arrays.copyOf(bytes, Math.max(bytes.length * 2, length + more));
        }
    }

    Packed packed() {
        return new Packed(Arrays.copyOf(bytes, length), Arrays.copyOf(lines, numbers.size()));
    }
}
