package driftwood.smell.detect.nothing;

import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Guard;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detail.Reaction;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.detect.nothing.NothingSighting.Kind;
import driftwood.smell.see.Calls;
import driftwood.source.Language;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * null-check: a routine or field of the project that stands for "nothing" by null, and callers that guard it, skipping
 * or defaulting. One finding a source: a routine with one guarding caller or more, a field guarded in three places or
 * more. Not: guards that all throw; lazy initialisation; nothing in, nothing out; the end of an iteration; links of a
 * data structure to its own kind; contracts of foreign types. (Catalogue, null-check; "introduce null object".)
 */
public final class NullCheck implements Detector {
    private static final Smell SMELL = new Smell("null-check", "nc", "Null checks",
            "A routine or field stands for \"nothing\" by null, and its callers guard against it one by one. Each guard "
                    + "repeats the same decision, and the caller that forgets it fails at run time.",
            "Argument checks that throw; lazy initialisation; a null that every caller treats as an error; loops that "
                    + "end on null; guards on values from outside the project.",
            """
            Pilot pilot = roster.pilotFor(vessel);
            if (pilot != null) {
                pilot.board(vessel);
            }
            """);

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(NothingWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        List<Seen<NothingSighting>> sighted = sightings.of(NothingWalk.SEER);
        List<Seen<NothingSighting>> own = sighted.stream().filter(seen -> !seen.test()).toList();
        Sources sources = Sources.of(program, own);
        Set<String> walked = new HashSet<>();
        own.stream().map(Seen::sighting).filter(each -> each.kind() == Kind.WALKS).forEach(each ->
                sources.sourceOf(each.trail(), each.within()).ifPresent(source -> walked.add(source.symbol())));
        Map<String, List<Guard>> guards = new LinkedHashMap<>();
        Set<String> spelledOut = new HashSet<>();
        for (Seen<NothingSighting> seen : own) {
            NothingSighting guard = seen.sighting();
            if (!guard.isGuard() || !guard.trail().isCall()) {
                continue;
            }
            sources.sourceOf(guard.trail(), guard.within()).ifPresent(source -> {
                if (!source.routines().contains(guard.routine())) {
                    spelledOut.addAll(guard.brief() ? Set.of() : Set.of(source.symbol()));
                    guards.computeIfAbsent(source.symbol(), key -> new ArrayList<>()).add(new Guard(new Place(seen.file(),
                            guard.line(), guard.endLine(), guard.routine(), guard.note()), guard.reaction()));
                }
            });
        }
        List<Finding> findings = new ArrayList<>();
        Map<String, Map<String, List<CallFact>>> used = new HashMap<>();
        guards.forEach((symbol, places) -> {
            boolean matters = places.size() > 1 || spelledOut.contains(symbol);
            if (matters && !walked.contains(symbol) && places.stream().anyMatch(each -> each.reaction() != Reaction.THROWS)) {
                List<CallFact> calls = used.computeIfAbsent(Symbol.of(symbol).member(), name -> used(name, program, sources)).getOrDefault(symbol, List.of());
                findings.add(ofRoutine(sources.get(symbol), places, careless(calls, program, places), program));
            }
        });
        findings.addAll(new NullFields(program, own).findings(SMELL));
        return findings;
    }

    /** Calls of a name whose result is used at once, by the source that they mean: sources of one name share the search. */
    private static Map<String, List<CallFact>> used(String name, Program program, Sources sources) {
        Map<String, List<CallFact>> used = new HashMap<>();
        for (CallFact call : program.callsOnResultOf(name)) {
            Trail asked = call.trail().owner().unheld();
            if (asked.isCall() && asked.lastName().equals(name)) {
                sources.sourceOf(asked, call.within()).ifPresent(found -> used.computeIfAbsent(found.symbol(), key -> new ArrayList<>()).add(call));
            }
        }
        return used;
    }

    /** Those of the calls that use a result at once which stand in routines that do not guard it. */
    private static List<Place> careless(List<CallFact> used, Program program, List<Guard> guards) {
        Set<String> guarding = new HashSet<>();
        guards.forEach(each -> guarding.add(each.place().symbol()));
        List<Place> careless = new ArrayList<>();
        Set<String> told = new HashSet<>();
        for (CallFact call : used) {
            Optional<TypeOutline> around = guarding.contains(call.routine()) ? Optional.empty() : program.type(call.within());
            boolean test = around.map(type -> program.fileOf(type).test()).orElse(true);
            if (!test && told.add(call.routine() + call.line())) {
                careless.add(new Place(around.get().file(), call.line(), call.line(), call.routine(),
                        "uses the result unchecked: " + call.trail().lastName() + "()"));
            }
        }
        return careless;
    }

    /** Where so many more callers do not check than do, what is given is nothing in some override or case that they never meet. */
    private static final int SELDOM = 4;

    /** What goes through a series step by step. */
    private static final Pattern SERIES = Pattern.compile("(get_?)?(next|Next|poll)([A-Z_]\\w*)?");

    private static Finding ofRoutine(Sources.Source source, List<Guard> guards, List<Place> careless, Program program) {
        RoutineOutline routine = source.routine();
        Set<String> files = new LinkedHashSet<>(Set.of(source.file()));
        guards.forEach(each -> files.add(each.place().file()));
        boolean hardly = careless.size() > SELDOM * guards.size();
        Drag.Builder weighed = Drag.of(guards.size() + (hardly ? 0 : Math.min(guards.size(), careless.size())), files.size(), source.yields().size())
                .risk(hardly, -1.0, "most callers go without a check: it gives " + Language.nothingIn(source.file()) + " to few of them")
                .risk(!careless.isEmpty() && !hardly, 0.5, careless.size() + (careless.size() == 1
                        ? " caller does not check" : " callers do not check"))
                .risk(careless.isEmpty() && Sources.SAID.matcher(routine.name()).matches(), -1.0, "its name says that it may give "
                        + Language.nothingIn(source.file()))
                .risk(!routine.returns().isPresent(), -0.8, "what it gives is of no type that has a name")
                .risk(routine.parameters().isEmpty() && SERIES.matcher(routine.name()).matches(), -1.2, "it gives one after another, and a series ends somewhere")
                .risk(guards.size() == 1, careless.size() <= 1 ? -0.8 : -0.5, "only one place guards it");
        Missing.failing(weighed, guards);
        program.type(routine.owner()).ifPresent(owner -> Missing.of(routine, owner, program)
                .weighed(weighed, guards.size(), careless.isEmpty()));
        List<Evidence> evidence = new ArrayList<>(source.yields());
        guards.forEach(each -> evidence.add(each.place().evidence()));
        careless.forEach(place -> evidence.add(place.evidence()));
        String message = routine.name() + "() returns " + Language.nothingIn(source.file()) + " where there is nothing: "
                + guards.size() + (guards.size() == 1 ? " caller checks it" : " callers check it")
                + (careless.isEmpty() ? "" : ", " + careless.size() + (careless.size() == 1 ? " does not" : " do not"));
        Detail detail = new Detail.Nothing(source.symbol(), routine.returns().text(), source.gives(), guards,
                careless);
        Spot spot = new Spot(source.file(), routine.line(), routine.endLine(), source.symbol());
        return SMELL.finding(spot, weighed.build(), message, evidence, detail);
    }
}
