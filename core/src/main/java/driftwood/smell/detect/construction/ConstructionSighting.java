package driftwood.smell.detect.construction;

import driftwood.pack.Line;

/**
 * What a constructor or creation routine does with its parameters, and what any routine puts in order.
 *
 * @param kind      what
 * @param routine   symbol of the routine
 * @param parameter the parameter meant, or the two names that are ordered with a blank between them; else empty
 * @param line      where
 */
record ConstructionSighting(Kind kind, String routine, String parameter, @Line int line) {

    enum Kind {
        /** A parameter may be null: a default is taken instead. */
        OPTIONAL,
        /** A routine returns a new instance, or what one of its overloads returns. */
        CREATES,
        /** Two values are brought into their order, or the result is turned back: a call with the two the other way round is meant. */
        ORDERS
    }
}
