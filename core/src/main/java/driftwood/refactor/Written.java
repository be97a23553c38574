package driftwood.refactor;

import driftwood.refactor.Refactoring.Counts;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * What a recipe has written.
 *
 * @param stages in order
 * @param texts  before the first of them, by relative path
 */
public record Written(List<Stage> stages, Map<String, String> texts) {

    /** The texts of the files that a stage changes, as they are before the first one. */
    public Map<String, String> originals() {
        Map<String, String> originals = new LinkedHashMap<>();
        stages.forEach(stage -> stage.files().keySet().stream().filter(texts::containsKey).forEach(file -> originals.put(file, texts.get(file))));
        return originals;
    }

    /**
     * What it costs.
     *
     * @param type      matches each declaration of a type
     * @param isTest    tells files with tests
     * @param callSites places that name what changes
     * @param open      members that others may use and that change
     */
    public Counts counts(Pattern type, Predicate<String> isTest, int callSites, int open) {
        Map<String, String> after = new LinkedHashMap<>();
        stages.forEach(stage -> stage.files().forEach((file, text) -> after.put(file, text.orElse(""))));
        int types = 0;
        int lines = 0;
        for (Map.Entry<String, String> each : after.entrySet()) {
            String before = texts.getOrDefault(each.getKey(), "");
            types += (int) (type.matcher(each.getValue()).results().count() - type.matcher(before).results().count());
            lines += (int) (each.getValue().lines().count() - before.lines().count());
        }
        return new Counts(types, lines, callSites, (int) after.keySet().stream().filter(isTest).count(), open);
    }
}
