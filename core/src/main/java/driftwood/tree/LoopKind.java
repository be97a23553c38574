package driftwood.tree;

/** The kinds of loop: over elements, counting, testing first, testing last. */
public enum LoopKind {
    EACH, COUNTED, WHILE, UNTIL
}
