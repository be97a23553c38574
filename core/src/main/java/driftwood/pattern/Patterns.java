package driftwood.pattern;

import driftwood.program.Program;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** All patterns that Driftwood plans with. One that is words is a block of {@code patterns.yaml}; code needs a line here. */
public final class Patterns {
    private static final List<Computed> COMPUTED = List.of(new Builder(), new FactoryMethod(), new Factory(), new Registry(),
            new Strategy(), new State(), new NullObject(), new OptionalValue(), new ParameterObject(), new Visitor());

    private Patterns() {
    }

    /** Read when they are first asked for: most commands need none. */
    private static final class All {
        private static final List<Pattern> PATTERNS = PatternWords.read(COMPUTED);
    }

    public static List<Pattern> all() {
        return All.PATTERNS;
    }

    /** The keys of all patterns, in the order of the catalogue. */
    public static List<String> keys() {
        return all().stream().map(Pattern::key).toList();
    }

    public static Optional<Pattern> byKey(String key) {
        return all().stream().filter(pattern -> pattern.key().equals(key)).findFirst();
    }

    /** Keys of the patterns that answer a smell, the usual one first. @param smell its key */
    public static List<String> answering(String smell) {
        return all().stream().filter(each -> each.answers().containsKey(smell))
                .sorted(Comparator.comparingInt((Pattern each) -> each.answers().get(smell).place()).thenComparing(Pattern::key))
                .map(Pattern::key).toList();
    }

    /** What a refactoring into a pattern looks like for a finding that it fits. */
    public static Answer answer(Pattern pattern, Finding finding, Site site) {
        return pattern.answer(finding, site);
    }

    /** Of all patterns those that answer a finding, best first. */
    public static List<Fit> fits(Finding finding, Program program) {
        return fits(all(), finding, program);
    }

    /** Of some patterns those that answer a finding, best first. */
    public static List<Fit> fits(List<Pattern> patterns, Finding finding, Program program) {
        List<Fit> fits = new ArrayList<>();
        patterns.forEach(each -> each.fit(finding, program).ifPresent(fits::add));
        fits.sort(Comparator.comparingDouble((Fit fit) -> -fit.score()).thenComparing(Fit::pattern));
        return fits;
    }
}
