package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import java.util.Optional;

/**
 * A parameter of a function.
 *
 * @param name    its name, without stars
 * @param node    all of it
 * @param kind    how arguments come to it
 * @param type    as annotated
 * @param initial its default
 */
public record Parameter(String name, Cst node, Kind kind, Optional<Cst> type, Optional<Cst> initial) {

    /** How arguments come to a parameter (Python Language Reference 8.7). */
    public enum Kind {
        USUAL, NAMED_ONLY, ALL_FURTHER, ALL_NAMED
    }
}
