package driftwood.pattern;

import driftwood.pattern.Answer.Check;
import driftwood.pattern.Answer.Step;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Label;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Listing;
import driftwood.source.Idiom;
import driftwood.tree.TypeRef;
import java.util.List;
import java.util.stream.Stream;

/** What the answers to branching chains have in common. */
final class Branches {
    private Branches() {
    }

    /** The name for the routine that takes an arm over. */
    static String routineFor(Chain chain) {
        return taken(Symbol.of(chain.routine()));
    }

    private static String taken(Symbol place) {
        return place.member().isEmpty() ? "handle" : place.member().equals(place.simpleType()) ? "setUp" : place.member();
    }

    /** The project's types that an arm tests for. */
    static List<TypeOutline> types(Chain.Arm arm, Chain chain, Site site) {
        return site.type(chain.within()).map(scope -> arm.labels().stream()
                .filter(label -> label.kind() == Label.Kind.TYPE)
                .flatMap(label -> site.program().resolve(new TypeRef(label.text()), scope).stream())
                .distinct().toList()).orElse(List.of());
    }

    /** What reminds of a variant that comes later. @param own how many of the variants have an arm of their own @param all how many there are */
    static String reminded(Chain chain, long own, long all, Idiom idiom) {
        // The last one has what the chain does for all others, unless that is done for nothing at all as well.
        return chain.needsSubject() && own > 1 && own == all - 1 && chain.otherwise().isPresent() ? reminded(chain, true, false, idiom) : reminded(chain, own == all, idiom);
    }

    /** The same. @param all whether each variant there is has an arm of its own */
    static String reminded(Chain chain, boolean all, Idiom idiom) {
        return reminded(chain, all, chain.otherwise().map(arm -> arm.work() != Chain.Work.THROWS).orElse(false), idiom);
    }

    private static String reminded(Chain chain, boolean all, boolean rest, Idiom idiom) {
        return all && !rest ? ": " + idiom.reminds() + " asks for it" : "; left out, " + (rest ? "it gets what all others get" : chain.otherwise().isPresent() ? "it throws" : "nothing is done");
    }

    /** Whatever a variant answers once all chains are moved onto it. @param routines for the chain itself */
    static String calls(List<String> routines, Branching branching) {
        List<String> all = Stream.concat(routines.stream(), branching.siblings().stream().map(each -> Symbol.of(each.symbol())).filter(Symbol::isRoutine).map(Branches::taken))
                .distinct().map(each -> each + "()").toList();
        return Listing.of(all);
    }

    static Step siblingsStep(Branching branching) {
        List<Evidence> places = branching.siblings().stream().map(Place::evidence).toList();
        return places.isEmpty()
                ? new Step("Remove what nothing uses any more.", List.of(), Check.CONFIRM)
                : new Step("Do the same for the other chains on these variants, one at a time.", places,
                        Check.CONFIRM_EACH);
    }

    /** Lines that the move adds: a frame of four lines for each arm, less the labels that go. */
    static int lines(Chain chain) {
        return 4 * chain.arms().size() - chain.arms().size();
    }
}
