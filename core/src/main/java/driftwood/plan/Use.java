package driftwood.plan;

import java.util.Set;

/**
 * A place where variants are told apart.
 *
 * @param way     how
 * @param line    the first
 * @param endLine the last
 * @param routine symbol of the routine or field around
 * @param named   variants, in the order in which they stand there
 * @param about   the table, where something is kept; else empty
 * @param rest    of a choice
 */
record Use(Way way, int line, int endLine, String routine, Set<String> named, String about, Rest rest) {

    /** How variants are told apart. */
    enum Way {
        CHOOSES, ASKS, KEEPS
    }

    /** What a choice does for the variants that it does not name. */
    enum Rest {
        NOTHING, THROWS, SAME, CHECKED
    }
}
