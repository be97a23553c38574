package driftwood.smell.detect.kind;

import driftwood.program.Fields;
import driftwood.program.Program;
import driftwood.program.Trail;
import driftwood.smell.Chain;
import driftwood.smell.Chain.Arm;
import driftwood.smell.Chain.ArmCall;
import driftwood.smell.Chain.Label;
import driftwood.smell.Chain.Work;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.Listing;
import driftwood.smell.RoutineFacts;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.see.chain.ChainWalk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * threshold-ladder: three or more arms (a final else counts) compare one ordered value with rising or falling limits,
 * or ask several candidates in turn whether they can take it, and at least two arms do work. Not: arms that only look
 * up; arms that test different values; clamps. (Catalogue, threshold-ladder.)
 */
public final class ThresholdLadder implements Detector {
    private static final Smell SMELL = new Smell("threshold-ladder", "tl", "Threshold ladder",
            "A ladder of limits decides who deals with a request. Limits and handlers are welded together in one "
                    + "place; another limit means another rung, and gaps and overlaps are easily missed.",
            "Ladders that only look up or assign a literal (bands, grades); arms that test different values; clamps.",
            """
            if (metres < 20)       { yard.moor(vessel); }
            else if (metres < 120) { basin.moor(vessel); }
            else                   { roads.anchor(vessel); }
            """);

    /** What takes more lines than this, on a high ladder of numbers, is work; one formula is a table written out. */
    private static final int SEVERAL = 2;
    private static final int RUNGS = 4;
    /** So many limits one way are a ladder, whatever is asked of what is left. */
    private static final int LADDER = 3;
    private static final Pattern SIGN = Pattern.compile("(<=|>=|<|>)");
    private static final Pattern RANGE = Pattern.compile("\\w\\s*(\\.\\.(?!\\.)|until)");
    private static final Pattern NUMBER = Pattern.compile("-?\\d[\\d_]*(\\.\\d+)?");
    /** How many bits a number takes decides how it is written. */
    private static final Pattern WIDTH =
            Pattern.compile("0[xX][0-9a-fA-F]+|(Byte|Short|Character|Integer)\\.M(AX|IN)_VALUE");
    /** Orders of comparison and steps of a search are no requests. */
    private static final Pattern COMPARING = Pattern.compile("(?i)compare.*|.*search.*|sort.*|.*sift.*|hashCode|equals");

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(ChainWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Chain>> sighted = sightings.judged(ChainWalk.SEER);
        List<Finding> findings = new ArrayList<>();
        for (Seen<Chain> seen : sighted) {
            Chain chain = seen.sighting();
            if (isLadder(chain, program) && program.type(chain.within()).isPresent()) {
                findings.add(finding(seen.file(), chain));
            }
        }
        return findings;
    }

    private static boolean isLadder(Chain chain, Program program) {
        List<Arm> asking = asking(chain);
        List<Arm> all = new ArrayList<>(asking);
        chain.otherwise().ifPresent(all::add);
        long exact = chain.arms().stream().filter(arm -> arm.isOn(Label.Kind.INTEGER)).count();
        boolean onlyThese = asking.size() + exact == chain.arms().size() && exact < asking.size();
        boolean high = asking.size() >= RUNGS && asking.stream().noneMatch(arm -> arm.title().contains("'"));
        long working = all.stream().filter(arm -> acts(arm, chain, program) || high && arm.work() == Work.ACTS && arm.lines() > SEVERAL && arm.armCall().filter(ArmCall::isFormula).isEmpty()).count();
        return onlyThese && ends(all) >= 2 && all.size() >= 3 && asking.size() >= 2 && working >= 2
                && !COMPARING.matcher(chain.routineName()).matches() && (isAsked(chain) || isMonotone(asking))
                && !asksOnlySign(asking) && asking.stream().noneMatch(arm -> WIDTH.matcher(arm.title()).find());
    }

    /** In how many ways the arms end; where all that work hand something on and then give an answer, they differ by whom they call. */
    private static long ends(List<Arm> arms) {
        List<String> calls = arms.stream().filter(arm -> arm.work() == Work.ACTS).map(arm -> arm.armCall().filter(each -> !each.alone())
                .map(ArmCall::calls).orElse(List.of()).toString()).toList();
        return Math.max(arms.stream().map(ThresholdLadder::end).filter(each -> !each.isEmpty()).distinct().count(),
                calls.contains(List.of().toString()) ? 0 : calls.stream().distinct().count());
    }

    private static String end(Arm arm) {
        return arm.armCall().map(each -> each.alone() ? each.text().substring(0, Math.max(0, each.text().indexOf('('))) : each.text())
                .orElse(arm.work() == Work.ACTS ? arm.does() : "");
    }

    private static List<Arm> asking(Chain chain) {
        return chain.arms().stream().filter(arm -> arm.isOn(Label.Kind.LIMIT) || arm.isOn(Label.Kind.ASKED)).toList();
    }

    private static boolean isAsked(Chain chain) {
        return chain.arms().stream().anyMatch(arm -> arm.isOn(Label.Kind.ASKED))
                && chain.arms().stream().map(Arm::title).distinct().count() == chain.arms().size();
    }

    /** Work hands the request to somebody in the project. */
    private static boolean acts(Arm arm, Chain chain, Program program) {
        return arm.work() == Work.ACTS && arm.armCall().filter(armCall -> Stream.concat(Stream.of(armCall.call()), armCall.calls().stream().filter(each -> each.arguments() > 0))
                .anyMatch(call -> program.routinesAt(call, chain.within()).stream().anyMatch(each -> !each.isFormula() || !each.owner().equals(chain.within())))
                || isHandedOn(armCall.call(), chain, program)).isPresent();
    }

    /**
     * Where types are not declared: something of the object's own is called with the request, and is no collection; a
     * function within the routine takes it anywhere.
     */
    private static boolean isHandedOn(Trail call, Chain chain, Program program) {
        if (call.start() == Trail.Start.HELD) {
            return call.arguments() > 0;
        }
        boolean own = call.isCall() && call.start() == Trail.Start.THIS && call.steps().size() == 2
                && call.arguments() > 0 && !call.isCollecting()
                && program.type(chain.within()).filter(type -> program.fileOf(type).language().isDuckTyped()).isPresent();
        boolean foreign = program.fieldAt(call.owner(), chain.within()).flatMap(Fields.Found::field)
                .filter(field -> field.type().isPresent()).isPresent();
        return own && !foreign || !program.answering(call, chain.within()).isEmpty();
    }

    /** All signs the same way, and where the limits are numbers, rising or falling with them; ranges count too. */
    private static boolean isMonotone(List<Arm> asking) {
        String way = "";
        Optional<Double> before = Optional.empty();
        int direction = 0;
        int rungs = 0;
        for (Arm arm : asking) {
            String text = arm.title();
            if (text.contains("&&") || RANGE.matcher(text).find()) {
                continue;
            }
            Matcher sign = SIGN.matcher(text);
            if (!sign.find()) {
                return false;
            }
            String side = sign.group(1).substring(0, 1);
            if (!way.isEmpty() && !side.equals(way)) {
                return rungs >= LADDER;
            }
            rungs++;
            way = side;
            Optional<Double> limit = number(text.substring(sign.end()).strip());
            if (limit.isPresent() && before.isPresent()) {
                int now = Double.compare(limit.get(), before.get());
                if (now == 0 || direction != 0 && now != direction) {
                    return false;
                }
                direction = now;
            }
            before = limit;
        }
        return true;
    }

    /** Less than, more than and equal to nothing: a sign is not a ladder. */
    private static boolean asksOnlySign(List<Arm> asking) {
        return asking.stream().allMatch(arm -> arm.title().matches(".*[<>]=?\\s*0"));
    }

    private static Optional<Double> number(String text) {
        return NUMBER.matcher(text).matches() ? Optional.of(Double.valueOf(text.replace("_", ""))) : Optional.empty();
    }

    private static Finding finding(String file, Chain chain) {
        List<Evidence> evidence = new ArrayList<>();
        for (Arm arm : chain.arms()) {
            evidence.add(new Evidence(file, arm.line(), arm.endLine(), arm.title() + ": " + TypeSwitch.does(arm)));
        }
        chain.otherwise().ifPresentOrElse(rest -> evidence.add(new Evidence(file, rest.line(), rest.endLine(),
                        "past the last: " + TypeSwitch.does(rest))),
                () -> evidence.add(new Evidence(file, chain.endLine(), chain.endLine(), "past the last: nothing happens")));
        boolean asked = isAsked(chain);
        int rungs = chain.arms().size() + (chain.otherwise().isPresent() ? 1 : 0);
        Drag drag = Drag.of(1, 1, rungs)
                .risk(chain.otherwise().isEmpty(), 0.5, "past the last limit nothing happens, and nobody hears of it")
                .build();
        List<String> limits = chain.arms().stream().map(Arm::title).toList();
        Gathered detail = new RoutineFacts.Limits(chain, chain.arms().stream().map(TypeSwitch::does).toList());
        return SMELL.finding(new Spot(file, chain.line(), chain.endLine(), chain.routine()), drag,
                asked ? "asks " + Listing.count(limits.size(), "candidate") + " in turn: " + Listing.of(limits)
                        : "a ladder of " + Listing.count(rungs, "rung") + " on " + chain.subject().text() + ": "
                        + Listing.of(limits), evidence, detail);
    }
}
