package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Cost;
import driftwood.pattern.Answer.Role;
import driftwood.pattern.Answer.Step;
import driftwood.program.Program;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** registry: a table from tag to handler or constructor, in one place. */
final class Registry implements Computed {

    @Override
    public String key() {
        return "registry";
    }

    @Override
    public Optional<Fit> fit(Finding finding, Program program) {
        return chainOf(finding).filter(chain -> chain.arms().stream().allMatch(Registry::isKeyed)).map(this::fit);
    }

    private Fit fit(Chain chain) {
        boolean guarded = chain.form() == Chain.Form.MATCH_VALUE && chain.otherwise().isEmpty();
        double score = 0.44 + 0.02 * Math.min(8, chain.arms().size()) - (guarded ? 0.15 : 0);
        return new Fit(key(), score, "every arm is chosen by a key of its own, so a table of " + chain.arms().size()
                + " entries can choose" + (guarded ? ", but that it is complete is checked no more" : ""));
    }

    private static boolean isKeyed(Chain.Arm arm) {
        return !arm.guarded() && arm.labels().stream().allMatch(label -> label.kind() == Label.Kind.NAME
                || label.kind() == Label.Kind.STRING || label.kind() == Label.Kind.INTEGER);
    }

    private static Optional<Chain> chainOf(Finding finding) {
        return finding.detail().accept(new Detail.Visitor<>() {
            @Override
            public Optional<Chain> visitDetail(Detail detail) {
                return Optional.empty();
            }

            @Override
            public Optional<Chain> visitBranching(Branching branching) {
                return Optional.of(branching.chain());
            }

            @Override
            public Optional<Chain> visitChoosing(Choosing choosing) {
                return Optional.of(choosing.chain());
            }
        });
    }

    @Override
    public Answer answer(Finding finding, Site site) {
        Chain chain = chainOf(finding).orElseThrow();
        String field = Handlers.table(chain);
        List<Role> roles = new ArrayList<>(List.of(new Role("registry", field, false),
                new Role("key", chain.subject().text(), true)));
        chain.arms().forEach(arm -> roles.add(new Role("entry", arm.title(), true)));
        List<Evidence> chainPlace = List.of(new Evidence(finding.file(), chain.line(), chain.endLine(), "the chain"));
        List<Step> steps = List.of(
                new Step("Turn each arm into an entry of a table beside the chain.", chainPlace, Check.LANGUAGE),
                new Step("Decide what an unknown key means: what the default does now"
                        + (chain.otherwise().isPresent() ? "" : " (today: silently nothing)") + ".", chainPlace,
                        Check.LANGUAGE),
                new Step("Replace the chain by the look-up.", chainPlace, Check.CONFIRM),
                new Step("Add a test that every key has an entry.", List.of(), Check.TESTED));
        List<Evidence> after = new ArrayList<>(finding.detail() instanceof Choosing choosing ? site.newKind(choosing)
                : site.newVariant((Branching) finding.detail()));
        after.add(new Evidence(finding.file(), chain.line(), chain.line(), "one entry in the table"));
        return new Answer(roles, steps, new Cost(0, 4, "the case is found through a table"), after);
    }
}
