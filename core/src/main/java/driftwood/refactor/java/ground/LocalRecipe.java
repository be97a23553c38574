package driftwood.refactor.java.ground;

import driftwood.smell.Finding;
import java.util.Set;

/** A recipe that changes the file of the finding, and in it what no other file sees. */
public interface LocalRecipe extends Recipe {

    @Override
    default Set<String> words(Finding finding) {
        return Set.of();
    }

    @Override
    default Set<String> files(Finding finding) {
        return Set.of(finding.file());
    }
}
