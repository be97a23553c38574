package driftwood.refactor.java.ground;

import driftwood.refactor.Refused;

/** A recipe that often sees by the file of the finding alone that it does not fit: then no other is looked at. */
public interface EarlyRecipe extends Recipe {

    /** Looks at the file of the finding, and writes nothing. @throws Refused where {@link #write} would for sure, with the same reason */
    void probe(Drafting drafting);
}
