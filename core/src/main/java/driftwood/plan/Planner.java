package driftwood.plan;

import driftwood.pattern.Answer;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Fit;
import driftwood.pattern.Pattern;
import driftwood.pattern.Patterns;
import driftwood.pattern.Site;
import driftwood.refactor.Libraries;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.Wishes;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.words.Nearest;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Compares candidates and makes plans. Reads sources, changes and runs nothing. */
public final class Planner {
    /** So many facts say why something may stay. */
    private static final int FACTS = 3;

    private final Site site;
    private final Crafts crafts;

    public Planner(Site site) {
        this(site, Libraries.NONE);
    }

    /** @param libraries what the project compiles with */
    public Planner(Site site, Libraries libraries) {
        this.site = site;
        this.crafts = new Crafts(site, libraries);
    }

    /** All candidates for a finding, best first; leaving it is always among them. */
    public List<Candidate> candidates(Finding finding) {
        List<Candidate> candidates = new ArrayList<>();
        for (Fit fit : Patterns.fits(finding, site.program())) {
            Answer answer = Patterns.answer(Patterns.byKey(fit.pattern()).orElseThrow(), finding, site);
            candidates.add(new Candidate(fit.pattern(), fit.score(), fit.because(), answer.cost()));
        }
        candidates.add(leave(finding));
        candidates.sort(Comparator.comparingDouble((Candidate each) -> -each.fit()).thenComparing(Candidate::pattern));
        return candidates;
    }

    /** The less a smell drags, the better it is left alone: at a drag of 2.5 leaving it scores 0.5. */
    private static Candidate leave(Finding finding) {
        double drag = finding.drag().value();
        double score = Math.round(Math.min(0.95, Math.max(0.05, 0.95 - 0.18 * drag)) * 100) / 100.0;
        String because = String.format(Locale.ROOT, drag < 2.5 ? "a drag of %.1f is little: %s" : "costs nothing now; the next change pays (drag %.1f)", drag,
                finding.drag().reasons().stream().limit(FACTS).collect(Collectors.joining("; ")));
        return new Candidate(Candidate.LEAVE, score, because, new Cost(0, 0, "none"));
    }

    /**
     * A plan for a finding.
     *
     * @param pattern key of the pattern to plan with; empty for the best candidate
     * @throws IllegalArgumentException where the pattern does not answer this finding, or has not the form that is wished; the message names those that do
     */
    public Plan plan(Finding finding, Optional<String> pattern, Wishes wishes) {
        Map<String, Refactoring> carried = new HashMap<>();
        List<Candidate> candidates = candidates(finding).stream().map(each -> tried(each, finding, wishes, carried))
                .sorted(Comparator.comparingDouble((Candidate each) -> -each.fit()).thenComparing(Candidate::pattern)).toList();
        String chosen = pattern.map(each -> each.toLowerCase(Locale.ROOT)).orElse(candidates.get(0).pattern());
        Candidate candidate = candidates.stream().filter(each -> each.pattern().equals(chosen)).findFirst().orElseThrow(() ->
                new IllegalArgumentException("'" + chosen + "' does not fit this " + finding.smell() + Nearest.to(chosen, candidates.stream().map(Candidate::pattern).toList())
                        .filter(near -> Patterns.byKey(chosen).isEmpty()).map(near -> "; did you mean '" + near + "'?").orElse("")
                        + "; candidates are " + String.join(", ", candidates.stream().map(Candidate::pattern).toList())));
        refuseForm(finding, chosen, wishes.form());
        Optional<Pattern> found = Patterns.byKey(chosen);
        Draft draft = new Draft(finding, chosen, candidates, wishes, site);
        if (found.isEmpty()) {
            return draft.leaving();
        }
        return carried.containsKey(chosen) ? draft.carried(found.get(), carried.get(chosen)) : draft.told(Patterns.answer(found.get(), finding, site), candidate.against().isEmpty() ? crafts.of(finding).without(finding, chosen) : candidate.against());
    }

    /** A plan for a finding, with the names that Driftwood proposes. */
    public Plan plan(Finding finding, Optional<String> pattern) {
        return plan(finding, pattern, Wishes.NONE);
    }

    /** The dry run of what a plan's stages are. @throws Refused where they cannot be carried out any more */
    public Refactoring refactoring(Finding finding, String pattern, Wishes wishes) {
        return crafts.of(finding).of(finding, pattern, wishes);
    }

    /** The forms that a pattern can have for a finding, the usual one first; empty where there is one only. @param pattern key */
    public List<String> forms(Finding finding, String pattern) {
        return crafts.of(finding).forms(finding, pattern);
    }

    private void refuseForm(Finding finding, String pattern, String form) {
        List<String> forms = forms(finding, pattern);
        if (!form.isEmpty() && !forms.contains(form)) {
            throw new IllegalArgumentException(pattern + " has no form '" + form + "' for this " + finding.smell()
                    + (forms.isEmpty() ? "; it has one form only" : "; its forms are " + String.join(", ", forms)));
        }
    }

    /** A candidate after its dry run, where there is a recipe for it. */
    private Candidate tried(Candidate candidate, Finding finding, Wishes wishes, Map<String, Refactoring> carried) {
        if (!crafts.of(finding).hasRecipe(finding, candidate.pattern())) {
            return candidate;
        }
        try {
            Refactoring refactoring = refactoring(finding, candidate.pattern(), wishes.in(forms(finding, candidate.pattern())));
            carried.put(candidate.pattern(), refactoring);
            return candidate.counted(refactoring.counts());
        } catch (Refused e) {
            return candidate.refused(e.getMessage());
        }
    }

    /** The change drill alone, for the best pattern that is not leaving it. */
    public Drill drill(Finding finding) {
        DrillToday today = DrillToday.of(finding, site);
        List<Evidence> after = Patterns.fits(finding, site.program()).stream().findFirst()
                .flatMap(fit -> Patterns.byKey(fit.pattern())).map(each -> Stream.concat(Patterns.answer(each, finding, site).after().stream(), today.others().stream()).toList())
                .orElseGet(today::places);
        return new Drill(today.change(), today.places(), after);
    }
}
