package driftwood.read.java;

/**
 * Makes documentation comments plain ones, of the same length, before the compiler sees them: it would parse what is in
 * them, which takes a fifth of its time and is thrown away. All offsets stay as they are.
 */
final class PlainComments {
    private static final String DOCUMENTATION = "/**";
    private static final String TEXT_BLOCK = "\"\"\"";

    private PlainComments() {
    }

    /**
     * A text without documentation comments. Only those that begin a line are touched, as no literal can hold a line's
     * beginning; a file with a text block, which can, is left alone.
     */
    static String in(String text) {
        if (text.contains(TEXT_BLOCK)) {
            return text;
        }
        StringBuilder plain = null;
        for (int at = text.indexOf(DOCUMENTATION); at >= 0; at = text.indexOf(DOCUMENTATION, at + 1)) {
            if (beginsLine(text, at)) {
                plain = plain == null ? new StringBuilder(text) : plain;
                plain.setCharAt(at + 2, ' ');
            }
        }
        return plain == null ? text : plain.toString();
    }

    private static boolean beginsLine(String text, int at) {
        int before = at - 1;
        while (before >= 0 && (text.charAt(before) == ' ' || text.charAt(before) == '\t')) {
            before--;
        }
        // An empty comment is left alone: its second star also ends it.
        return (before < 0 || text.charAt(before) == '\n') && !text.startsWith("/**/", at);
    }
}
