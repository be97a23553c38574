package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** state: the value that is branched on is the object's own condition, and each condition knows what follows it. */
final class State implements Computed {

    @Override
    public String key() {
        return "state";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        if (!(finding.detail() instanceof Branching branching) || branching.onTypes()) {
            return Optional.empty();
        }
        Chain chain = branching.chain();
        boolean ownField = program.fieldAt(chain.subject().trail(), chain.within())
                .filter(found -> found.owner().name().equals(chain.within())
                        && found.field().map(field -> !field.traits().isFinal()).orElse(false)).isPresent();
        if (!ownField) {
            return Optional.empty();
        }
        boolean moves = chain.arms().stream().anyMatch(arm -> arm.stored().stream()
                .anyMatch(each -> each.name().equals(chain.subject().word())));
        long own = branching.siblings().stream().filter(place -> Symbol.of(place.symbol()).type().equals(chain.within())).count();
        double score = 0.46 + (moves ? 0.12 : 0) + 0.06 * Math.min(4, own);
        return Optional.of(new Fit(key(), score, chain.subject().text() + " is the object's own, changing condition"
                + (own > 0 ? ", and " + (own + 1) + " of its routines branch on it" : "")));
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Branching branching = (Branching) finding.detail();
        Chain chain = branching.chain();
        TypeOutline context = site.type(chain.within()).orElseThrow();
        Optional<TypeOutline> owner = Constants.of(branching, site.program());
        if (owner.isPresent()) {
            return new Constants(finding, branching, owner.get(), site).answer("state", routines(branching));
        }
        String state = context.simpleName() + "State";
        List<Role> roles = new ArrayList<>(List.of(new Role("context", context.simpleName(), true),
                new Role("state", state, false)));
        for (Chain.Arm arm : chain.arms()) {
            String name = Words.ofLabel(arm.labels().get(0).text());
            roles.add(new Role("concrete state", name, false));
        }
        List<Step> steps = List.of(
                new Step("Add " + state + " with every operation that branches on " + chain.subject().text() + ".",
                        List.of(site.planned(context, state, "the " + site.idiom(context).contract())), Check.LANGUAGE),
                new Step("Give each value a class that answers with its arm's body, one at a time.",
                        chain.arms().stream().map(arm -> new Evidence(finding.file(), arm.line(), arm.endLine(),
                                arm.title())).toList(), Check.LANGUAGE_EACH),
                new Step("Keep the state object beside the old field and set both in every transition.",
                        List.of(new Evidence(context.file(), context.line(), context.endLine(), "assignments of "
                                + chain.subject().text())), Check.CONFIRM),
                new Step("Let the routine ask the state object instead of branching.",
                        List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain")),
                        Check.CONFIRM),
                Branches.siblingsStep(branching));
        Cost cost = new Cost(1 + chain.arms().size(), 6 * chain.arms().size(), "the order of states is read from the "
                + "transitions instead of one routine");
        List<Evidence> after = List.of(site.planned(context, state, "one more state class, and the transition into it"));
        return new Answer(roles, steps, cost, after);
    }

    /** The routines of the context that branch on its state. */
    private static List<String> routines(Branching branching) {
        Set<String> routines = new LinkedHashSet<>(Set.of(Branches.routineFor(branching.chain())));
        branching.siblings().stream().map(each -> Symbol.of(each.symbol())).filter(each -> each.isRoutine()
                && each.type().equals(branching.chain().within())).forEach(each -> routines.add(each.member()));
        return List.copyOf(routines);
    }
}
