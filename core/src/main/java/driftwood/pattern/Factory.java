package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** factory: the decision is an object of its own, which clients are given. */
final class Factory implements Computed {

    @Override
    public String key() {
        return "factory";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        if (!(finding.detail() instanceof Choosing choosing)) {
            return Optional.empty();
        }
        Set<String> types = new HashSet<>(Set.of(choosing.chain().within()));
        choosing.repeats().forEach(place -> types.add(Symbol.of(place.symbol()).type()));
        return Optional.of(new Fit(key(), types.size() == 1 ? 0.45 : 0.62 + 0.04 * Math.min(5, types.size()),
                types.size() == 1 ? "one type decides; an object for it is more than is needed"
                        : types.size() + " types make the same decision: one factory can make it for all of them"));
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Choosing choosing = (Choosing) finding.detail();
        TypeOutline client = site.type(choosing.chain().within()).orElseThrow();
        String product = choosing.common().isEmpty() ? "Object" : Words.simple(choosing.common());
        String factory = product + "Factory";
        List<Role> roles = new ArrayList<>(List.of(new Role("factory", factory, false),
                new Role("product", product, !choosing.common().isEmpty())));
        choosing.table().values().stream().distinct().forEach(each -> roles.add(new Role("concrete product", each, true)));
        List<Evidence> here = List.of(new Evidence(finding.file(), finding.line(), finding.endLine(), "the decision"));
        List<Step> steps = new ArrayList<>(List.of(
                new Step("Copy the decision into " + factory + ", each arm returning what it creates.",
                        List.of(site.planned(client, factory, "the factory")), Check.LANGUAGE),
                new Step("Give " + client.simpleName() + " the factory through its constructor.",
                        List.of(new Evidence(client.file(), client.line(), client.line(), client.simpleName())), Check.LANGUAGE),
                new Step("Replace the decision by a call.", here, Check.CONFIRM)));
        if (!choosing.repeats().isEmpty()) {
            steps.add(new Step("Let the repeats ask the factory, one at a time; where they decide differently, ask which "
                    + "is right.", choosing.repeats().stream().map(Place::evidence).toList(),
                    Check.CONFIRM_EACH));
        }
        return new Answer(roles, steps, new Cost(1, 8, "clients hold a factory"),
                after(choosing, client, factory, site));
    }

    private static List<Evidence> after(Choosing choosing, TypeOutline client, String factory, Site site) {
        List<Evidence> after = new ArrayList<>(site.newKind(choosing));
        after.add(site.planned(client, factory, "one arm in the factory"));
        return after;
    }
}
