package driftwood.pack;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** Bytes being read. Damaged ones end in one of the usual exceptions of arrays. */
final class Input {
    private static final int SEVEN_BITS = 7;
    private static final int MORE = 0x80;
    private static final int BYTE = 0xff;

    private final byte[] bytes;
    private final int[] lines;
    private int at;
    private String[] texts = new String[32];
    private int known;

    Input(Packed packed) {
        this.bytes = packed.body();
        this.lines = packed.lines();
    }

    int line() {
        return lines[number()];
    }

    String text() {
        int which = number();
        if (which > 0) {
            return texts[which - 1];
        }
        int head = number();
        int length = head >>> 1;
        String text = (head & 1) == 0 ? new String(bytes, at, length, StandardCharsets.ISO_8859_1) : wide(length / 2);
        at += length;
        if (known == texts.length) {
            texts = Arrays.copyOf(texts, known * 2);
        }
        texts[known++] = text;
        return text;
    }

    private String wide(int length) {
        char[] chars = new char[length];
        for (int i = 0; i < length; i++) {
            chars[i] = (char) ((bytes[at + 2 * i] & BYTE) << Byte.SIZE | bytes[at + 2 * i + 1] & BYTE);
        }
        return new String(chars);
    }

    int number() {
        int number = 0;
        int shift = 0;
        while (true) {
            byte next = bytes[at++];
            number |= (next & MORE - 1) << shift;
            if (next >= 0) {
                return number;
            }
            shift += SEVEN_BITS;
        }
    }

    /** How many parts follow: never more than there are bytes left. */
    int count() {
        int count = number();
        if (count < 0 || count > bytes.length - at) {
            throw new IndexOutOfBoundsException(count);
        }
        return count;
    }

    byte[] bytes() {
        int count = count();
        byte[] value = Arrays.copyOfRange(bytes, at, at + count);
        at += count;
        return value;
    }

    long whole() {
        long value = 0;
        for (int i = 0; i < Long.BYTES; i++) {
            value = value << Byte.SIZE | bytes[at++] & BYTE;
        }
        return value;
    }
}
