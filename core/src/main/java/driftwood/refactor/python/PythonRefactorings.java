package driftwood.refactor.python;

import driftwood.pattern.Site;
import driftwood.refactor.Craft;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refactoring.Counts;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.Stage;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Modules;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.refactor.python.recipe.PythonRecipes;
import driftwood.smell.Finding;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
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
    public Refactoring of(Finding finding, String pattern, Map<String, String> names) {
        Refused last = new Refused(without(finding, pattern));
        for (PythonRecipe each : PythonRecipes.of(finding, pattern)) {
            try {
                return written(each, finding, names);
            } catch (Refused e) {
                last = e;
            }
        }
        throw last;
    }

    private Refactoring written(PythonRecipe recipe, Finding finding, Map<String, String> names) {
        Script script = new Script(modules.texts());
        Draft draft = new Draft(finding, site.program(), modules, script, names);
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
        Map<String, String> originals = new LinkedHashMap<>();
        stages.forEach(stage -> stage.files().keySet().stream().filter(modules.texts()::containsKey).forEach(file -> originals.put(file, modules.texts().get(file))));
        return new Refactoring(stages, originals, draft.meant(), draft.gone(), counts(stages, originals, draft), Optional.empty());
    }

    private Counts counts(List<Stage> stages, Map<String, String> originals, Draft draft) {
        Map<String, String> after = new LinkedHashMap<>();
        stages.forEach(stage -> stage.files().forEach((file, text) -> after.put(file, text.orElse(""))));
        int types = 0;
        int lines = 0;
        int tests = 0;
        for (Map.Entry<String, String> each : after.entrySet()) {
            String before = originals.getOrDefault(each.getKey(), "");
            types += (int) (TYPE.matcher(each.getValue()).results().count() - TYPE.matcher(before).results().count());
            lines += (int) (each.getValue().lines().count() - before.lines().count());
            tests += site.program().outlines().stream().anyMatch(file -> file.file().equals(each.getKey()) && file.test()) ? 1 : 0;
        }
        return new Counts(types, lines, draft.callSites(), tests, draft.opened());
    }
}
