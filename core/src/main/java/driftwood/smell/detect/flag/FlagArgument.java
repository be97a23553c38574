package driftwood.smell.detect.flag;

import driftwood.program.Argument;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
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
import driftwood.source.Language;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * flag-argument: a boolean parameter that splits the routine's whole body (shared declarations and a shared final
 * return aside) in two behaviours, with at least one literal true or false at a call. Not: setters of a boolean;
 * overriding routines; branches of a few lines in a longer body. (Catalogue, flag-argument; Fowler, Refactoring.)
 */
public final class FlagArgument implements Detector {
    private static final Smell SMELL = new Smell("flag-argument", "fa", "Flag argument",
            "A boolean parameter makes one routine out of two. At the call a bare true or false says nothing, and each "
                    + "of the two behaviours must be read around the other.",
            "A flag that is only stored or handed on; a branch inside a longer body; flags that no caller writes as a "
                    + "literal; setters; overriding routines.",
            """
            int fee(Vessel vessel, boolean night) {
                if (night) {
                    return vessel.length() * 9 + watch();
                } else {
                    return vessel.length() * 4;
                }
            }
            """);

    /**
     * A routine that a flag splits.
     *
     * @param routine symbol
     * @param flag    name of the parameter
     * @param at      its position, from 0
     * @param whenOn  the first thing it does for true
     * @param whenOff the first thing it does for false
     * @param alike   whether it does the same for both, but for literals
     */
    public record Split(String routine, String flag, int at, String whenOn, String whenOff, boolean alike) {
    }

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(FlagWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Split>> sighted = sightings.judged(FlagWalk.SEER);
        Map<String, List<Flagged>> byContract = new LinkedHashMap<>();
        for (Seen<Split> seen : sighted) {
            Split split = seen.sighting();
            String owner = Symbol.of(split.routine()).type();
            Optional<TypeOutline> type = program.type(owner);
            Optional<RoutineOutline> routine = type.flatMap(found -> found.routine(split.routine()));
            if (routine.isEmpty() || isValue(routine.get(), split.at(), type.get())
                    || routine.get().traits().overrides() && program.rootOf(routine.get()).equals(routine.get())) {
                continue;
            }
            List<Place> literals = new ArrayList<>();
            int others = literals(type.get(), routine.get(), split.at(), program, literals);
            if (!literals.isEmpty()) {
                String contract = program.rootOf(routine.get()).symbol() + " " + split.at();
                byContract.computeIfAbsent(contract, key -> new ArrayList<>()).add(new Flagged(split, routine.get(), literals, others > literals.size()));
            }
        }
        Map<String, List<Flagged>> byCalls = new LinkedHashMap<>();
        byContract.values().forEach(same -> byCalls.computeIfAbsent(calls(same), key -> new ArrayList<>()).addAll(same));
        return byCalls.values().stream().map(FlagArgument::finding).toList();
    }

    /** The same calls of the same name: one contract, also where nothing declares it. */
    private static String calls(List<Flagged> same) {
        return same.get(0).routine().name() + " " + same.get(0).split().at() + " " + same.get(0).literals();
    }

    /** A routine that a flag splits, with the calls that pass a literal. @param seldom most callers hand on what they were told */
    private record Flagged(Split split, RoutineOutline routine, List<Place> literals, boolean seldom) {
    }

    /** One of several overloads that take another type at the same place: the boolean is a value like the others. */
    private static boolean isValue(RoutineOutline routine, int at, TypeOutline type) {
        return type.routines().stream().anyMatch(other -> !other.equals(routine) && other.name().equals(routine.name())
                && other.parameters().size() == routine.parameters().size()
                && !other.parameters().get(at).type().equals(routine.parameters().get(at).type()));
    }

    /**
     * Calls outside tests that pass a bare true or false; none of a contract that only hands on what it is given.
     *
     * @param places filled with them
     * @return how many callers pass something else
     */
    private static int literals(TypeOutline type, RoutineOutline routine, int at, Program program, List<Place> places) {
        int others = 0;
        if (routine.isConstructor()) {
            for (CreationFact creation : program.creations(type)) {
                others += add(creation.arguments(), at, routine, creation.within(), creation.routine(), creation.line(), program, places);
            }
            return others;
        }
        RoutineOutline root = program.rootOf(routine);
        List<CallFact> calls = program.callsOf(routine.name());
        if (!root.equals(routine) && calls.stream().anyMatch(call -> call.routine().equals(root.symbol()))) {
            return 0;
        }
        for (CallFact call : calls) {
            List<RoutineOutline> meant = program.routinesAt(call.trail(), call.within());
            if (meant.contains(routine) || meant.contains(root) || meant.isEmpty() && mayMean(routine, at, call, program)) {
                others += add(call.arguments(), at, routine, call.within(), call.routine(), call.line(), program, places);
            }
        }
        return others;
    }

    /** Where types are not declared: all that can answer have that flag there. */
    private static boolean mayMean(RoutineOutline routine, int at, CallFact call, Program program) {
        List<RoutineOutline> answering = program.answering(call.trail(), call.within()).stream()
                .filter(each -> program.type(each.owner()).filter(owner -> !owner.isModule()).isPresent()).toList();
        return answering.contains(routine) && answering.stream().allMatch(each -> each.parameters().size() > at
                && each.parameters().get(at).name().equals(routine.parameters().get(at).name()));
    }

    // driftwood: leave long-parameter-list because calls and creations have these parts in common and no type for them
    private static int add(List<Argument> arguments, int at, RoutineOutline routine, String within, String caller,
            int line, Program program, List<Place> places) {
        String name = routine.parameters().get(at).name();
        Optional<Argument> passed = arguments.stream().filter(each -> each.keyword().equals(name)).findFirst()
                .or(() -> at < arguments.size() && arguments.get(at).keyword().isEmpty()
                        ? Optional.of(arguments.get(at)) : Optional.empty());
        boolean test = program.type(within).map(type -> program.fileOf(type).test()).orElse(true);
        if (!test && routine.takes(arguments.size()) && passed.filter(Argument::isBooleanLiteral).isPresent()) {
            String file = program.fileAt(within, caller).orElse("");
            places.add(new Place(file, line, line, caller, "passes "
                    + Language.spelledIn(file, passed.get().name())));
            return 0;
        }
        return !test && routine.takes(arguments.size()) && passed.isPresent() ? 1 : 0;
    }

    /** One contract has one flag, however many routines carry it out. */
    private static Finding finding(List<Flagged> same) {
        Split split = same.get(0).split();
        RoutineOutline routine = same.get(0).routine();
        List<Place> literals = same.get(0).literals();
        Set<String> files = new HashSet<>();
        same.forEach(each -> files.add(each.routine().file()));
        literals.forEach(each -> files.add(each.file()));
        int reach = 1 + Math.min(5, literals.size());
        Drag drag = Drag.of(reach, Math.min(reach, files.size()), 2)
                .risk(split.alike(), -2.5, "both ways do the same, but for literals")
                .risk(same.stream().allMatch(Flagged::seldom), -0.6, "most callers hand on what they were told")
                .risk(routine.traits().isPrivate() && !split.alike(), -0.6, "only its own type calls it").build();
        List<Evidence> evidence = new ArrayList<>(List.of(
                new Evidence(routine.file(), routine.line(), routine.endLine(), "for true: " + split.whenOn()),
                new Evidence(routine.file(), routine.line(), routine.endLine(), "for false: " + split.whenOff())));
        same.stream().skip(1).map(Flagged::routine).forEach(each -> evidence.add(new Evidence(each.file(), each.line(), each.endLine(),
                "split by the same flag: " + each.symbol())));
        literals.forEach(each -> evidence.add(each.evidence()));
        Gathered detail = new RoutineFacts.Flag(routine.symbol(), split.flag(), split.at(), literals);
        return SMELL.finding(Spot.of(routine), drag, "the " + (split.flag().isEmpty() ? "flag" : "boolean " + split.flag()) + " splits "
                + routine.name() + "() in two; " + Listing.count(literals.size(), "call") + " with a bare true or false",
                evidence, detail);
    }
}
