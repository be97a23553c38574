package driftwood.refactor.java.recipe.construction;

import driftwood.program.Symbol;
import driftwood.refactor.java.ground.Recipe;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Swap;
import java.util.Set;

/** What cures of arguments that stand in each other's place look at. */
public interface CrossedRecipe extends Recipe {

    @Override
    default boolean answers(Finding finding) {
        return finding.detail() instanceof Swap;
    }

    @Override
    default Set<String> words(Finding finding) {
        Symbol symbol = Symbol.of(((Swap) finding.detail()).routine());
        return Set.of(symbol.member().equals("new") ? symbol.simpleType() : symbol.member());
    }
}
