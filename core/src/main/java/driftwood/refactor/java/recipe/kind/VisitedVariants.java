package driftwood.refactor.java.recipe.kind;

import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.EarlyRecipe;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Place;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.type.TypeMirror;

/**
 * visitor: variants hand themselves over to an object with one routine for each kind; what is done for them stays where it
 * is, with all that is private there.
 */
public final class VisitedVariants implements EarlyRecipe {

    @Override
    public String pattern() {
        return "visitor";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Branching branching && branching.onTypes();
    }

    @Override
    public Set<String> words(Finding finding) {
        Branching branching = (Branching) finding.detail();
        Set<String> words = new LinkedHashSet<>(List.of(Symbol.of(branching.chain().within()).simpleType(), Symbol.of(branching.common()).simpleType()));
        branching.variants().forEach(each -> words.add(Symbol.of(each).simpleType()));
        branching.siblings().forEach(each -> words.add(Symbol.of(each.symbol()).simpleType()));
        words.remove("");
        return words;
    }

    @Override
    public void probe(Drafting drafting) {
        Variants.refuseEarly(drafting.workspace(), DecisionPlace.of(drafting.workspace(), ((Branching) drafting.finding().detail()).chain(), Asking.CONSTANTS).decision());
    }

    @Override
    public void write(Drafting drafting) {
        Branching branching = (Branching) drafting.finding().detail();
        DecisionPlace first = DecisionPlace.of(drafting.workspace(), branching.chain(), Asking.CONSTANTS);
        Variants kinds = Variants.of(drafting.workspace(), first.decision(), branching.common());
        List<Visiting> all = new ArrayList<>(List.of(new Visiting(drafting, first, kinds)));
        for (Place each : branching.siblings()) {
            try {
                DecisionPlace other = DecisionPlace.of(drafting.workspace(), each.symbol(), each.line(), Asking.CONSTANTS);
                Variants told = Variants.of(drafting.workspace(), other.decision(), branching.common());
                if (told.arms().keySet().equals(kinds.arms().keySet()) && told.areAll() == kinds.areAll()) {
                    Visiting more = new Visiting(drafting, other, told);
                    // Where other exceptions are thrown, the visitor's routines are no way out.
                    if (texts(more.thrown()).equals(texts(all.get(0).thrown()))) {
                        all.add(more);
                    }
                }
            } catch (Refused e) {
                // It is a finding of its own, and says then why it stays.
                continue;
            }
        }
        VisitorType visitor = new VisitorType(drafting, kinds, all.get(0).thrown());
        visitor.write();
        all.forEach(each -> each.write(visitor));
    }

    private static Set<String> texts(Set<TypeMirror> types) {
        return types.stream().map(Object::toString).collect(Collectors.toSet());
    }
}
