package driftwood.refactor.java.recipe.kind;

import driftwood.program.Symbol;
import driftwood.refactor.java.ground.Recipe;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Flag;
import java.util.Set;

/** What the two halves of strategy for a flag look at. */
interface FlagRecipe extends Recipe {

    @Override
    default String pattern() {
        return "strategy";
    }

    @Override
    default boolean answers(Finding finding) {
        return finding.detail() instanceof Flag;
    }

    @Override
    default Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Flag) finding.detail()).routine()).member());
    }
}
