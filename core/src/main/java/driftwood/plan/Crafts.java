package driftwood.plan;

import driftwood.pattern.Site;
import driftwood.refactor.Craft;
import driftwood.refactor.Libraries;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.Wishes;
import driftwood.smell.Finding;
import driftwood.source.Language;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.ServiceLoader;
import java.util.stream.Collectors;

/** Who writes the refactorings of a language; each is made when the first of its findings is planned. */
final class Crafts {
    private static final List<Craft.Maker> MAKERS = ServiceLoader.load(Craft.Maker.class, Crafts.class.getClassLoader()).stream().map(ServiceLoader.Provider::get).toList();
    private final Site site;
    private final Libraries libraries;
    private final Map<String, Craft> made = new HashMap<>();

    Crafts(Site site, Libraries libraries) {
        this.site = site;
        this.libraries = libraries;
    }

    Craft of(Finding finding) {
        return made.computeIfAbsent(finding.language(), key -> MAKERS.stream().filter(each -> each.language().equals(key)).findFirst()
                .map(each -> each.of(site, libraries)).orElseGet(Worded::new));
    }

    /** Of a language whose plans are told in words. */
    private record Worded() implements Craft {
        @Override
        public boolean hasRecipe(Finding finding, String pattern) {
            return false;
        }

        @Override
        public String without(Finding finding, String pattern) {
            return "there are recipes for " + MAKERS.stream().map(each -> title(each.language())).sorted().collect(Collectors.joining(" and ")) + " alone; " + title(finding.language()) + " is told in words";
        }

        private static String title(String language) {
            return Language.ofKey(language).map(Language::title).orElse(language);
        }

        @Override
        public Refactoring of(Finding finding, String pattern, Wishes wishes) {
            throw new Refused(without(finding, pattern));
        }
    }
}
