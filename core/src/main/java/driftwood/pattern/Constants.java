package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What strategy and state come to where the tags are the constants of an enumeration of the project, in a language that lets
 * each of them have routines of its own: no new type, the constants answer.
 */
record Constants(Finding finding, Branching branching, TypeOutline owner, Site site) {

    /** The enumeration whose constants can answer for themselves. */
    static Optional<TypeOutline> of(Branching branching, Program program) {
        return branching.onTypes() ? Optional.empty() : program.type(branching.common())
                .filter(type -> type.kind() == TypeKind.ENUM && program.fileOf(type).language().idiom().ownBodies());
    }

    /** @param role what the enumeration plays @param routines that its constants answer */
    Answer answer(String role, List<String> routines) {
        Chain chain = branching.chain();
        List<Role> roles = new ArrayList<>(List.of(new Role("context", Words.simple(chain.within()), true),
                new Role(role, owner.simpleName(), true)));
        chain.arms().stream().flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() == Label.Kind.NAME)
                .map(label -> Words.simple(label.text())).distinct().forEach(each -> roles.add(new Role("concrete " + role, each, true)));
        Evidence here = new Evidence(owner.file(), owner.line(), owner.endLine(), owner.simpleName());
        List<Step> steps = List.of(
                new Step("Declare " + routines.get(0) + "() on " + owner.simpleName() + (named() == owner.constants().size() && chain.otherwise().isEmpty() ? "."
                        : ", with what happens to the constants that the chain leaves out."), List.of(here), Check.LANGUAGE),
                new Step("Move each arm's body onto its constant, one at a time. What it uses of " + Words.simple(chain.within())
                        + " is handed over.", chain.arms().stream().map(arm -> new Evidence(finding.file(), arm.line(), arm.endLine(),
                        "arm for " + arm.title())).toList(), Check.LANGUAGE_EACH),
                new Step("Replace the chain by one call.", List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain")),
                        Check.CONFIRM),
                Branches.siblingsStep(branching));
        return new Answer(roles, steps, new Cost(0, Branches.lines(chain), "one virtual call; the cases are read on the constants"),
                List.of(new Evidence(owner.file(), owner.line(), owner.line(), "the new constant of " + owner.simpleName() + ", with "
                        + Branches.calls(routines, branching) + Branches.reminded(chain, named(), owner.constants().size(), site.idiom(owner)))));
    }

    /** How many constants have an arm. */
    private long named() {
        return branching.chain().arms().stream().flatMap(arm -> arm.labels().stream()).filter(label -> label.kind() == Label.Kind.NAME)
                .map(label -> Words.simple(label.text())).distinct().count();
    }
}
