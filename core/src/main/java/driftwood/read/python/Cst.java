package driftwood.read.python;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

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
record Cst(String kind, boolean named, String field, int start, int end, List<Cst> children, List<Cst> inner) {
    /** A region that the parser could not make sense of. */
    static final String ERROR = "ERROR";
    /** Kinds whose inner parts nobody needs. */
    static final Set<String> LEAVES = Set.of("identifier", "integer", "float", "comment", "string_start", "string_end",
            "escape_sequence", "line_continuation");
    /** Kinds of which the children play no part but follow one another. */
    static final Set<String> ROWS = Set.of("module", "block", "expression_statement", "argument_list", "list", "tuple",
            "set", "dictionary", "binary_operator", "boolean_operator", "comparison_operator", "parenthesized_expression",
            "return_statement", "string", "concatenated_string", "parameters", "expression_list", "pattern_list",
            "not_operator", "unary_operator", "subscript", "keyword_argument");

    /** The child that plays a part. */
    Optional<Cst> part(String wanted) {
        for (Cst child : children) {
            if (child.field.equals(wanted)) {
                return Optional.of(child);
            }
        }
        return Optional.empty();
    }

    /** All children that play a part. */
    List<Cst> parts(String wanted) {
        List<Cst> found = new ArrayList<>();
        for (Cst child : children) {
            if (child.field.equals(wanted)) {
                found.add(child);
            }
        }
        return found;
    }

    /** Whether it is neither punctuation nor a comment. */
    boolean isInner() {
        return named && !kind.equals("comment") && !kind.equals("line_continuation");
    }

    boolean is(String wanted) {
        return kind.equals(wanted);
    }

    /** Whether a keyword or operator stands directly in it. */
    boolean has(String keyword) {
        for (Cst child : children) {
            if (!child.named && child.kind.equals(keyword)) {
                return true;
            }
        }
        return false;
    }

    String text(String source) {
        return source.substring(start, Math.min(end, source.length()));
    }
}
