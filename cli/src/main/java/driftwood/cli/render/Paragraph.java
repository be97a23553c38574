package driftwood.cli.render;

/** Text wrapped to the width of the terminal. */
public final class Paragraph {
    private Paragraph() {
    }

    /**
     * Wraps at blanks, which the end of a line swallows. Colours do not count.
     *
     * @param indent columns before each line
     * @param hang   columns more before each line but the first
     */
    public static String of(String text, int width, int indent, int hang) {
        StringBuilder lines = new StringBuilder(" ".repeat(indent));
        int column = indent;
        boolean begin = true;
        for (String word : text.split(" ")) {
            int length = word.replaceAll("\u001B\\[[0-9;]*m", "").length();
            if (!begin && column + length + 1 > width) {
                if (length == 0) {
                    continue;
                }
                while (lines.length() > 0 && lines.charAt(lines.length() - 1) == ' ') {
                    lines.setLength(lines.length() - 1);
                }
                lines.append('\n').append(" ".repeat(indent + hang));
                column = indent + hang;
            } else if (!begin) {
                lines.append(' ');
                column++;
            }
            lines.append(word);
            column += length;
            begin = false;
        }
        return lines.append('\n').toString();
    }
}
