package driftwood.source;

import java.util.Arrays;

/** The line starts of a text: from character offsets to line numbers and back. Lines count from 1. */
public final class Lines {
    private final String text;
    private final int[] starts;

    public Lines(String text) {
        this.text = text;
        int[] found = new int[Math.max(16, text.length() / 24)];
        int count = 1;
        for (int i = text.indexOf('\n'); i >= 0; i = text.indexOf('\n', i + 1)) {
            if (count == found.length) {
                found = Arrays.copyOf(found, count * 2);
            }
            found[count++] = i + 1;
        }
        this.starts = Arrays.copyOf(found, count);
    }

    /** The line of a character offset; offsets outside the text count as its first or last line. */
    public int lineOf(int offset) {
        int at = Arrays.binarySearch(starts, Math.max(0, offset));
        return at >= 0 ? at + 1 : -at - 1;
    }

    /** How many lines the text has; a final line break does not begin a new one. */
    public int count() {
        return text.isEmpty() ? 0 : text.endsWith("\n") ? starts.length - 1 : starts.length;
    }

    /** The offset at which a line begins. */
    public int startOf(int line) {
        return starts[Math.min(Math.max(line, 1), starts.length) - 1];
    }

    /** The text of a line without its line break; empty where there is no such line. */
    public String line(int number) {
        if (number < 1 || number > starts.length) {
            return "";
        }
        int end = number < starts.length ? starts[number] : text.length();
        return text.substring(starts[number - 1], end).stripTrailing();
    }
}
