package driftwood.plan;

import driftwood.pattern.Site;
import driftwood.refactor.Craft;
import driftwood.refactor.Libraries;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.java.JavaRefactorings;
import driftwood.refactor.python.PythonRefactorings;
import driftwood.smell.Finding;
import driftwood.source.Language;
import java.util.HashMap;
import java.util.Map;
import java.util.function.BiFunction;

/** Who writes the refactorings of a language; each is made when the first of its findings is planned. */
final class Crafts {
    private static final Map<String, BiFunction<Site, Libraries, Craft>> MAKERS = Map.of("java", JavaRefactorings::new,
            "python", (site, libraries) -> new PythonRefactorings(site));
    private final Site site;
    private final Libraries libraries;
    private final Map<String, Craft> made = new HashMap<>();

    Crafts(Site site, Libraries libraries) {
        this.site = site;
        this.libraries = libraries;
    }

    Craft of(Finding finding) {
        return made.computeIfAbsent(finding.language(), key -> MAKERS.getOrDefault(key, (where, known) -> new Worded()).apply(site, libraries));
    }

    /** Of a language whose plans are told in words. */
    private record Worded() implements Craft {
        @Override
        public boolean hasRecipe(Finding finding, String pattern) {
            return false;
        }

        @Override
        public String without(Finding finding, String pattern) {
            return "there are recipes for Java and Python alone; " + Language.ofKey(finding.language()).map(Language::title).orElse(finding.language()) + " is told in words";
        }

        @Override
        public Refactoring of(Finding finding, String pattern, Map<String, String> names) {
            throw new Refused(without(finding, pattern));
        }
    }
}
