package driftwood.smell.detect.half;

import driftwood.smell.see.creation.Birth;
import java.util.Optional;

/**
 * What tells a half-built object: a use of a field that may not have been set, or a creation.
 *
 * @param use   of a field
 * @param birth a creation followed by setters
 */
record Half(Optional<FieldUse> use, Optional<Birth> birth) {

    /** What a routine does with a field of its own object. */
    enum Kind {
        /** Set while the object is made. */
        BORN,
        /** Set by a routine that takes the value. */
        SET,
        /** Used as if it were set. */
        NEEDED,
        /** Asked for nothing, with an error where there is none. */
        DEMANDED
    }

    /**
     * One use.
     *
     * @param kind    of the use
     * @param type    qualified name of the type around
     * @param routine symbol
     * @param name    of the routine
     * @param field   name of the field
     * @param text    as written, shortened
     * @param line    where
     */
    record FieldUse(Kind kind, String type, String routine, String name, String field, String text, int line) {
    }
}
