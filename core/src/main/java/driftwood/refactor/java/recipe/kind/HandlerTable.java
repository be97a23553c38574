package driftwood.refactor.java.recipe.kind;

import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.LocalRecipe;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Finding;

/**
 * registry, and strategy on tags: a table from key to what is done for it, a function or an object; unknown keys are answered as
 * they were.
 */
public final class HandlerTable implements LocalRecipe {
    private final String pattern;

    /** @param pattern which of the two */
    public HandlerTable(String pattern) {
        this.pattern = pattern;
    }

    @Override
    public String pattern() {
        return pattern;
    }

    @Override
    public boolean answers(Finding finding) {
        return pattern.equals("registry") ? finding.detail() instanceof Branching || finding.detail() instanceof Choosing
                : finding.detail() instanceof Branching branching && !branching.onTypes() && branching.siblings().isEmpty() && isOnTags(branching.chain());
    }

    /** Whether values are asked for; that none of them is an object that could have behaviour itself shows in the code. */
    private static boolean isOnTags(Chain chain) {
        return chain.arms().stream().flatMap(arm -> arm.labels().stream()).allMatch(label -> label.kind() == Label.Kind.STRING || label.kind() == Label.Kind.INTEGER || label.kind() == Label.Kind.NAME);
    }

    @Override
    public void write(Drafting drafting) {
        Chain chain = drafting.finding().detail() instanceof Branching branching ? branching.chain() : ((Choosing) drafting.finding().detail()).chain();
        new Tabling(drafting, chain, pattern.equals("strategy")).write();
    }
}
