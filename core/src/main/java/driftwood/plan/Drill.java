package driftwood.plan;

import driftwood.pattern.Site;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;

/**
 * The change drill: every place to edit for one more variant.
 *
 * @param change what is added, as a clause: "one more Kind"
 * @param today  as the code stands
 * @param after  with the chosen pattern; the same as today for leaving it
 */
public record Drill(String change, List<Evidence> today, List<Evidence> after) {

    /** What one more variant costs today. */
    static List<Evidence> today(Finding finding, Site site) {
        List<Evidence> places = new ArrayList<>();
        Detail detail = finding.detail();
        if (detail instanceof Detail.Branching branching) {
            site.type(branching.common()).ifPresent(type -> places.add(declaration(type, branching.onTypes())));
            places.add(new Evidence(finding.file(), finding.line(), finding.endLine(), "one more arm here"));
            branching.siblings().forEach(place -> places.add(at(place, "one more arm")));
        } else if (detail instanceof Detail.Ladder ladder) {
            ladder.ladder().forEach(step -> site.type(step.owner()).ifPresent(type -> places.add(new Evidence(type.file(),
                    step.line(), step.endLine(), "one more parameter, or one more overload beside it"))));
            ladder.callers().stream().filter(place -> place.note().startsWith("fills"))
                    .forEach(place -> places.add(at(place, "one more filler")));
        } else if (detail instanceof Detail.Nothing nothing) {
            nothing.guards().forEach(place -> places.add(at(place, "a guard like this in each new caller")));
            nothing.careless().forEach(place -> places.add(at(place, "a guard is missing here already")));
        } else if (detail instanceof Detail.Choosing choosing) {
            places.add(new Evidence(finding.file(), finding.line(), finding.endLine(), "one more arm here"));
            choosing.repeats().forEach(place -> places.add(at(place, "one more arm")));
        }
        return places;
    }

    /** What the drill adds, in the words of the finding. */
    static String change(Finding finding) {
        Detail detail = finding.detail();
        if (detail instanceof Detail.Branching branching) {
            return branching.common().isEmpty() ? "one more " + branching.chain().subject().word()
                    : "one more " + simple(branching.common());
        }
        if (detail instanceof Detail.Ladder ladder) {
            return "one more optional part of " + simple(ladder.type());
        }
        if (detail instanceof Detail.Nothing nothing) {
            return "one more caller of " + nothing.source().substring(nothing.source().indexOf('#') + 1);
        }
        Detail.Choosing choosing = (Detail.Choosing) detail;
        return choosing.common().isEmpty() ? "one more class to choose" : "one more " + simple(choosing.common());
    }

    private static Evidence declaration(TypeOutline type, boolean onTypes) {
        return new Evidence(type.file(), type.line(), type.endLine(), onTypes
                ? "the new subtype of " + type.simpleName() : "the new constant of " + type.simpleName());
    }

    private static Evidence at(Place place, String note) {
        return new Evidence(place.file(), place.line(), place.endLine(), note);
    }

    private static String simple(String qualified) {
        return qualified.substring(qualified.lastIndexOf('.') + 1);
    }

    /** How many files some places are in. */
    public static int files(List<Evidence> places) {
        return new HashSet<>(places.stream().map(Evidence::file).toList()).size();
    }
}
