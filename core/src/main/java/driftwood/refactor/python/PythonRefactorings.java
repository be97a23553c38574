package driftwood.refactor.python;

import driftwood.pattern.Site;
import driftwood.refactor.Craft;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.Stage;
import driftwood.refactor.Wishes;
import driftwood.refactor.Written;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Modules;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.refactor.python.recipe.PythonRecipes;
import driftwood.smell.Finding;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Writes refactorings of Python code, and reads again what every stage leaves. */
public final class PythonRefactorings implements Craft {
    private static final Pattern TYPE = Pattern.compile("(?m)^[ \\t]*class[ \\t]+\\w+");
    private final Site site;
    private final Modules modules;

    /** @param modules of the same project, as it is now */
    public PythonRefactorings(Site site, Modules modules) {
        this.site = site;
        this.modules = modules;
    }

    @Override
    public boolean hasRecipe(Finding finding, String pattern) {
        return !PythonRecipes.of(finding, pattern).isEmpty();
    }

    @Override
    public String without(Finding finding, String pattern) {
        return "there is no recipe yet that turns a " + finding.smell() + " of Python into a " + pattern;
    }

    @Override
    public Refactoring of(Finding finding, String pattern, Wishes wishes) {
        Refused last = new Refused(without(finding, pattern));
        for (PythonRecipe each : PythonRecipes.of(finding, pattern)) {
            try {
                return written(each, finding, wishes);
            } catch (Refused e) {
                last = e;
            }
        }
        throw last;
    }

    private Refactoring written(PythonRecipe recipe, Finding finding, Wishes wishes) {
        Script script = new Script(modules.texts());
        Draft draft = new Draft(finding, site.program(), modules, script, wishes.names());
        try {
            recipe.write(draft);
        } catch (IndexOutOfBoundsException | NoSuchElementException | IllegalArgumentException e) {
            throw new Refused("Driftwood came to code that this recipe does not understand (" + e + "): a defect worth telling");
        }
        List<Stage> stages = new Unused(modules).without(script.stages());
        if (stages.isEmpty()) {
            throw new Refused("there is nothing to change");
        }
        new Standing(modules.texts()).check(stages);
        Written all = new Written(stages, modules.texts());
        return new Refactoring(stages, all.originals(), draft.meant(), draft.gone(), Set.of(), all.counts(TYPE, file -> modules.module(file).isTest(), draft.callSites(), draft.opened()), Optional.empty(), List.of(), wishes.names());
    }
}
