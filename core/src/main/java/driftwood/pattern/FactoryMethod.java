package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Detail.Ladder;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.source.Language.Habit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** factory-method: one routine decides what is created; for ladders, creation routines with names that tell. */
final class FactoryMethod implements Computed {

    @Override
    public String key() {
        return "factory-method";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        return finding.detail().accept(new Detail.Visitor<>() {
            @Override
            public Optional<Fit> visitDetail(Detail detail) {
                return Optional.empty();
            }

            @Override
            public Optional<Fit> visitChoosing(Choosing choosing) {
                return Optional.of(fitChoice(choosing));
            }

            @Override
            public Optional<Fit> visitLadder(Ladder ladder) {
                return ladder.ladder().size() < 2 ? Optional.empty() : Optional.of(fitLadder(ladder));
            }
        });
    }

    private Fit fitChoice(Choosing choosing) {
        Set<String> types = new HashSet<>(Set.of(choosing.chain().within()));
        choosing.repeats().forEach(place -> types.add(Symbol.of(place.symbol()).type()));
        return new Fit(key(), types.size() == 1 ? 0.68 : 0.5, types.size() == 1
                ? "the decision is needed in one type: a routine of its own is enough"
                : "one routine can decide for all " + types.size() + " types, if one of them may own it");
    }

    private Fit fitLadder(Ladder ladder) {
        boolean few = ladder.optional().size() <= 2;
        return new Fit(key(), few ? 0.6 : 0.42, few
                ? "few combinations: a named creation routine for each reads better than overloads"
                : ladder.optional().size() + " optional parts are too many combinations to name");
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        return finding.detail().accept(new Detail.Visitor<>() {
            @Override
            public Answer visitDetail(Detail detail) {
                throw new IllegalArgumentException("a factory method does not answer " + finding.smell());
            }

            @Override
            public Answer visitChoosing(Choosing choosing) {
                return forChoice(finding, choosing, site);
            }

            @Override
            public Answer visitLadder(Ladder ladder) {
                return forLadder(finding, ladder, site);
            }
        });
    }

    private Answer forChoice(Finding finding, Choosing choosing, Site site) {
        TypeOutline creator = site.type(choosing.chain().within()).orElseThrow();
        String product = choosing.common().isEmpty() ? "Object" : Words.simple(choosing.common());
        String routine = (site.program().fileOf(creator).language().has(Habit.PRIVATE_BY_NAME) ? "_" : "") + site.idiom(creator).routine("create" + product);
        List<Role> roles = new ArrayList<>(List.of(new Role("creator", creator.simpleName() + "." + routine + "()", false),
                new Role("product", product, !choosing.common().isEmpty())));
        choosing.table().values().stream().distinct().forEach(each -> roles.add(new Role("concrete product", each, true)));
        List<Evidence> here = List.of(new Evidence(finding.file(), finding.line(), finding.endLine(), "the decision"));
        List<Step> steps = new ArrayList<>(List.of(
                new Step("Extract the decision into " + routine + "(), each arm returning what it creates.", here,
                        Check.CONFIRM),
                new Step("Give every arm the common type " + product + " as its result.", here, Check.LANGUAGE)));
        if (!choosing.repeats().isEmpty()) {
            steps.add(new Step("Let the repeats call it, one at a time; where they decide differently, ask which is right.",
                    choosing.repeats().stream().map(Place::evidence).toList(), Check.CONFIRM_EACH));
        }
        List<Evidence> after = new ArrayList<>(site.newKind(choosing));
        after.add(new Evidence(finding.file(), finding.line(), finding.line(), "one arm in " + routine + "()"));
        return new Answer(roles, steps, new Cost(0, 4, "one call"), after);
    }

    private Answer forLadder(Finding finding, Ladder ladder, Site site) {
        TypeOutline type = site.type(ladder.type()).orElseThrow();
        RoutineOutline longest = ladder.ladder().get(ladder.ladder().size() - 1);
        List<Role> roles = new ArrayList<>(List.of(new Role("product", type.simpleName(), true)));
        for (RoutineOutline step : ladder.ladder()) {
            String name = Creations.nameFor(step, ladder);
            roles.add(new Role("creator", type.simpleName() + "." + name + "()", false));
        }
        List<Evidence> callers = ladder.callers().stream().map(each -> each.place().evidence()).toList();
        List<Step> steps = List.of(
                new Step("Add a creation routine for each combination, named for what it is for.", List.of(
                        new Evidence(type.file(), type.endLine(), type.endLine(), type.simpleName())), Check.LANGUAGE),
                new Step("Redirect the callers, one at a time.", callers, Check.CONFIRM),
                new Step("Make the constructors private; keep one, of " + longest.parameters().size() + " parameters.",
                        List.of(new Evidence(finding.file(), finding.line(), finding.endLine(), "the ladder")),
                        Check.CONFIRM));
        return new Answer(roles, steps, new Cost(0, 4 * ladder.ladder().size(), "names instead of overloads"),
                List.of(new Evidence(type.file(), type.endLine(), type.endLine(),
                        "a creation routine for each new combination"),
                        new Evidence(longest.owner().isEmpty() ? finding.file() : type.file(), longest.line(),
                                longest.endLine(), "the one constructor")));
    }
}
