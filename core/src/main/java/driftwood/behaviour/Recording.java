package driftwood.behaviour;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What some code did, case by case. Readable, diffable, and independent of how objects are constructed: values name
 * their parts. See docs/formats.md.
 *
 * @param format  of the file, with its version
 * @param of      what was recorded: the id of a finding, or type names
 * @param surface symbols of what was observed
 * @param platform what the code ran on, as "java 17"; null where it was not noted
 * @param strength what it would notice; null where that was not measured
 * @param judged  ids of cases that were recorded again, with the reason why the new outcome is right; null for none
 * @param cases   in order
 */
@JsonPropertyOrder({"format", "of", "surface", "platform", "strength", "judged", "cases"})
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Recording(String format, String of, List<String> surface, String platform, Proven strength,
        Map<String, String> judged, List<Case> cases) {
    /** The format of recordings. */
    public static final String FORMAT = "driftwood-recording/1";

    /** The same recording with one case recorded again. @param because why the new outcome is right */
    public Recording with(Case fresh, String because) {
        Map<String, String> reasons = new TreeMap<>(judged == null ? Map.of() : judged);
        reasons.put(fresh.id(), because);
        return new Recording(format, of, surface, platform, strength, reasons,
                cases.stream().map(each -> each.id().equals(fresh.id()) ? fresh : each).toList());
    }

    /** The same recording with only some of its cases. */
    public Recording only(Collection<String> ids) {
        return new Recording(format, of, surface, platform, strength, judged,
                cases.stream().filter(each -> ids.contains(each.id())).toList());
    }

    /**
     * How many small slips, planted one at a time, the cases noticed when they were recorded.
     *
     * @param noticed   slips that some case noticed
     * @param tried     slips that were tried
     * @param missed    those that no case noticed, by file and line
     * @param unreached those on lines that no case came to
     * @param branches  how many of the branches some case took, as "7 of 9"; null where none were counted
     * @param never     lines with branches that no case took, and how many; null where none were counted
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Proven(int noticed, int tried, List<String> missed, List<String> unreached, String branches,
            List<String> never) {
        static Proven of(Strength strength) {
            return strength.tried() == 0 ? null : new Proven(strength.noticed(), strength.tried(),
                    strength.missed().stream().map(Strength.Missed::told).toList(),
                    strength.unreached().stream().map(Strength.Missed::told).toList(),
                    strength.branches().all() == 0 ? null : strength.branches().taken() + " of " + strength.branches().all(),
                    strength.branches().all() == 0 ? null : strength.branches().never().stream().map(Coverage.Line::told).toList());
        }
    }

    /**
     * One case.
     *
     * @param id      within the recording
     * @param routine symbol of what is called; {@code quay.Berth#new} observes the constructed object
     * @param on      the receiver by its parts; absent for static routines
     * @param before  calls on the receiver before the observed one
     * @param given   arguments by the names of the parameters
     * @param outcome what happened; null where somebody added the case and it was not recorded yet
     * @param varies  places in the outcome (JSON pointers) that differ from run to run and are not compared
     * @param anyOrder places whose order differs from run to run
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    @JsonPropertyOrder({"id", "routine", "on", "before", "given", "outcome", "varies", "anyOrder"})
    public record Case(String id, String routine, JsonNode on, List<Step> before, ObjectNode given, JsonNode outcome,
            List<String> varies, List<String> anyOrder) {

        /** Whether it ends by itself in the same way each time. */
        boolean steady() {
            return varies.isEmpty() && anyOrder.isEmpty() && (outcome.has("gives") || outcome.has("throws"));
        }

        /** How much there is to read in its inputs; the smallest differing case is shown first. */
        public int size() {
            return (on == null ? 0 : on.toString().length()) + (before == null ? 0 : 40 * before.size())
                    + (given == null ? 0 : given.toString().length());
        }
    }

    /**
     * A call that brings the receiver into a state.
     *
     * @param call  name of the routine
     * @param given arguments by the names of the parameters
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Step(String call, ObjectNode given) {
    }
}
