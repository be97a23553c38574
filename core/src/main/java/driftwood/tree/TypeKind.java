package driftwood.tree;

/** What kind of type a declaration makes. */
public enum TypeKind {
    CLASS, INTERFACE, ENUM, RECORD, ANNOTATION
}
