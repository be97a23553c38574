package driftwood.smell.detect.nothing;

import driftwood.smell.Detail.Reaction;
import driftwood.pack.Line;
import driftwood.program.Trail;

/**
 * Something a file does with null.
 *
 * @param kind    what
 * @param within  qualified name of the type around
 * @param routine symbol of the routine around
 * @param trail   of the guarded value, of the result handed on, or of the field; UNKNOWN for a null literal
 * @param name    of the field set; else empty
 * @param line    first line
 * @param endLine last line
 * @param note    the condition of a null return; what a guard does for nothing
 * @param brief   whether a guard is no more than a sign: {@code ?.}, {@code ?:}, {@code ??}
 */
record NothingSighting(Kind kind, String within, String routine, Trail trail, String name, @Line int line, @Line int endLine,
        String note, boolean brief) {

    enum Kind {
        /** A routine returns null under a condition. */
        YIELDS,
        /** A routine returns what another routine or a map look-up gave. */
        HANDS_ON,
        /** A guard that throws at once. */
        GUARD_THROWS,
        /** A guard that does nothing of what it does for something. */
        GUARD_PASSES_OVER,
        /** A guard that leaves the routine or the round of a loop. */
        GUARD_SKIPS,
        /** A guard that takes something else instead. */
        GUARD_DEFAULTS,
        /** Asked whether there is something, to leave where there is. */
        ASKED,
        /** A field is filled when it is first needed. */
        LAZY,
        /** A field is set to null. */
        FIELD_NULL,
        /** A constructor sets a field to something. */
        FIELD_SET,
        /** A routine that only gives a field's value. */
        GETTER,
        /** A loop goes on until a routine gives nothing. */
        WALKS
    }

    /** The same, taken for something else. */
    NothingSighting of(Kind other) {
        return new NothingSighting(other, within, routine, trail, name, line, endLine, note, brief);
    }

    boolean isGuard() {
        return kind == Kind.GUARD_THROWS || isTolerant();
    }

    boolean isTolerant() {
        return kind == Kind.GUARD_PASSES_OVER || kind == Kind.GUARD_SKIPS || kind == Kind.GUARD_DEFAULTS;
    }

    /** What a guard does for nothing. */
    Reaction reaction() {
        return switch (kind) {
            case GUARD_PASSES_OVER -> Reaction.PASSES_OVER;
            case GUARD_SKIPS -> Reaction.LEAVES;
            case GUARD_THROWS -> Reaction.THROWS;
            default -> Reaction.DEFAULTS;
        };
    }
}
