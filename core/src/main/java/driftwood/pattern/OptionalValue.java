package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Detail.Reaction;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Idiom;
import driftwood.source.Language.Habit;
import driftwood.source.Language;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** optional-value: the language's own way to say in the type that there may be nothing. */
final class OptionalValue implements Computed {
    private static final Map<Reaction, String> SAID = new EnumMap<>(Map.of(Reaction.DEFAULTS, "take a default: orElse()",
            Reaction.THROWS, "throw: orElseThrow()", Reaction.LEAVES, "leave: isEmpty()", Reaction.PASSES_OVER, "skip: ifPresent()"));

    /** What it loses where an empty container would do: there are two ways then to say that there is nothing. */
    private static final double TWICE = 0.25;

    @Override
    public String key() {
        return "optional-value";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        boolean wraps = Language.ofKey(finding.language()).filter(each -> each.isOnTheJvm() && !each.has(Habit.NOTHING_CHECKED)).isPresent();
        if (!wraps || !(finding.detail() instanceof Nothing nothing) || !nothing.source().contains("(")) {
            return Optional.empty();
        }
        long deciding = nothing.guards().stream().filter(each -> each.reaction() != Reaction.PASSES_OVER).count();
        double score = 0.48 + 0.25 * deciding / Math.max(1, nothing.guards().size())
                + (nothing.careless().isEmpty() ? 0 : 0.1) - (NullObject.isContainer(nothing.yields()) ? TWICE : 0);
        int guards = nothing.guards().size();
        return Optional.of(new Fit(key(), score, deciding == 0
                ? (guards == 1 ? "the caller only skips it: " : "all " + guards + " callers only skip it: ") + "ifPresent() says that"
                : (guards == 1 ? "the caller " : "of " + guards + " callers ") + said(nothing, guards)));
    }

    /** What the guards do, and what says it. */
    private static String said(Nothing nothing, int guards) {
        List<String> all = new ArrayList<>();
        for (Map.Entry<Reaction, String> each : SAID.entrySet()) {
            long count = nothing.guards().stream().filter(guard -> guard.reaction() == each.getKey()).count();
            if (count > 0) {
                String does = count == 1 ? each.getValue().replaceFirst("^\\w+", "$0s") : each.getValue();
                all.add(guards == 1 ? does : count + " " + does);
            }
        }
        return String.join(", ", all);
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Nothing nothing = (Nothing) finding.detail();
        List<Role> roles = List.of(new Role("source", Words.simple(nothing.source().split("\\(")[0]), true),
                new Role("caller", nothing.guards().size() + nothing.careless().size() + " places", true));
        List<Evidence> yields = nothing.gives().stream().map(Place::evidence).toList();
        List<Step> steps = List.of(
                new Step("Add a second routine that gives an optional value, calling the old one.",
                        List.of(new Evidence(finding.file(), finding.line(), finding.endLine(), "the source")), Check.LANGUAGE),
                new Step("Redirect the callers, one at a time: map, orElse, ifPresent say what each guard said.",
                        nothing.guards().stream().map(each -> each.place().evidence()).toList(), Check.CONFIRM_EACH),
                new Step("Decide for the callers that forgot.", nothing.careless().stream().map(Place::evidence).toList(),
                        Check.TOLD),
                new Step("Move the body into the new routine and remove the old one.", yields, Check.CONFIRM));
        String reminds = Language.ofKey(finding.language()).map(Language::idiom).orElse(Idiom.PLAIN).reminds();
        return new Answer(roles, steps, new Cost(0, 2, "one wrapper for each result"),
                List.of(new Evidence(finding.file(), finding.line(), finding.line(),
                        "the new caller says what it does for nothing: " + reminds + " asks")));
    }
}
