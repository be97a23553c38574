package driftwood.read;

import driftwood.source.Lines;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import driftwood.tree.Node;
import driftwood.tree.Unit;
import java.util.List;

/**
 * A file as read: its common tree, its text, and what could not be read of it. Lives only while its file is seen.
 *
 * @param source the text; never null
 * @param unit   the tree; regions with errors are absent or {@code Other}
 * @param lines  line starts of the text
 * @param unread regions that the parser could not make sense of; empty for a clean file
 */
public record FileTree(SourceText source, Unit unit, Lines lines, List<Unread> unread) {

    public SourceFile file() {
        return source.file();
    }

    /** The line on which a node begins. */
    public int line(Node node) {
        return lines.lineOf(node.start());
    }

    /** The line on which a node ends. */
    public int endLine(Node node) {
        return lines.lineOf(Math.max(node.start(), node.end() - 1));
    }

    /** The source of a node as one line: white space folded, cut in the middle where it is long. */
    public String brief(Node node) {
        return brief(node.start(), node.end(), 80);
    }

    /** The same for a stretch of the text. @param most length in characters */
    public String brief(int start, int end, int most) {
        String text = source.text();
        int from = Math.max(0, start);
        int to = Math.min(text.length(), Math.max(from, end));
        StringBuilder folded = new StringBuilder();
        boolean blank = false;
        for (int i = from; i < to && folded.length() <= most; i++) {
            char c = text.charAt(i);
            if (Character.isWhitespace(c)) {
                blank = true;
            } else {
                if (blank && folded.length() > 0) {
                    folded.append(' ');
                }
                blank = false;
                folded.append(c);
            }
        }
        return folded.length() > most ? folded.substring(0, most - 3) + "..." : folded.toString();
    }
}
