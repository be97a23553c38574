package driftwood.smell.detect.half;

import driftwood.pack.Line;

/**
 * What a routine does with a field of its own object that may not have been set.
 *
 * @param kind    of the use
 * @param type    qualified name of the type around
 * @param routine symbol
 * @param name    of the routine
 * @param field   name of the field
 * @param text    as written, shortened
 * @param line    where
 */
record FieldUse(Kind kind, String type, String routine, String name, String field, String text, @Line int line) {

    /** The kinds of uses. */
    enum Kind {
        /** Set while the object is made. */
        BORN,
        /** Set by a routine that takes the value. */
        SET,
        /** Used as if it were set. */
        NEEDED,
        /** Handed on to somebody as if it were set. */
        HANDED,
        /** Asked for nothing, with an error where there is none. */
        DEMANDED,
        /** Asked for nothing, which is as good as any value. */
        TOLERATED
    }
}
