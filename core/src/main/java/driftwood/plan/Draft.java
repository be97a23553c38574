package driftwood.plan;

import driftwood.pattern.Answer;
import driftwood.pattern.Answer.Check;
import driftwood.pattern.Pattern;
import driftwood.pattern.Patterns;
import driftwood.pattern.Site;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Untouched;
import driftwood.refactor.Wishes;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Idiom;
import driftwood.source.Language;
import driftwood.store.Hash;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Puts a plan together once its pattern is chosen. */
record Draft(Finding finding, String chosen, List<Candidate> candidates, Wishes wishes, Site site) {

    /** The plan to leave it. */
    Plan leaving() {
        DrillToday today = DrillToday.of(finding, site);
        return plan(List.of(), List.of(), today, today.places(), "", List.of(), List.of(), 0);
    }

    /** A plan whose steps are told in words. @param against why it cannot be carried out */
    Plan told(Answer answer, String against) {
        List<Plan.Step> steps = new ArrayList<>(List.of(pinned()));
        answer.steps().forEach(each -> steps.add(new Plan.Step(each.does(), each.places(), each.check().in(idiom()), "")));
        DrillToday today = DrillToday.of(finding, site);
        return plan(answer.roles(), steps, today, and(answer.after(), today.others()), against, List.of(), List.of(), 0);
    }

    /** A plan whose steps are the stages of a refactoring, each with what it changes. */
    Plan carried(Pattern pattern, Refactoring refactoring) {
        Untouched untouched = new Untouched(refactoring);
        Finding moved = moved(untouched);
        Answer answer = Patterns.answer(pattern, moved, site);
        List<Plan.Step> steps = new ArrayList<>(List.of(pinned()));
        for (int i = 0; i < refactoring.stages().size(); i++) {
            steps.add(new Plan.Step(refactoring.stages().get(i).does() + ".", refactoring.stages().get(i).places(), Check.CONFIRM.in(idiom()), refactoring.diff(i)));
        }
        Answer shown = refactoring.kinds().map(each -> each.playing(chosen, answer, moved.detail(), idiom())).orElse(answer).called(refactoring.played());
        DrillToday today = DrillToday.of(finding, site);
        List<Evidence> stay = today.besides().stream().filter(each -> untouched.has(each.file(), each.line(), each.endLine())).toList();
        return plan(shown.roles(), steps, today, and(refactoring.next().isEmpty() ? shown.after() : refactoring.next(), stay), "", List.copyOf(refactoring.originals().keySet()), refactoring.meant(),
                refactoring.stages().size());
    }

    private Idiom idiom() {
        return Language.ofKey(finding.language()).map(Language::idiom).orElse(Idiom.PLAIN);
    }

    /** Before anything moves, its behaviour is pinned down. */
    private Plan.Step pinned() {
        return new Plan.Step("Pin the behaviour down: " + Pinning.command(finding.id(), finding.file(), "") + ".", List.of(), Check.PINNED.in(idiom()), "");
    }

    /** The finding, as if what is not carried out with it did not decide the same. */
    private Finding moved(Untouched untouched) {
        return finding.detail() instanceof Branching branching ? finding.with(branching.beside(branching.siblings().stream()
                .filter(each -> !untouched.has(each.file(), each.line(), each.endLine())).toList())) : finding;
    }

    private static List<Evidence> and(List<Evidence> places, List<Evidence> more) {
        return Stream.concat(places.stream(), more.stream().filter(each -> !places.contains(each))).toList();
    }

    // driftwood: leave long-parameter-list because a plan has these parts and is put together here only
    private Plan plan(List<Answer.Role> roles, List<Plan.Step> steps, DrillToday today, List<Evidence> after, String against, List<String> files,
            List<String> meant, int stages) {
        Drill drill = new Drill(today.change(), today.places(), after);
        Set<String> touched = new TreeSet<>(files);
        touched.add(finding.file());
        add(finding.evidence(), touched);
        add(today.told(), touched);
        steps.forEach(step -> add(step.places(), touched));
        Map<String, String> sources = new LinkedHashMap<>();
        touched.forEach(file -> site.text(file).ifPresent(text -> sources.put(file, Hash.of(text))));
        return new Plan(Plan.FORMAT, finding.id(), finding.smell(), finding.symbol(), finding.file(), finding.line(), finding.message(), chosen, candidates,
                roles, steps, drill, against, wishes.names(), wishes.form(), meant, stages, 0, sources);
    }

    private static void add(Collection<Evidence> places, Set<String> files) {
        places.forEach(each -> files.add(each.file()));
    }
}
