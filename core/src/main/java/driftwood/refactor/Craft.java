package driftwood.refactor;

import driftwood.pattern.Site;
import driftwood.smell.Finding;
import java.util.List;

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
     * @throws Refused with the reason, where no recipe can
     */
    Refactoring of(Finding finding, String pattern, Wishes wishes);

    /** The forms that the pattern can have for a finding, the usual one first; empty where it has one only. @param pattern key */
    default List<String> forms(Finding finding, String pattern) {
        return List.of();
    }
}
