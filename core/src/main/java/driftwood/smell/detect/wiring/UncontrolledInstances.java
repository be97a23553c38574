package driftwood.smell.detect.wiring;

import driftwood.program.Argument;
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
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.TypeFacts;
import driftwood.source.Language.Habit;
import driftwood.smell.see.creation.CreationWalk;
import driftwood.smell.see.reach.Reach;
import driftwood.smell.see.reach.ReachWalk;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * uncontrolled-instances: a class that takes hold of one shared outside resource when created (fixed inside it, or the
 * same one passed by its creation sites) and is created at two or more sites. Not: temporary and in-memory resources;
 * a class that opens the resource anew in each call; tests. (Catalogue, uncontrolled-instances.)
 */
public final class UncontrolledInstances implements Detector {
    private static final Smell SMELL = new Smell("uncontrolled-instances", "ui", "Uncontrolled instances",
            "Every instance takes hold of the same file, port or connection, and nothing limits how many there are. Two "
                    + "of them overwrite, lock out or contradict each other.",
            "Temporary and in-memory resources; classes that open the resource anew in each call; tests.",
            """
            final class HarbourLog {
                private final FileWriter out = new FileWriter("harbour.log");
            }
            """);

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(CreationWalk.SEER, ReachWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        Map<String, Reach> holders = new LinkedHashMap<>();
        for (Seen<Reach> seen : sightings.of(ReachWalk.SEER)) {
            Reach reach = seen.sighting();
            boolean taken = reach.whileCreating() && reach.stored() || reach.given() && !reach.parameter() && isCalledWhileCreating(reach, program);
            if (!seen.test() && taken && reach.resource().held() && !reach.source().isEmpty()) {
                holders.putIfAbsent(reach.type(), reach);
            }
        }
        Map<String, Integer> made = new HashMap<>();
        sightings.of(CreationWalk.SEER).forEach(each ->
                made.merge(new TypeRef(each.sighting().created()).simpleName(), 1, Integer::sum));
        holders.keySet().removeIf(name -> program.type(name).filter(type -> !program.fileOf(type).language().has(Habit.ALIASES)
                && made.getOrDefault(type.simpleName(), 0) < 2).isPresent());
        List<Finding> findings = new ArrayList<>();
        holders.forEach((name, reach) -> program.type(name).filter(type -> !type.anonymous()).ifPresent(type -> {
            List<CreationFact> sites = sites(type, reach, program);
            if (sites.size() >= 2) {
                findings.add(finding(type, reach, sites, program));
            }
        }));
        return findings;
    }

    /** Whether a field's initial value, or a constructor, is what an own routine takes hold of and gives back. */
    private static boolean isCalledWhileCreating(Reach reach, Program program) {
        String name = Symbol.of(reach.routine()).member();
        return program.type(reach.type()).map(type -> program.callsAround(type).stream().anyMatch(call ->
                call.within().equals(reach.type()) && call.trail().lastName().equals(name)
                        && (!Symbol.of(call.routine()).isRoutine() || type.routine(call.routine()).filter(RoutineOutline::isConstructor).isPresent())))
                .orElse(false);
    }

    /** Creation sites outside tests that end up with the same resource. */
    private static List<CreationFact> sites(TypeOutline type, Reach reach, Program program) {
        List<CreationFact> all = program.creations(type).stream().filter(each -> program.type(each.within())
                .map(within -> !program.fileOf(within).test()).orElse(false)).toList();
        if (!reach.parameter()) {
            return all;
        }
        Optional<RoutineOutline> constructor = type.routine(reach.routine());
        int at = constructor.map(each -> each.parameters().stream().map(one -> one.name()).toList()
                .indexOf(reach.source())).orElse(-1);
        Map<String, List<CreationFact>> bySource = new HashMap<>();
        for (CreationFact each : all) {
            if (at >= 0 && at < each.arguments().size() && each.arguments().size() == constructor.get().parameters().size()) {
                Argument passed = each.arguments().get(at);
                boolean fixed = passed.kind() == Argument.Kind.LITERAL && !passed.name().equals("...")
                        || passed.kind() == Argument.Kind.NAME && passed.name().equals(passed.name()
                        .toUpperCase(java.util.Locale.ROOT));
                if (fixed) {
                    bySource.computeIfAbsent(passed.name(), key -> new ArrayList<>()).add(each);
                }
            }
        }
        return bySource.values().stream().max((a, b) -> a.size() - b.size()).orElse(List.of());
    }

    private static Finding finding(TypeOutline type, Reach reach, List<CreationFact> sites, Program program) {
        List<Evidence> evidence = new ArrayList<>(List.of(new Evidence(program.fileAt(type.name(), reach.routine()).orElse(type.file()), reach.line(), reach.line(),
                "takes hold of " + reach.resource().title() + ": " + reach.source())));
        List<Place> places = new ArrayList<>();
        Set<String> files = new HashSet<>();
        for (CreationFact site : sites) {
            String file = program.fileAt(site.within(), site.routine()).orElse(type.file());
            files.add(file);
            places.add(new Place(file, site.line(), site.line(), site.routine(), "creates one"));
        }
        places.forEach(each -> evidence.add(each.evidence()));
        Drag drag = Drag.of(sites.size(), files.size(), 1)
                .risk(true, 0.5, "two instances get in each other's way at run time, not before").build();
        Gathered detail = new TypeFacts.Holding(type.name(), reach.source(), places);
        return SMELL.finding(Spot.of(type), drag, "every " + type.simpleName() + " opens " + reach.resource().kind().title()
                + " for itself, always the same (" + reach.source() + "); created in " + Listing.count(sites.size(), "place"),
                evidence, detail);
    }
}
