package driftwood.pattern;

import driftwood.program.Program;
import driftwood.smell.Catalogue;
import driftwood.smell.Detail.Gathered;
import driftwood.smell.Finding;
import driftwood.smell.Fit;
import driftwood.smell.Smell;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** All patterns that Driftwood plans with. A new one is a class and a line here. */
public final class Patterns {
    private static final List<Pattern> ALL = List.of(new Builder(), new FactoryMethod(), new Factory(),
            new Registry(), new Strategy(), new State(), new NullObject(), new OptionalValue(), new Visitor(),
            new Composite(), new ChainOfResponsibility(), new Observer(), new Adapter(), new Decorator(), new Singleton(),
            new TemplateMethod(), new ParametrisedClass(), new ParameterObject(), new Injection(),
            new SeparateRoutines(), new MoveRoutine(), new RequiredParts());

    /** Sketches are drawn in Java so far. */
    private static final String SKETCHED = "java";

    private Patterns() {
    }

    public static List<Pattern> all() {
        return ALL;
    }

    /** The keys of all patterns, in the order of the catalogue. */
    public static List<String> keys() {
        return ALL.stream().map(Pattern::key).toList();
    }

    public static Optional<Pattern> byKey(String key) {
        return ALL.stream().filter(pattern -> pattern.key().equals(key)).findFirst();
    }

    /** A finding of names and places only is answered by the pattern's advice. */
    private static Optional<Fit> fit(Pattern pattern, Finding finding, Program program) {
        if (!(finding.detail() instanceof Gathered)) {
            return pattern.fit(finding, program);
        }
        return Optional.ofNullable(pattern.advice().get(finding.smell()))
                .flatMap(advice -> advice.fit(pattern.key(), finding));
    }

    /** What a refactoring into a pattern looks like for a finding that it fits. */
    public static Answer answer(Pattern pattern, Finding finding, Site site) {
        Answer answer = finding.detail() instanceof Gathered ? pattern.advice().get(finding.smell()).answer(finding)
                : pattern.answer(finding, site);
        return finding.language().equals(SKETCHED) ? answer
                : new Answer(answer.roles(), answer.steps(), answer.cost(), answer.after(), List.of());
    }

    /** The patterns that answer a finding, best first. */
    public static List<Fit> fits(Finding finding, Program program) {
        List<String> cures = Catalogue.smell(finding.smell()).map(Smell::cures).orElse(List.of());
        List<Fit> fits = new ArrayList<>();
        for (Pattern pattern : ALL) {
            if (cures.contains(pattern.key())) {
                fit(pattern, finding, program).ifPresent(fits::add);
            }
        }
        fits.sort(Comparator.comparingDouble((Fit fit) -> -fit.score()).thenComparing(Fit::pattern));
        return fits;
    }
}
