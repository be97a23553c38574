package driftwood.tree;

/** What a literal denotes. */
public enum LiteralKind {
    STRING, CHARACTER, INTEGER, DECIMAL, BOOLEAN, NULL, TYPE,
    /** A regular expression. */
    PATTERN
}
