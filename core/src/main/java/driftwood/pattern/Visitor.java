package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.RoutineOutline.ParameterOutline;
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
        List<String> file = site.lines(finding.file());
        StringBuilder contract = new StringBuilder(site.packageLine(common)).append("/** One routine for each kind of ")
                .append(common.simpleName()).append(". */\ninterface ").append(visitor).append("<R> {\n");
        String result = Branches.boxed(chain, site);
        List<ParameterOutline> given = Branches.parameters(chain, site);
        StringBuilder body = new StringBuilder(site.packageLine(common)).append("final class ").append(operation)
                .append(" implements ").append(visitor).append('<').append(result).append("> {\n");
        given.forEach(each -> body.append("    private final ").append(each.type().text().replace(",", ", ")).append(' ')
                .append(each.name()).append(";\n"));
        if (!given.isEmpty()) {
            body.append("\n    ").append(operation).append('(').append(String.join(", ", given.stream()
                    .map(each -> each.type().text().replace(",", ", ") + " " + each.name()).toList())).append(") {\n");
            given.forEach(each -> body.append("        this.").append(each.name()).append(" = ").append(each.name())
                    .append(";\n"));
            body.append("    }\n");
        }
        List<Role> roles = new ArrayList<>(List.of(new Role("visitor", visitor, false)));
        List<Evidence> elements = new ArrayList<>();
        List<Change> sketch = new ArrayList<>();
        for (Chain.Arm arm : chain.arms()) {
            for (TypeOutline type : Branches.types(arm, chain, site)) {
                String parameter = Words.lower(type.simpleName());
                roles.add(new Role("element", type.simpleName(), true));
                elements.add(new Evidence(type.file(), type.line(), type.line(), type.simpleName()));
                contract.append("    R visit").append(type.simpleName()).append('(').append(type.simpleName()).append(' ')
                        .append(parameter).append(");\n");
                body.append("\n    @Override\n    public ").append(result).append(" visit").append(type.simpleName()).append('(')
                        .append(type.simpleName()).append(' ').append(parameter).append(") {\n");
                ArmText.onNamed(parameter, chain, arm, file)
                        .forEach(line -> body.append("        ").append(line).append('\n'));
                body.append(result.equals("Void") ? "        return null;\n" : "").append("    }\n");
                sketch.add(new Edit(type.file(), site.lines(type.file())).insertAtEnd(type.endLine(),
                        List.of("@Override", "<R> R accept(" + visitor + "<R> visitor) {",
                                "    return visitor.visit" + type.simpleName() + "(this);", "}")).sketch());
            }
        }
        sketch.add(0, Edit.added(site.beside(common, visitor), contract.append("}\n").toString()));
        sketch.add(1, Edit.added(site.beside(common, operation), body.append("}\n").toString()));
        sketch.add(new Edit(finding.file(), file).replace(chain.line(), chain.endLine(), List.of(
                (result.equals("Void") ? "" : "return ") + chain.subject().text() + ".accept(new " + operation + "("
                        + String.join(", ", given.stream().map(ParameterOutline::name).toList()) + "));")).sketch());
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
                site.planned(common, operation, "its answer: " + site.idiom(common).reminds() + " asks for it")));
        branching.siblings().forEach(place -> after.add(new Evidence(place.file(), place.line(), place.endLine(),
                "its answer in the visitor made from this chain")));
        return new Answer(roles, steps, cost, after, Edit.all(sketch), Branches.lost(chain));
    }
}
