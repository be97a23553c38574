package driftwood.tree;

/** What a declaration is said to be, whatever the words of its language. */
public enum Mark {
    PUBLIC, PROTECTED, PRIVATE, STATIC, FINAL, ABSTRACT, SEALED, NON_SEALED, DEFAULT, NATIVE, SYNCHRONIZED, VOLATILE, TRANSIENT,
    STRICTFP,
    /** It is said to answer in place of an inherited routine. */
    OVERRIDES,
    /** Nothing is allowed here. */
    NULLABLE,
    DEPRECATED,
    /** Nobody wrote it: the language has it all the same. */
    IMPLIED,
    /** A parameter that is handed over by its name only. */
    NAMED,
    /** Not a type: a file that holds routines and values, which is asked as one. */
    MODULE,
    /** A module that neither takes from others by name nor hands out: all such files run in one scope. */
    SCRIPT,
    /** A script in a function of its own, which keeps the bare names of what it declares apart. */
    WRAPPED,
    /** A routine that is read like a field. */
    ACCESSOR,
    /** A type whose constructor and equality follow from its fields. */
    DATA,
    /** A type that may be declared in several places, each of which says a part of it. */
    PARTIAL,
    /** A routine of the type that is handed the type itself. */
    OF_TYPE,
    /** A routine that is added to a type from outside of it. */
    EXTENSION,
    /** An extension whose first parameter is the object that it is called on. */
    RECEIVER_FIRST
}
