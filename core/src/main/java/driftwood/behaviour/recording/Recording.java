package driftwood.behaviour.recording;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonPropertyOrder;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.slip.Coverage;
import driftwood.behaviour.slip.Notices;
import driftwood.behaviour.view.Queries;
import driftwood.program.Symbol;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What some code did, case by case. Readable, diffable, and independent of how objects are constructed and of what is
 * private in them: values name their parts, objects are told by their answers. See docs/formats.md.
 *
 * @param format  of the file, with its version
 * @param of      what was recorded: the id of a finding, or type names
 * @param kept    types that were named to be kept: what they no longer answer is gone; null where none was named
 * @param surface symbols of what was observed
 * @param platform what the code ran on, as "java 17"; null where it was not noted
 * @param ran     how it was run, for the next time; null where nothing had to be said
 * @param notices what it would notice; null where that was not measured
 * @param asks    the queries of each type, as was found out
 * @param types   those of the project that could be told from each other when this was recorded
 * @param standIns names of what stand-ins have to answer, by the interface that they stand for; null where there are none
 * @param needed  parts that objects cannot do without, by their type; null where none was found
 * @param judged  ids of cases that were recorded again, with the reason why the new outcome is right; null for none
 * @param cases   in order
 */
@JsonPropertyOrder({"format", "of", "kept", "surface", "platform", "ran", "notices", "asks", "types", "standIns", "needed", "judged", "cases"})
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record Recording(String format, String of, List<String> kept, List<String> surface, String platform, Ran ran,
        Proven notices, Map<String, List<String>> asks, List<String> types, Map<String, List<String>> standIns, Map<String, List<String>> needed, Map<String, String> judged,
        List<Case> cases) {
    /** The format of recordings. */
    public static final String FORMAT = "driftwood-recording/2";

    /** Of some cases, with nothing else known yet. */
    public static Recording of(String of, List<String> surface, List<Case> cases) {
        return new Recording(FORMAT, of, null, surface, null, null, null, null, null, null, null, null, cases);
    }

    /** What a user said of how the code is run. @param ran null for nothing */
    public Recording ran(Ran ran) {
        return new Recording(format, of, kept, surface, platform, ran, notices, asks, types, standIns, needed, judged, cases);
    }

    /** The same recording with one case recorded again. @param because why the new outcome is right */
    public Recording with(Case fresh, String because) {
        Map<String, String> reasons = new TreeMap<>(judged == null ? Map.of() : judged);
        reasons.put(fresh.id(), because);
        return new Recording(format, of, kept, surface, platform, ran, notices, asks, types, standIns, needed, reasons,
                cases.stream().map(each -> each.id().equals(fresh.id()) ? fresh : each).toList());
    }

    /** The same recording with only some of its cases. */
    public Recording only(Collection<String> ids) {
        return with(cases.stream().filter(each -> ids.contains(each.id())).toList());
    }

    /** The same recording with other cases. */
    public Recording with(List<Case> others) {
        return new Recording(format, of, kept, surface, platform, ran, notices, asks, types, standIns, needed, judged, others);
    }

    /** What objects in it are asked. */
    public Queries queries() {
        return new Queries(asks == null ? Map.of() : asks, types == null ? List.of() : types);
    }

    /**
     * How the code is run, where that had to be said.
     *
     * @param classes     folders of compiled classes, relative to the project where they are below it; null where the
     *                    sources are compiled
     * @param classpath   what the code needs beside them; null for nothing
     * @param interpreter starts the interpreter; null for the usual one
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Ran(List<String> classes, List<String> classpath, String interpreter) {
    }

    /**
     * How many small slips, planted one at a time, the cases noticed when they were recorded.
     *
     * @param noticed   slips that some case noticed
     * @param planted   slips that were tried
     * @param missed    those that no case noticed, by file and line
     * @param unreached those on lines that no case came to
     * @param branches  how many of the branches some case took, as "7 of 9"; null where none were counted
     * @param never     lines with branches that no case took, and how many; null where none were counted
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Proven(int noticed, int planted, List<String> missed, List<String> unreached, String branches,
            List<String> never) {
        public static Proven of(Notices notices) {
            return notices.planted() == 0 ? null : new Proven(notices.noticed(), notices.planted(),
                    notices.missed().stream().map(Notices.Missed::told).toList(),
                    notices.unreached().stream().map(Notices.Missed::told).toList(),
                    notices.branches().all() == 0 ? null : notices.branches().taken() + " of " + notices.branches().all(),
                    notices.branches().all() == 0 ? null : notices.branches().never().stream().map(Coverage.Line::told).toList());
        }
    }

    /**
     * One case. What is alive in it has a name: {@code this} is the receiver, {@code 2} what the second step gave,
     * {@code 2.gauge} what the second step was handed for gauge; {@code {"same": "2.gauge"}} hands it on.
     *
     * @param id      within the recording
     * @param routine symbol of what is called last; {@code quay.Berth#new} observes the constructed object
     * @param on      the receiver by its parts; absent for static routines
     * @param before  steps before the last call
     * @param given   arguments by the names of the parameters
     * @param outcome what happened; null where somebody added the case and it was not recorded yet
     * @param varies  places in the outcome (JSON pointers) that differ from run to run and are not compared
     * @param anyOrder places whose order differs from run to run
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    @JsonPropertyOrder({"id", "routine", "on", "before", "given", "outcome", "varies", "anyOrder"})
    public record Case(String id, String routine, JsonNode on, List<Step> before, ObjectNode given, JsonNode outcome,
            List<String> varies, List<String> anyOrder) {

        /** To be recorded. */
        public static Case fresh(String routine, JsonNode on, List<Step> before, ObjectNode given) {
            return new Case("", routine, on == null || on.isNull() ? null : on, before, given, null, List.of(), List.of());
        }

        /** The same with another id. */
        public Case named(String other) {
            return new Case(other, routine, on, before, given, outcome, varies, anyOrder);
        }

        /** Steps before the last call; none where there are none. */
        public List<Step> steps() {
            return before == null ? List.of() : before;
        }

        /** The type of what is called. */
        public String owner() {
            return Symbol.of(routine).type();
        }

        /** The name of what is called; "new" for a construction. */
        public String member() {
            return Symbol.of(routine).member();
        }

        /** How much there is to read in its inputs; the smallest differing case is shown first. */
        public int size() {
            return (on == null ? 0 : on.toString().length()) + steps().stream().mapToInt(Step::size).sum()
                    + (given == null ? 0 : given.toString().length());
        }
    }

    /**
     * A step on the way to the last call.
     *
     * @param call  name of the routine; null where something is made
     * @param of    name of what it is called on; null for the receiver, or for the type where there is none
     * @param make  one more object, by its parts; null where something is called
     * @param given arguments by the names of the parameters
     */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    @JsonPropertyOrder({"call", "of", "make", "given"})
    public record Step(String call, String of, JsonNode make, ObjectNode given) {

        public static Step call(String name, ObjectNode given) {
            return new Step(name, null, null, given);
        }

        private int size() {
            return 40 + (make == null ? 0 : make.toString().length()) + (given == null ? 0 : given.toString().length());
        }
    }
}
