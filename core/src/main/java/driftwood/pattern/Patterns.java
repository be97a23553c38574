package driftwood.pattern;

import driftwood.program.Program;
import driftwood.smell.Catalogue;
import driftwood.smell.Finding;
import driftwood.smell.Smell;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** All patterns that Driftwood plans with. A new one is a class and a line here. */
public final class Patterns {
    private static final List<Pattern> ALL = List.of(new Builder(), new FactoryMethod(), new Factory(),
            new Registry(), new Strategy(), new State(), new NullObject(), new OptionalValue(), new Visitor());

    private Patterns() {
    }

    public static List<Pattern> all() {
        return ALL;
    }

    public static Optional<Pattern> byKey(String key) {
        return ALL.stream().filter(pattern -> pattern.key().equals(key)).findFirst();
    }

    /** The patterns that answer a finding, best first. */
    public static List<Fit> fits(Finding finding, Program program) {
        List<String> cures = Catalogue.smell(finding.smell()).map(Smell::cures).orElse(List.of());
        List<Fit> fits = new ArrayList<>();
        for (Pattern pattern : ALL) {
            if (cures.contains(pattern.key())) {
                pattern.fit(finding, program).ifPresent(fits::add);
            }
        }
        fits.sort(Comparator.comparingDouble((Fit fit) -> -fit.score()).thenComparing(Fit::pattern));
        return fits;
    }
}
