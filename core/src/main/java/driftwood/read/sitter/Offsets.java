package driftwood.read.sitter;

/** Turns the parser's offsets in bytes into offsets in characters. */
final class Offsets {
    private final int[] characters;

    private Offsets(int[] characters) {
        this.characters = characters;
    }

    /** For plain ASCII the two are the same, and no table is made. */
    static Offsets of(String text) {
        int bytes = 0;
        for (int i = 0; i < text.length(); i++) {
            bytes += width(text.charAt(i));
        }
        if (bytes == text.length()) {
            return new Offsets(new int[0]);
        }
        int[] table = new int[bytes + 1];
        int at = 0;
        for (int i = 0; i < text.length(); i++) {
            for (int k = width(text.charAt(i)); k > 0; k--) {
                table[at++] = i;
            }
        }
        table[at] = text.length();
        return new Offsets(table);
    }

    /** The binding hands the text on as Java's own form of UTF-8: surrogates one by one, a zero in two bytes. */
    private static int width(char c) {
        return c == 0 ? 2 : c < 0x80 ? 1 : c < 0x800 ? 2 : 3;
    }

    int at(int offset) {
        return characters.length == 0 ? offset : characters[Math.min(offset, characters.length - 1)];
    }
}
