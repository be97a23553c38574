package driftwood.refactor.java.recipe.kind;

import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.Nulls;
import driftwood.refactor.java.decision.WholeDecisions;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.EarlyRecipe;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Place;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.VariableElement;

/**
 * strategy and state, where the variants are types or enum constants of the project: each answers for itself, and the
 * decision becomes one call. State does so for all decisions of its type or none.
 */
public final class BehaviourOnVariants implements EarlyRecipe {
    private final String pattern;

    public BehaviourOnVariants(String pattern) {
        this.pattern = pattern;
    }

    @Override
    public String pattern() {
        return pattern;
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Branching;
    }

    @Override
    public Set<String> words(Finding finding) {
        Branching branching = (Branching) finding.detail();
        Set<String> words = new LinkedHashSet<>();
        words.add(simple(branching.chain().within()));
        if (!branching.common().isEmpty()) {
            words.add(simple(branching.common()));
        }
        branching.siblings().forEach(each -> words.add(simple(Symbol.of(each.symbol()).type())));
        if (branching.onTypes()) {
            branching.variants().forEach(each -> words.add(simple(each)));
        }
        return words;
    }

    private static String simple(String qualified) {
        return qualified.substring(qualified.lastIndexOf('.') + 1);
    }

    @Override
    public void probe(Drafting drafting) {
        Variants.refuseEarly(drafting.workspace(), DecisionPlace.of(drafting.workspace(), ((Branching) drafting.finding().detail()).chain(), Asking.CONSTANTS).decision());
    }

    @Override
    public void write(Drafting drafting) {
        Branching branching = (Branching) drafting.finding().detail();
        String common = branching.onTypes() ? branching.common() : "";
        List<Answering> all = new ArrayList<>();
        Set<String> names = new LinkedHashSet<>();
        all.add(Answering.of(drafting, common, branching.chain().routine(), branching.chain().line(), names));
        for (Place each : branching.siblings()) {
            try {
                Answering more = Answering.of(drafting, common, each.symbol(), each.line(), names);
                if (all.stream().noneMatch(more::meets)) {
                    all.add(more);
                }
            } catch (Refused e) {
                if (pattern.equals("state")) {
                    throw new Refused("not every routine can be moved: " + each.file() + ":" + each.line() + ": " + e.getMessage());
                }
                // It is a finding of its own, and says then why it stays.
                continue;
            }
        }
        if (pattern.equals("state")) {
            all.get(0).field().ifPresent(field -> addWhole(drafting, field, all, names));
        }
        all.forEach(Answering::write);
    }

    /** Routines that do nothing but ask for the state, for one of it only, are the state's own as well. */
    private static void addWhole(Drafting drafting, VariableElement field, List<Answering> all, Set<String> names) {
        for (DecisionPlace each : WholeDecisions.on(drafting.workspace(), Workspace.typeAround(field), field)) {
            // Before there is a state, what is done for all others would have to stay beside the call.
            if (each.decision().takesNull() && Nulls.mayBe(drafting.workspace(), each.decision())) {
                continue;
            }
            try {
                Answering more = Answering.of(drafting, "", each, new LinkedHashSet<>(names));
                if (all.stream().noneMatch(more::meets)) {
                    all.add(Answering.of(drafting, "", each, names));
                }
            } catch (Refused e) {
                // It stays as it is: a test for one value is no decision that forgets the others.
                continue;
            }
        }
        all.sort(Comparator.comparingInt(Answering::line));
    }
}
