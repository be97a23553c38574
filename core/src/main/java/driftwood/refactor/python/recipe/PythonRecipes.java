package driftwood.refactor.python.recipe;

import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Finding;
import java.util.List;

/** All recipes for Python. */
public final class PythonRecipes {
    private static final List<PythonRecipe> ALL = List.of(new FunctionsByKey("registry"), new FunctionsByKey("strategy"), new BehaviourOnClasses(), new PartsByName(), new PartsThatAnswer(), new ToldInTurn(), new SplitByFlag(), new PartsAsOne(), new HandedIn(), new CreationByItself(), new NeutralInstance(), new OneForAll());

    private PythonRecipes() {
    }

    /** Those for a finding, in the order in which they are tried. @param pattern key */
    public static List<PythonRecipe> of(Finding finding, String pattern) {
        return ALL.stream().filter(each -> each.pattern().equals(pattern) && each.answers(finding)).toList();
    }
}
