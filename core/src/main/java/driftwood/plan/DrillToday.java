package driftwood.plan;

import driftwood.pattern.Site;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.List;

/** What one more variant costs as the code stands, for each kind of finding. */
final class DrillToday implements Detail.Visitor<List<Evidence>> {
    private final Finding finding;
    private final Site site;

    DrillToday(Finding finding, Site site) {
        this.finding = finding;
        this.site = site;
    }

    /** Every place to edit. */
    List<Evidence> places() {
        return finding.detail().accept(this);
    }

    /** What the drill adds, in the words of the finding. */
    String change() {
        return "one more " + finding.detail().accept(new Added());
    }

    @Override
    public List<Evidence> visitDetail(Detail detail) {
        return List.of(here("here"));
    }

    @Override
    public List<Evidence> visitBranching(Detail.Branching branching) {
        List<Evidence> places = new ArrayList<>();
        site.type(branching.common()).ifPresent(type -> places.add(declaration(type, branching.onTypes())));
        places.add(here("one more arm here"));
        branching.siblings().forEach(place -> places.add(at(place, "one more arm")));
        return places;
    }

    @Override
    public List<Evidence> visitLadder(Detail.Ladder ladder) {
        List<Evidence> places = new ArrayList<>();
        ladder.ladder().forEach(step -> site.type(step.owner()).ifPresent(type -> places.add(new Evidence(type.file(),
                step.line(), step.endLine(), "one more parameter, or one more overload beside it"))));
        ladder.callers().stream().filter(Detail.Caller::isFilling).forEach(each -> places.add(at(each.place(), "one more filler")));
        return places;
    }

    @Override
    public List<Evidence> visitNothing(Detail.Nothing nothing) {
        List<Evidence> places = new ArrayList<>();
        nothing.guards().forEach(each -> places.add(at(each.place(), "a guard like this in each new caller")));
        nothing.careless().forEach(place -> places.add(at(place, "a guard is missing here already")));
        return places;
    }

    @Override
    public List<Evidence> visitChoosing(Detail.Choosing choosing) {
        List<Evidence> places = new ArrayList<>(List.of(here("one more arm here")));
        choosing.repeats().forEach(place -> places.add(at(place, "one more arm")));
        return places;
    }

    @Override
    public List<Evidence> visitGathered(Detail.Gathered gathered) {
        List<Evidence> places = new ArrayList<>(List.of(here("one more " + gathered.change() + " here")));
        gathered.places().forEach(place -> places.add(place.evidence()));
        return places;
    }

    private Evidence here(String note) {
        return new Evidence(finding.file(), finding.line(), finding.endLine(), note);
    }

    private static Evidence declaration(TypeOutline type, boolean onTypes) {
        return new Evidence(type.file(), type.line(), type.endLine(), onTypes
                ? "the new subtype of " + type.simpleName() : "the new constant of " + type.simpleName());
    }

    private static Evidence at(Place place, String note) {
        return new Evidence(place.file(), place.line(), place.endLine(), note);
    }

    /** Names what is added. */
    private static final class Added implements Detail.Visitor<String> {

        @Override
        public String visitDetail(Detail detail) {
            return "variant";
        }

        @Override
        public String visitBranching(Detail.Branching branching) {
            return branching.common().isEmpty() ? branching.chain().subject().word() : simple(branching.common());
        }

        @Override
        public String visitLadder(Detail.Ladder ladder) {
            return "optional part of " + simple(ladder.type());
        }

        @Override
        public String visitNothing(Detail.Nothing nothing) {
            return "caller of " + nothing.source().substring(nothing.source().indexOf('#') + 1);
        }

        @Override
        public String visitChoosing(Detail.Choosing choosing) {
            return choosing.common().isEmpty() ? "class to choose" : simple(choosing.common());
        }

        @Override
        public String visitGathered(Detail.Gathered gathered) {
            return gathered.change();
        }

        private static String simple(String qualified) {
            return qualified.substring(qualified.lastIndexOf('.') + 1);
        }
    }
}
