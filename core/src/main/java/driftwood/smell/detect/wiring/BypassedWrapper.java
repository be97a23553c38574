package driftwood.smell.detect.wiring;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
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
import driftwood.smell.see.creation.CreationWalk;
import driftwood.smell.see.creation.Instantiation;
import driftwood.smell.see.creation.Instantiation.How;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * bypassed-wrapper: instances of a type are handed to the same wrapper (same interface or parent, one argument) right
 * after creation at two or more sites, and at one or more other sites, tests aside, they are not. (Catalogue,
 * bypassed-wrapper; Gamma et al., Decorator.)
 */
public final class BypassedWrapper implements Detector {
    private static final Smell SMELL = new Smell("bypassed-wrapper", "bw", "Bypassed wrapper",
            "A type is always meant to be wrapped, and nearly always is. Where somebody forgot, the check, the lock or "
                    + "the log that the wrapper adds is silently missing.",
            "Types that are wrapped only once; wrappers of another interface; tests.",
            """
            Gauge outer = new CheckedGauge(new TideGauge(4));
            Gauge inner = new CheckedGauge(new TideGauge(7));
            Gauge spare = new TideGauge(9);
            """);

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(CreationWalk.SEER);
    }

    /** A creation site. */
    private record Site(String file, Instantiation instantiation, Optional<TypeOutline> wrapper) {
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        Map<String, List<Site>> byType = new LinkedHashMap<>();
        for (Seen<Instantiation> seen : sightings.of(CreationWalk.SEER)) {
            Instantiation instantiation = seen.sighting();
            Optional<TypeOutline> scope = program.type(instantiation.within());
            if (!seen.test() && scope.isPresent()) {
                program.resolve(new TypeRef(instantiation.created()), scope.get()).ifPresent(type -> {
                    Optional<TypeOutline> wrapper = instantiation.wrapper().isEmpty() ? Optional.empty()
                            : program.resolve(new TypeRef(instantiation.wrapper()), scope.get())
                                    .filter(each -> isWrapper(each, type, program));
                    byType.computeIfAbsent(type.name(), key -> new ArrayList<>())
                            .add(new Site(seen.file(), instantiation, wrapper));
                });
            }
        }
        List<Finding> findings = new ArrayList<>();
        Map<TypeOutline, Integer> wraps = new LinkedHashMap<>();
        byType.values().forEach(sites -> sites.forEach(site -> site.wrapper().ifPresent(each ->
                wraps.merge(each, 1, Integer::sum))));
        byType.forEach((name, sites) -> finding(program.type(name).orElseThrow(), sites, program, wraps)
                .ifPresent(findings::add));
        return findings;
    }

    /** Takes what it is itself: the parent that it shares with what it wraps. */
    private static boolean isWrapper(TypeOutline wrapper, TypeOutline wrapped, Program program) {
        Set<TypeOutline> shared = new LinkedHashSet<>(program.ancestors(wrapper));
        Set<TypeOutline> kinds = new LinkedHashSet<>(program.ancestors(wrapped));
        kinds.add(wrapped);
        shared.retainAll(kinds);
        boolean open = program.fileOf(wrapper).language().isDuckTyped();
        boolean holds = wrapper.fields().stream().anyMatch(each -> program.resolve(each.type(), wrapper)
                .map(shared::contains).orElse(open && !each.type().isPresent()));
        boolean takes = wrapper.constructors().stream().anyMatch(each -> each.parameters().size() == 1
                && program.resolve(each.parameters().get(0).type(), wrapper).map(shared::contains)
                        .orElse(open && !each.parameters().get(0).type().isPresent()));
        return holds && takes && !wrapper.equals(wrapped)
                && (!shared.isEmpty() || open && answersAll(wrapper, wrapped));
    }

    /** Where types are not declared, what answers the same calls is of the same interface. */
    private static boolean answersAll(TypeOutline wrapper, TypeOutline wrapped) {
        List<String> answered = wrapper.routines().stream().map(RoutineOutline::name).toList();
        List<String> asked = wrapped.routines().stream().filter(each -> !each.isConstructor())
                .map(RoutineOutline::name).filter(each -> !each.startsWith("_")).toList();
        return !asked.isEmpty() && answered.containsAll(asked);
    }

    private static Optional<Finding> finding(TypeOutline type, List<Site> sites, Program program,
            Map<TypeOutline, Integer> wraps) {
        Map<TypeOutline, Integer> counts = new LinkedHashMap<>();
        sites.forEach(each -> each.wrapper().ifPresent(wrapper -> counts.merge(wrapper, 1, Integer::sum)));
        Optional<TypeOutline> usual = counts.entrySet().stream().filter(each -> each.getValue() >= 2
                        && 2 * each.getValue() > wraps.get(each.getKey()))
                .max(Map.Entry.comparingByValue()).map(Map.Entry::getKey);
        if (usual.isEmpty()) {
            return Optional.empty();
        }
        List<Site> bare = sites.stream().filter(each -> each.wrapper().isEmpty()
                && each.instantiation().how() != How.ARGUMENT && !isInside(each, type, usual.get())).toList();
        List<Site> wrapped = sites.stream().filter(each -> each.wrapper().equals(usual)).toList();
        if (bare.isEmpty() || bare.size() >= wrapped.size()) {
            return Optional.empty();
        }
        List<Evidence> evidence = new ArrayList<>();
        List<Place> places = new ArrayList<>();
        for (Site each : bare) {
            evidence.add(new Evidence(each.file(), each.instantiation().line(), each.instantiation().line(), "bare, without "
                    + usual.get().simpleName()));
        }
        for (Site each : wrapped) {
            evidence.add(new Evidence(each.file(), each.instantiation().line(), each.instantiation().line(), "wrapped in "
                    + usual.get().simpleName()));
            places.add(new Place(each.file(), each.instantiation().line(), each.instantiation().line(), each.instantiation().routine(),
                    "wraps it by hand"));
        }
        Set<String> files = new LinkedHashSet<>();
        sites.forEach(each -> files.add(each.file()));
        Drag drag = Drag.of(sites.size(), files.size(), 1)
                .risk(true, 0.8, Listing.count(bare.size(), "place") + " silently without " + usual.get().simpleName())
                .build();
        Site first = bare.get(0);
        Gathered detail = new TypeFacts.Wrapping(type.name(), usual.get().name(), places);
        return Optional.of(SMELL.finding(new Spot(first.file(), first.instantiation().line(), first.instantiation().line(),
                first.instantiation().routine()), drag, type.simpleName() + " is wrapped in " + usual.get().simpleName() + " at "
                + Listing.count(wrapped.size(), "place") + ", but not here"
                + (bare.size() > 1 ? " and at " + Listing.count(bare.size() - 1, "other place") : ""), evidence, detail));
    }

    private static boolean isInside(Site site, TypeOutline type, TypeOutline wrapper) {
        String within = site.instantiation().within();
        return within.equals(type.name()) || within.equals(wrapper.name()) || within.startsWith(type.name() + ".");
    }
}
