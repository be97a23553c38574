package driftwood.plan;

import driftwood.pattern.Answer;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Fit;
import driftwood.pattern.Pattern;
import driftwood.pattern.Patterns;
import driftwood.pattern.Site;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.store.Hash;
import driftwood.words.Nearest;
import java.util.TreeSet;
import java.util.Set;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Compares candidates and makes plans. Reads sources, changes and runs nothing. */
public final class Planner {
    private final Site site;

    public Planner(Site site) {
        this.site = site;
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
        String because = String.format(Locale.ROOT, drag < 2.5
                ? "a drag of %.1f is little: it works, and few places change with it"
                : "costs nothing now; the next change pays (drag %.1f)", drag);
        return new Candidate(Candidate.LEAVE, score, because, new Cost(0, 0, "none"));
    }

    /**
     * A plan for a finding.
     *
     * @param pattern key of the pattern to plan with; empty for the best candidate
     * @throws IllegalArgumentException where the pattern does not answer this finding; the message names those that do
     */
    public Plan plan(Finding finding, Optional<String> pattern) {
        List<Candidate> candidates = candidates(finding);
        String chosen = pattern.map(each -> each.toLowerCase(Locale.ROOT)).orElse(candidates.get(0).pattern());
        if (candidates.stream().noneMatch(each -> each.pattern().equals(chosen))) {
            throw new IllegalArgumentException("'" + chosen + "' does not fit this " + finding.smell() + Nearest.to(chosen, candidates.stream().map(Candidate::pattern).toList())
                    .filter(near -> Patterns.byKey(chosen).isEmpty()).map(near -> "; did you mean '" + near + "'?").orElse("")
                    + "; candidates are " + String.join(", ", candidates.stream().map(Candidate::pattern).toList()));
        }
        List<Evidence> today = new DrillToday(finding, site).places();
        Optional<Pattern> found = Patterns.byKey(chosen);
        if (found.isEmpty()) {
            return plan(finding, chosen, candidates, List.of(), List.of(), today, new Sketched("", "", List.of()));
        }
        Answer answer = Patterns.answer(found.get(), finding, site);
        return plan(finding, chosen, candidates, answer.roles(), withPins(finding, answer.steps()), answer.after(),
                Sketched.of(finding, answer, site));
    }

    /** Before anything moves, its behaviour is pinned down. */
    private static List<Answer.Step> withPins(Finding finding, List<Answer.Step> steps) {
        List<Answer.Step> all = new ArrayList<>();
        all.add(new Answer.Step("Pin the behaviour down: " + Pinning.command(finding.id(), finding.file(), "") + ".", List.of(),
                Answer.Check.PINNED));
        all.addAll(steps);
        return all;
    }

    // driftwood: leave long-parameter-list because a plan has these parts and is put together here only
    private Plan plan(Finding finding, String chosen, List<Candidate> candidates, List<Answer.Role> roles,
            List<Answer.Step> steps, List<Evidence> after, Sketched sketch) {
        Drill drill = new Drill(new DrillToday(finding, site).change(), new DrillToday(finding, site).places(), after);
        Set<String> touched = new TreeSet<>(sketch.files());
        touched.add(finding.file());
        finding.evidence().forEach(place -> touched.add(place.file()));
        drill.today().forEach(place -> touched.add(place.file()));
        steps.forEach(step -> step.places().forEach(place -> touched.add(place.file())));
        Idiom idiom = Language.ofKey(finding.language()).map(Language::idiom).orElse(Idiom.PLAIN);
        List<Plan.Step> told = steps.stream().map(each -> new Plan.Step(each.does(), each.places(), each.check().in(idiom))).toList();
        Map<String, String> sources = new LinkedHashMap<>();
        touched.forEach(file -> site.text(file).ifPresent(text -> sources.put(file, Hash.of(text))));
        return new Plan(Plan.FORMAT, finding.id(), finding.smell(), finding.symbol(), finding.file(), finding.line(),
                finding.message(), chosen, candidates, roles, told, drill, sketch.diff(), sketch.why(), sources);
    }

    /** The change drill alone, for the best pattern that is not leaving it. */
    public Drill drill(Finding finding) {
        List<Evidence> after = Patterns.fits(finding, site.program()).stream().findFirst()
                .flatMap(fit -> Patterns.byKey(fit.pattern())).map(each -> Patterns.answer(each, finding, site).after())
                .orElse(new DrillToday(finding, site).places());
        return new Drill(new DrillToday(finding, site).change(), new DrillToday(finding, site).places(), after);
    }
}
