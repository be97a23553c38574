package driftwood.refactor;

import driftwood.pattern.Site;
import driftwood.smell.Finding;
import java.util.Map;

/** Writes the refactorings of one language. Changes nothing on disk, runs none of the code. */
public interface Craft {

    /** Knows of a craft before any is needed. */
    interface Maker {

        /** Key of the language. */
        String language();

        /** @param libraries what the project compiles with */
        Craft of(Site site, Libraries libraries);
    }

    /** Whether there is a recipe for a finding. @param pattern key */
    boolean hasRecipe(Finding finding, String pattern);

    /** Why there is no recipe for a finding, as a clause. @param pattern key */
    String without(Finding finding, String pattern);

    /**
     * The stages that turn the code of a finding into a pattern.
     *
     * @param names by role, as the user chose them
     * @throws Refused with the reason, where no recipe can
     */
    Refactoring of(Finding finding, String pattern, Map<String, String> names);
}
