package driftwood.refactor.java.recipe.twin;

import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Grid;
import driftwood.smell.TypeFacts.Grid.Cell;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.TypeElement;

/** What cures of a grid of subclasses look at. */
interface GridRecipe extends Recipe {

    @Override
    default boolean answers(Finding finding) {
        return finding.detail() instanceof Grid;
    }

    @Override
    default Set<String> words(Finding finding) {
        Grid grid = (Grid) finding.detail();
        Set<String> words = grid.cells().stream().map(each -> Symbol.of(each.type()).simpleType()).collect(Collectors.toCollection(LinkedHashSet::new));
        words.add(Symbol.of(grid.parent()).simpleType());
        return words;
    }

    /** The cells of a finding. @throws Refused where one of them does more than its words say */
    static Map<Cell, GridCell> cells(Drafting drafting, TypeElement parent) {
        if (!parent.getTypeParameters().isEmpty()) {
            throw new Refused(parent.getSimpleName() + " has type parameters");
        }
        Map<Cell, GridCell> cells = new LinkedHashMap<>();
        ((Grid) drafting.finding().detail()).cells().forEach(each -> cells.put(each, GridCell.of(drafting.workspace(), drafting.workspace().type(each.type()), parent)));
        return cells;
    }
}
