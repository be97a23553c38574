package driftwood.smell.detect.wiring;

import driftwood.program.FieldOutline;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Step;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Finding;
import driftwood.smell.Gathered;
import driftwood.smell.Listing;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Settings;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.TypeFacts;
import driftwood.smell.see.creation.CreationWalk;
import driftwood.smell.see.creation.Instantiation.How;
import driftwood.smell.see.creation.Instantiation;
import driftwood.smell.see.creation.Setters;
import driftwood.smell.see.reach.Helpers;
import driftwood.smell.see.reach.Reach;
import driftwood.smell.see.reach.ReachWalk;
import driftwood.smell.see.reach.Resource;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * hard-coded-instantiation: a class with work of its own creates a collaborator that reaches outside (a file, the
 * network, the clock, randomness, a database), uses it, and cannot be given another. Not: composition roots, value
 * objects, exceptions, nested parts, creations only returned, defaults that callers can override. (Catalogue,
 * hard-coded-instantiation; Feathers, Working Effectively with Legacy Code: parameterize constructor.)
 */
public final class HardCodedInstantiation implements Detector {
    private static final Smell SMELL = new Smell("hard-coded-instantiation", "hc", "Hard-coded instantiation",
            "A class creates a collaborator that talks to the world outside, and cannot be given another. A test of the "
                    + "class is a test of the file, the network or the clock as well.",
            "Composition roots, factories and builders; value objects and exceptions; creations that are only "
                    + "returned; defaults that a caller can override.",
            """
            final class Arrivals {
                private final TideGauge gauge = new TideGauge();   // reads /dev/ttyS0
                boolean mayEnter(Vessel vessel) { return gauge.depth() > vessel.draught(); }
            }
            """);

    private static final Pattern ACCESSOR = Pattern.compile("(?i:get|is|has|set)[A-Z_].*|(?i)toString|equals|(get)?hashCode");

    private final Roots roots;

    public HardCodedInstantiation(Settings settings) {
        this.roots = new Roots(settings);
    }

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(CreationWalk.SEER, ReachWalk.SEER);
    }

    /** The creations of one collaborator in one class. */
    private record Group(TypeOutline client, TypeOutline collaborator, String file, List<Instantiation> instantiations) {
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        Map<String, List<Reach>> reaches = new HashMap<>();
        for (Seen<Reach> seen : sightings.of(ReachWalk.SEER)) {
            if (seen.sighting().isEssential(isPrivate(seen.sighting(), program))) {
                reaches.computeIfAbsent(seen.sighting().type(), key -> new ArrayList<>()).add(seen.sighting());
            }
        }
        Helpers helpers = new Helpers(program, sightings);
        Map<String, List<Reach>> reached = new HashMap<>();
        Map<String, Group> groups = new LinkedHashMap<>();
        for (Seen<Instantiation> seen : sightings.of(CreationWalk.SEER)) {
            if (!seen.test()) {
                gather(seen, program, groups, made -> !reached.computeIfAbsent(made.name(), name ->
                        reached(made, reaches.getOrDefault(name, List.of()), helpers, program)).isEmpty());
            }
        }
        List<Finding> findings = new ArrayList<>();
        for (Group group : groups.values()) {
            findings.add(finding(group, reached.get(group.collaborator().name()), program));
        }
        return findings;
    }

    /** What an object of a type reaches, itself or else by helpers; asked only of types that somebody creates. */
    private static List<Reach> reached(TypeOutline type, List<Reach> seen, Helpers helpers, Program program) {
        List<Reach> own = seen.stream().filter(each -> isOfAnInstance(each, program)).toList();
        return own.isEmpty() || isAside(type.name(), own, program) ? helpers.of(type).map(List::of).orElse(List.of()) : own;
    }

    /** Whether an object of the type comes to it: what stands in a routine of the class itself counts where one of the object's calls that. */
    private static boolean isOfAnInstance(Reach reach, Program program) {
        Optional<TypeOutline> type = program.type(reach.type());
        Optional<RoutineOutline> routine = type.flatMap(each -> each.routine(reach.routine())).filter(each -> each.traits().isStatic() && !each.traits().isPrivate());
        return routine.isEmpty() || type.get().isModule() || type.get().routines().stream().filter(each -> !each.traits().isStatic())
                .anyMatch(each -> program.callsBy(each).stream().anyMatch(call -> call.trail().lastName().equals(routine.get().name())));
    }

    /** A type that does other things, and prints something or asks the clock beside them. */
    private static boolean isAside(String type, List<Reach> reaches, Program program) {
        Set<String> printing = new HashSet<>();
        reaches.forEach(each -> printing.add(each.routine()));
        long working = program.type(type).stream().flatMap(each -> each.routines().stream())
                .filter(each -> each.hasBody() && !each.isConstructor()).count();
        boolean slight = reaches.stream().allMatch(each -> each.resource().kind() == Resource.Kind.CONSOLE || each.resource().kind() == Resource.Kind.CLOCK);
        return printing.size() * (slight ? 2L : SELDOM) < working;
    }

    private static final long SELDOM = 25;

    private static boolean isPrivate(Reach reach, Program program) {
        return program.type(reach.type()).flatMap(type -> type.routine(reach.routine())).filter(each -> each.traits().isPrivate()).isPresent();
    }

    /** @param reaching whether a type reaches outside: asked last, as it is the longest to answer */
    private void gather(Seen<Instantiation> seen, Program program, Map<String, Group> groups, Predicate<TypeOutline> reaching) {
        Instantiation instantiation = seen.sighting();
        boolean kept = instantiation.how() == How.FIELD || instantiation.how() == How.RECEIVER
                || (instantiation.how() == How.LOCAL || instantiation.how() == How.OPENED) && instantiation.used() && !instantiation.leaves();
        Optional<TypeOutline> client = program.type(instantiation.within());
        if (!kept || instantiation.fallback() || client.isEmpty() || client.get().anonymous() || !works(client.get())) {
            return;
        }
        Optional<TypeOutline> made = program.resolve(new TypeRef(instantiation.created()), client.get())
                .filter(type -> type.behaves() && !type.isModule() && !top(type, program).equals(top(client.get(), program)) && reaching.test(type));
        if (made.isEmpty() || roots.isRoot(client.get(), instantiation.routine(), program) || canBeGiven(client.get(), made.get(), program)
                || instantiation.how() == How.FIELD && !uses(client.get(), instantiation.name(), program)) {
            return;
        }
        groups.computeIfAbsent(client.get().name() + " " + made.get().name(), key ->
                new Group(client.get(), made.get(), seen.file(), new ArrayList<>())).instantiations().add(instantiation);
    }

    private static TypeOutline top(TypeOutline type, Program program) {
        return program.type(type.outer()).filter(outer -> !outer.isModule()).map(outer -> top(outer, program)).orElse(type);
    }

    // driftwood: leave misplaced-behaviour because what counts as given is a matter of this smell
    private static boolean works(TypeOutline client) {
        return client.routines().stream().anyMatch(each -> !each.isConstructor() && each.hasBody()
                && !each.traits().isStatic() && !(each.brief() && ACCESSOR.matcher(each.name()).matches()));
    }

    /** A constructor or a setter takes one: what is created inside is a default. */
    private static boolean canBeGiven(TypeOutline client, TypeOutline made, Program program) {
        List<TypeOutline> kinds = new ArrayList<>(program.ancestors(made));
        kinds.add(made);
        Set<String> foreign = kinds.stream().flatMap(each -> each.supertypes().stream()).map(TypeRef::simpleName).collect(Collectors.toSet());
        return client.routines().stream().filter(each -> each.isConstructor() || Setters.isNamed(each.name()))
                .flatMap(each -> each.parameters().stream())
                .anyMatch(each -> program.resolve(each.type(), client).map(kinds::contains)
                        .orElse(foreign.contains(each.type().simpleName())));
    }

    private static boolean uses(TypeOutline client, String field, Program program) {
        return program.callsAround(client).stream().anyMatch(call -> !call.trail().steps().isEmpty()
                && (call.trail().head().equals(field) || call.trail().steps().get(0).equals(Step.get(field)))
                && call.within().startsWith(client.name()));
    }

    private static Finding finding(Group group, List<Reach> reaches, Program program) {
        TypeOutline made = group.collaborator();
        List<String> reached = reaches.stream().map(each -> each.resource().title()).distinct().toList();
        List<TypeOutline> abstractions = program.ancestors(made).stream().filter(each -> !each.isConcrete()).toList();
        List<Evidence> evidence = new ArrayList<>();
        List<Place> places = new ArrayList<>();
        for (Instantiation instantiation : group.instantiations()) {
            evidence.add(new Evidence(group.file(), instantiation.line(), instantiation.endLine(), "creates " + made.simpleName()));
            if (instantiation.useLine() > instantiation.endLine()) {
                evidence.add(new Evidence(group.file(), instantiation.useLine(), instantiation.useLine(), "uses it here first"));
            }
            places.add(new Place(group.file(), instantiation.line(), instantiation.endLine(), instantiation.routine(), "creates one"));
        }
        Reach first = reaches.get(0);
        evidence.add(new Evidence(made.file(), first.line(), first.line(), made.simpleName() + " reaches "
                + Listing.of(reached)));
        evidence.add(abstractions.isEmpty()
                ? new Evidence(made.file(), made.line(), made.line(), "no abstraction of it exists yet to be given instead")
                : new Evidence(abstractions.get(0).file(), abstractions.get(0).line(), abstractions.get(0).line(),
                        abstractions.get(0).simpleName() + " could be asked for instead"));
        Drag drag = Drag.of(group.instantiations().size(), 1, (int) reaches.stream().map(each -> each.resource().kind()).distinct().count())
                .risk(true, 0.5, "no test can use the class without " + first.resource().kind().title())
                .risk(abstractions.isEmpty(), 0.2, "there is no abstraction yet")
                .risk(reaches.stream().allMatch(each -> each.resource().kind() == Resource.Kind.CLOCK), -0.6, "it only asks the clock")
                .risk(group.instantiations().stream().allMatch(each -> each.how() == How.RECEIVER), -0.8, "each is made for one call, and let go of")
                .risk(group.instantiations().stream().allMatch(each -> each.how() == How.OPENED), -0.8, "each is opened for one block, and closed at its end")
                .build();
        Instantiation instantiation = group.instantiations().get(0);
        Optional<FieldOutline> field = instantiation.how() == How.FIELD ? group.client().field(instantiation.name()) : Optional.empty();
        Gathered detail = new TypeFacts.Creating(group.client().name(), made.name(), abstractions.stream().map(TypeOutline::name).toList(),
                places.subList(1, places.size()));
        String symbol = field.map(each -> Symbol.member(group.client().name(), each.name())).orElse(instantiation.routine());
        return SMELL.finding(new Spot(group.file(), instantiation.line(), instantiation.endLine(), symbol), drag, "creates its own "
                + made.simpleName() + ", which reaches " + Listing.of(reached) + ", and cannot be given another", evidence,
                detail);
    }
}
