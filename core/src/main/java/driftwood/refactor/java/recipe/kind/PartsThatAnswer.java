package driftwood.refactor.java.recipe.kind;

import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.smell.Detail.Place;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Descent;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** composite: a container goes down into its parts itself, and a leaf answers for itself; who walks asks none what it is. */
public final class PartsThatAnswer implements Recipe {

    @Override
    public String pattern() {
        return "composite";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Descent;
    }

    @Override
    public Set<String> words(Finding finding) {
        Descent fact = (Descent) finding.detail();
        Set<String> words = new LinkedHashSet<>(List.of(Symbol.of(finding.symbol()).simpleType(), Symbol.of(fact.container()).simpleType()));
        if (!fact.common().isEmpty()) {
            words.add(Symbol.of(fact.common()).simpleType());
        }
        words.addAll(fact.leaves());
        fact.places().forEach(each -> words.add(Symbol.of(each.symbol()).simpleType()));
        return words;
    }

    @Override
    public void write(Drafting drafting) {
        Finding finding = drafting.finding();
        Set<String> names = new LinkedHashSet<>();
        List<Answering> all = new ArrayList<>();
        all.add(Answering.of(drafting, "", finding.symbol(), finding.evidence().get(0).line(), names));
        for (Place each : ((Descent) finding.detail()).places()) {
            try {
                all.add(Answering.of(drafting, "", each.symbol(), each.line(), names));
            } catch (Refused e) {
                // The other walk is a finding of its own, and says then why it stays.
                continue;
            }
        }
        all.forEach(Answering::write);
        all.get(0).noteNext(all);
    }
}
