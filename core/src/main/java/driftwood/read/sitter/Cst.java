package driftwood.read.sitter;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A node of the parsed text.
 *
 * @param kind     the grammar's name for it
 * @param named    false for keywords, operators and punctuation
 * @param field    the part it plays in its parent, else empty
 * @param start    offset of the first character
 * @param end      offset behind the last character
 * @param children in order
 * @param inner    those that are neither punctuation nor comments
 */
public record Cst(String kind, boolean named, String field, int start, int end, List<Cst> children, List<Cst> inner) {
    /** A region that the parser could not make sense of. */
    public static final String ERROR = "ERROR";
    /** The child that plays a part. */
    public Optional<Cst> part(String wanted) {
        for (Cst child : children) {
            if (child.field.equals(wanted)) {
                return Optional.of(child);
            }
        }
        return Optional.empty();
    }

    /** All children that play a part. */
    public List<Cst> parts(String wanted) {
        List<Cst> found = new ArrayList<>();
        for (Cst child : children) {
            if (child.field.equals(wanted)) {
                found.add(child);
            }
        }
        return found;
    }

    /** Whether it is of that kind. */
    public boolean is(String wanted) {
        return kind.equals(wanted);
    }

    /** Whether a keyword or operator stands directly in it. */
    public boolean has(String keyword) {
        for (Cst child : children) {
            if (!child.named && child.kind.equals(keyword)) {
                return true;
            }
        }
        return false;
    }

    /** The source text that it stands for. */
    public String text(String source) {
        return source.substring(start, Math.min(end, source.length()));
    }
}
