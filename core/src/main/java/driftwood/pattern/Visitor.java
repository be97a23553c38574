package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
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

/** visitor: the operation stays outside the variants, and the compiler sees that it answers for each of them. */
final class Visitor implements Computed {

    @Override
    public String key() {
        return "visitor";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        if (!(finding.detail() instanceof Branching branching) || !branching.onTypes()
                || program.type(branching.common()).isEmpty()) {
            return Optional.empty();
        }
        Set<String> operations = new LinkedHashSet<>();
        branching.siblings().forEach(place -> operations.add(place.symbol()));
        double score = 0.4 + 0.05 * Math.min(6, operations.size());
        return Optional.of(new Fit(key(), score, operations.isEmpty()
                ? "keeps this operation out of the variants, at the price of an accept() on each"
                : (operations.size() + 1) + " operations branch on the same types; each becomes one visitor"));
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Branching branching = (Branching) finding.detail();
        Chain chain = branching.chain();
        TypeOutline common = site.type(branching.common()).orElseThrow();
        String visitor = common.simpleName() + "Visitor";
        String operation = Words.upper(Branches.routineFor(chain)) + visitor;
        List<Role> roles = new ArrayList<>(List.of(new Role("visitor", visitor, false)));
        List<Evidence> elements = new ArrayList<>();
        for (Chain.Arm arm : chain.arms()) {
            for (TypeOutline type : Branches.types(arm, chain, site)) {
                roles.add(new Role("element", type.simpleName(), true));
                elements.add(new Evidence(type.file(), type.line(), type.line(), type.simpleName()));
            }
        }
        List<Step> steps = List.of(
                new Step("Add " + visitor + " with one routine for each variant.",
                        List.of(site.planned(common, visitor, "the visitor")), Check.LANGUAGE),
                new Step("Give " + common.simpleName() + " and each variant accept().", elements, Check.LANGUAGE),
                new Step("Move the arms into " + operation + ", one at a time.",
                        List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain")), Check.LANGUAGE),
                new Step("Replace the chain by accept().",
                        List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain")),
                        Check.CONFIRM),
                Branches.siblingsStep(branching));
        Cost cost = new Cost(2, 8 + 8 * elements.size(), "two calls for each operation, and a type parameter to read");
        List<Evidence> after = new ArrayList<>(List.of(
                site.kind(common, "the new " + common.simpleName() + ", with accept()"),
                site.planned(common, visitor, "visit routine for the new variant"),
                new Evidence(finding.file(), chain.line(), chain.endLine(), "its answer, in the visitor made from this chain: " + site.idiom(common).reminds() + " asks for it")));
        branching.siblings().forEach(place -> after.add(new Evidence(place.file(), place.line(), place.endLine(),
                "its answer in the visitor made from this chain")));
        return new Answer(roles, steps, cost, after);
    }
}
