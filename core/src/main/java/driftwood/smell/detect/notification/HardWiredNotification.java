package driftwood.smell.detect.notification;

import driftwood.pack.Line;
import driftwood.program.Fields;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
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
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * hard-wired-notification: a routine that, having done its own work, tells two or more different collaborators of the
 * same event: one call each, at least one argument shared, results unused. Not: one collaborator, logging alone, calls
 * whose results are used, orchestration where data flows from call to call. (Catalogue, hard-wired-notification.)
 */
public final class HardWiredNotification implements Detector {
    private static final Smell SMELL = new Smell("hard-wired-notification", "hn", "Hard-wired notification",
            "Its own work done, a routine tells several collaborators of it, one by one. Everyone who wants to know "
                    + "must be written in here, and each of them can spoil the work of the rest.",
            "Calls on one collaborator; logging alone; calls whose results are used; steps in which a later call needs "
                    + "what an earlier one did.",
            """
            void arrive(Vessel vessel) {
                moored.add(vessel);
                ledger.book(vessel);
                signalTower.announce(vessel);
                pilots.release(vessel);
            }
            """);

    /**
     * A run of calls at the end of a routine.
     *
     * @param type    around
     * @param routine symbol
     * @param worked  whether the routine did something of its own before
     * @param calls   in order
     */
    public record Telling(String type, String routine, boolean worked, List<Told> calls) {
    }

    /**
     * One call of the run.
     *
     * @param receiver  as written
     * @param call      the way to it
     * @param text      the call as written, shortened
     * @param arguments names passed; "this" for the object itself
     * @param line      of the call
     */
    public record Told(String receiver, Trail call, String text, List<String> arguments, @Line int line) {
    }

    /** So many values tell somebody what to do. */
    private static final int INSTRUCTION = 3;

    /** A walk through something calls it for each part. */
    private static final Pattern VISIT = Pattern.compile("#visit([A-Z_]\\w*)?\\(");

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(TellingWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<Telling>> sighted = sightings.judged(TellingWalk.SEER);
        List<Finding> findings = new ArrayList<>();
        for (Seen<Telling> seen : sighted) {
            finding(seen.file(), seen.sighting(), program).ifPresent(findings::add);
        }
        return findings;
    }

    private static Optional<Finding> finding(String file, Telling telling, Program program) {
        Map<String, Told> byReceiver = new LinkedHashMap<>();
        Set<String> types = new LinkedHashSet<>();
        Set<String> repeated = new HashSet<>();
        boolean worked = telling.worked();
        for (Told told : telling.calls()) {
            Optional<String> kind = kind(told, telling, program);
            if (kind.isPresent() && isCommand(told, telling, program) && !kind.get().equals(telling.type())) {
                if (byReceiver.put(told.receiver(), told) != null) {
                    repeated.add(told.receiver());
                }
                types.add(kind.get());
            } else if (byReceiver.isEmpty()) {
                worked = true;
            }
        }
        byReceiver.keySet().removeAll(repeated);
        List<Told> calls = List.copyOf(byReceiver.values());
        Optional<String> shared = shared(calls);
        if (!worked || isHandedDown(calls, telling) || isInstructing(calls) || calls.size() < 2 || types.size() < 2 || shared.isEmpty()) {
            return Optional.empty();
        }
        List<Evidence> evidence = new ArrayList<>();
        calls.forEach(each -> evidence.add(new Evidence(file, each.line(), each.line(), "tells " + each.receiver() + ": "
                + each.text())));
        List<String> names = calls.stream().map(Told::receiver).toList();
        Drag drag = Drag.of(calls.size(), 1, calls.size())
                .risk(true, 0.2, "an error in one keeps the rest from hearing of it")
                .risk(VISIT.matcher(telling.routine()).find(), -0.4, "it builds what it is led through").build();
        Gathered detail = new RoutineFacts.Telling(telling.routine(), names, shared.get());
        int first = calls.get(0).line();
        int last = calls.get(calls.size() - 1).line();
        return Optional.of(SMELL.finding(new Spot(file, first, last, telling.routine()), drag, "tells "
                + Listing.count(calls.size(), "collaborator") + " of the same " + shared.get() + ", one by one: "
                + Listing.of(names), evidence, detail));
    }

    /** A whole that does something by having each of its parts do the same tells nobody of anything. */
    private static boolean isHandedDown(List<Told> calls, Telling telling) {
        String own = Symbol.of(telling.routine()).member();
        return calls.stream().allMatch(each -> each.call().lastName().equals(own));
    }

    /** Where each is asked for the same, with several values of its own, it is told what to do and not what happened. */
    private static boolean isInstructing(List<Told> calls) {
        return calls.stream().map(each -> each.call().lastName()).distinct().count() == 1 && calls.stream().allMatch(each -> each.call().arguments() >= INSTRUCTION)
                && calls.stream().map(each -> each.text().substring(each.text().indexOf('(') + 1)).distinct().count() > 1;
    }

    /** The collaborator's type; where types are not declared, the field it was given to, if the project answers the call. */
    private static Optional<String> kind(Told told, Telling telling, Program program) {
        Trail owner = told.call().owner();
        Optional<String> type = program.projectType(owner, telling.type()).map(TypeOutline::name);
        boolean given = type.isEmpty() && program.fieldAt(owner, telling.type()).flatMap(Fields.Found::field)
                .filter(field -> !field.type().isPresent()).isPresent();
        return given && !answering(told, telling, program).isEmpty() ? Optional.of(told.receiver()) : type;
    }

    /** Where types are not declared: the routines of the project that may answer, those named like a collection's aside. */
    private static List<RoutineOutline> answering(Told told, Telling telling, Program program) {
        return told.call().isCollecting() ? List.of()
                : program.answering(told.call(), telling.type());
    }

    private static final Pattern COLLECTION =
            Pattern.compile(".*(Map|Set|List|Collection|Queue|Deque|Vector|Cache|Table|Stack|Buffer)");

    /** No event: a property handed down, what is kept in a collection, a step that hands back the one that took it. */
    private static boolean isCommand(Told told, Telling telling, Program program) {
        List<RoutineOutline> meant = program.routinesAt(told.call(), telling.type());
        List<RoutineOutline> all = meant.isEmpty() ? answering(told, telling, program) : meant;
        boolean kept = told.call().isCollecting() && program.typeOf(told.call().owner(), telling.type())
                .filter(value -> COLLECTION.matcher(value.ref().simpleName()).matches()).isPresent();
        return !kept && !told.call().lastName().matches("[sS]et[A-Z_].*") && !all.isEmpty()
                && all.stream().noneMatch(each -> each.returns().isPresent()
                && each.owner().endsWith(each.returns().simpleName()));
    }

    /** What is told already, or read from it. */
    private static boolean isOf(Set<String> known, String name) {
        return known.contains(name) || known.stream().anyMatch(each -> name.startsWith(each + "."));
    }

    /** What most of them are told; each is told something that another one is told, or what is read from it, and all hang together by it. */
    private static Optional<String> shared(List<Told> calls) {
        if (calls.isEmpty()) {
            return Optional.empty();
        }
        Set<String> known = new HashSet<>(calls.get(0).arguments());
        List<Told> apart = new ArrayList<>(calls.subList(1, calls.size()));
        for (int round = 0; round < calls.size(); round++) {
            List<Told> near = apart.stream().filter(each -> each.arguments().stream().anyMatch(name -> isOf(known, name))).toList();
            near.forEach(each -> known.addAll(each.arguments()));
            apart.removeAll(near);
        }
        Comparator<String> byTold = Comparator.comparingLong(name -> calls.stream().filter(each -> each.arguments().contains(name)).count());
        return apart.isEmpty() ? calls.stream().flatMap(each -> each.arguments().stream()).distinct().sorted(byTold.reversed()).findFirst() : Optional.empty();
    }
}
