package driftwood.tree;

/** What a routine is for. */
public enum RoutineKind {
    METHOD, CONSTRUCTOR, INITIALISER
}
