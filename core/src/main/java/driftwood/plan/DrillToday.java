package driftwood.plan;

import driftwood.pattern.Site;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.smell.Chain;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Gathered;
import driftwood.source.Language.Habit;
import driftwood.source.Language;
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What one more variant costs as the code stands, for each kind of finding. */
final class DrillToday implements Detail.Visitor<List<Evidence>> {
    private final Finding finding;
    private final Site site;
    private final OtherDecisions decisions;
    private final List<Evidence> own;
    /** Where the same is decided as at the finding. */
    private final List<Evidence> alike = new ArrayList<>();

    private DrillToday(Finding finding, Site site, OtherDecisions decisions) {
        this.finding = finding;
        this.site = site;
        this.decisions = decisions;
        this.own = finding.detail().accept(this);
    }

    static DrillToday of(Finding finding, Site site) {
        return new DrillToday(finding, site, new OtherDecisions(finding, site, finding.detail().accept(new Added(site))));
    }

    /** Every place to edit. */
    List<Evidence> places() {
        return Stream.of(own, besides()).flatMap(List::stream).toList();
    }

    /** The places that the finding itself tells. */
    List<Evidence> told() {
        return Stream.of(own, alike).flatMap(List::stream).toList();
    }

    /** Where else the variants are told apart: no way there leads to the pattern. */
    List<Evidence> others() {
        return decisions.places();
    }

    /** The places that decide the same as the finding, and all others where its variants are told apart. */
    List<Evidence> besides() {
        return Stream.of(alike, others()).flatMap(List::stream).toList();
    }

    /** What the drill adds, in the words of the finding. */
    String change() {
        return "one more " + finding.detail().accept(new Added(site));
    }

    @Override
    public List<Evidence> visitDetail(Detail detail) {
        return List.of(here("here"));
    }

    @Override
    public List<Evidence> visitBranching(Detail.Branching branching) {
        List<Evidence> places = new ArrayList<>(site.newVariant(branching));
        String variant = newVariant(branching);
        places.add(here("a branch for " + variant + "; " + forgotten(branching.chain())));
        branching.siblings().forEach(place -> alike.add(at(place, "a branch for " + variant + decisions.forgotten(place))));
        return places;
    }

    @Override
    public List<Evidence> visitLadder(Detail.Ladder ladder) {
        RoutineOutline longest = ladder.ladder().get(ladder.ladder().size() - 1);
        int fills = ladder.optional().size();
        String fillers = fills == 1 ? ", and fills the other" : fills > 1 ? ", and fills the other " + fills : "";
        return site.type(ladder.type()).map(type -> List.of(
                new Evidence(type.file(), type.line(), type.line(), "the field"),
                new Evidence(type.file(), longest.line(), longest.endLine(), "one more beside the longest, with "
                        + (longest.parameters().size() + 1) + " parameters: who wants the new part alone calls it" + fillers)))
                .orElse(List.of(here("one more parameter")));
    }

    @Override
    public List<Evidence> visitNothing(Detail.Nothing nothing) {
        if (Language.ofKey(finding.language()).filter(each -> each.has(Habit.NOTHING_CHECKED)).isPresent()) {
            return List.of(here("a guard in the new caller: the compiler asks for it"));
        }
        return List.of(here("a guard in the new caller: nothing reminds it" + (nothing.careless().isEmpty() ? ""
                : " (" + nothing.careless().size() + " of " + (nothing.careless().size() + nothing.guards().size()) + " have none today)")));
    }

    @Override
    public List<Evidence> visitChoosing(Detail.Choosing choosing) {
        List<Evidence> places = new ArrayList<>(site.newKind(choosing));
        places.add(here("a branch that creates it; " + forgotten(choosing.chain())));
        choosing.repeats().forEach(place -> alike.add(at(place, "a branch that creates it")));
        return places;
    }

    @Override
    public List<Evidence> visitGathered(Gathered gathered) {
        List<Evidence> places = new ArrayList<>(List.of(here("one more " + gathered.change() + " here")));
        gathered.places().forEach(place -> places.add(place.evidence()));
        return places;
    }

    private Evidence here(String note) {
        return new Evidence(finding.file(), finding.line(), finding.endLine(), note);
    }

    private String newVariant(Detail.Branching branching) {
        return "the new " + new Added(site).visitBranching(branching);
    }

    /** What happens where the branch is left out. */
    private static String forgotten(Chain chain) {
        if (chain.otherwise().isEmpty()) {
            return chain.form() == Chain.Form.MATCH_VALUE ? "forgotten, the switch is not complete" : "forgotten, nothing is done";
        }
        Chain.Arm rest = chain.otherwise().get();
        return rest.work() == Chain.Work.THROWS ? "forgotten, it throws" : rest.does().isEmpty()
                ? "forgotten, nothing is done" : "forgotten, it gets what all others get: " + rest.does();
    }

    private static Evidence at(Place place, String note) {
        return new Evidence(place.file(), place.line(), place.endLine(), note);
    }

    /** Names what is added. */
    private record Added(Site site) implements Detail.Visitor<String> {

        @Override
        public String visitDetail(Detail detail) {
            return "variant";
        }

        @Override
        public String visitBranching(Detail.Branching branching) {
            boolean numbers = !branching.onTypes() && site.type(branching.common()).filter(each -> each.kind() == TypeKind.ENUM).isEmpty();
            return numbers || branching.common().isEmpty() ? branching.chain().subject().word() : simple(branching.common());
        }

        @Override
        public String visitLadder(Detail.Ladder ladder) {
            return "optional part of " + simple(ladder.type());
        }

        @Override
        public String visitNothing(Detail.Nothing nothing) {
            return "caller of " + Symbol.of(nothing.source()).local();
        }

        @Override
        public String visitChoosing(Detail.Choosing choosing) {
            return choosing.common().isEmpty() ? "class to choose" : simple(choosing.common());
        }

        @Override
        public String visitGathered(Gathered gathered) {
            return gathered.change();
        }

        private static String simple(String qualified) {
            return qualified.substring(qualified.lastIndexOf('.') + 1);
        }
    }
}
