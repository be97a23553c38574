package driftwood.cli.render;

/**
 * Colour and escaping for terminals. Source text is hostile input: control characters are shown, never sent.
 *
 * @param colour whether colour is wanted
 */
public record Style(boolean colour) {

    /** Control characters replaced by a visible sign; tabs become four spaces. */
    public static String safe(String text) {
        StringBuilder safe = new StringBuilder(text.length());
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '\t') {
                safe.append("    ");
            } else if (Character.isISOControl(c) || c == '\u2028' || c == '\u2029' || isDirection(c)) {
                safe.append('\uFFFD');
            } else {
                safe.append(c);
            }
        }
        return safe.toString();
    }

    /** Signs that turn the direction of writing can make code look like other code. */
    private static boolean isDirection(char c) {
        return c >= '\u202A' && c <= '\u202E' || c >= '\u2066' && c <= '\u2069';
    }

    private String paint(String code, String text) {
        return colour ? "\u001B[" + code + "m" + text + "\u001B[0m" : text;
    }

    public String strong(String text) {
        return paint("1", text);
    }

    public String dim(String text) {
        return paint("2", text);
    }

    /** The colour of what is wrong or in the way. */
    public String warm(String text) {
        return paint("38;5;173", text);
    }

    /** The colour of what helps. */
    public String cool(String text) {
        return paint("38;5;73", text);
    }

    /** A drag, warmer the higher it is. */
    public String drag(double drag) {
        String text = String.format(java.util.Locale.ROOT, "%.1f", drag);
        return drag >= 3.5 ? paint("1;38;5;167", text) : drag >= 2.5 ? paint("38;5;173", text) : paint("38;5;109", text);
    }
}
