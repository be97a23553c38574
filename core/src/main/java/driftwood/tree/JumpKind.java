package driftwood.tree;

/** Where a jump goes: out of the loop or match, to the next round, or out of a match with a value. */
public enum JumpKind {
    BREAK, CONTINUE, YIELD
}
