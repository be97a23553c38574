package driftwood.smell.see.reach;

import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Step;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Seen;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Follows calls of the project's own helpers to what they reach outside: code that opens its files by FileUtils opens files. */
public final class Helpers {
    /** A helper's helper still helps; what is farther away is another matter. */
    private static final int DEEP = 4;
    private static final int MOST_OVERRIDES = 20;

    private final Program program;
    private final Set<String> names;
    private final Map<String, Reach> direct = new HashMap<>();
    /** Symbols of operations without a body that some type of the project carries out by reaching outside. */
    private final Set<String> declared = new HashSet<>();
    private final Set<String> declaredNames = new HashSet<>();
    private final Map<String, Optional<Reach>> known = new HashMap<>();
    /** Symbols of routines that call anything of such a name: no other need be looked at. */
    private final Set<String> calling = new HashSet<>();

    public Helpers(Program program, List<Seen<Reach>> reaches) {
        this.program = program;
        for (Seen<Reach> seen : reaches) {
            Resource.Kind kind = seen.sighting().resource().kind();
            if (!seen.test() && kind.isOutside() && kind != Resource.Kind.THREAD) {
                direct.putIfAbsent(seen.sighting().routine(), seen.sighting());
            }
        }
        names = namesOfReaching(program, direct.keySet());
        direct.keySet().forEach(each -> program.type(Symbol.of(each).type()).flatMap(type -> type.routine(each))
                .filter(routine -> !routine.traits().isStatic() && !routine.isConstructor()).map(program::rootOf)
                .filter(root -> !root.hasBody()).ifPresent(root -> declared.add(root.symbol())));
        declared.forEach(each -> declaredNames.add(Symbol.of(each).member()));
        Stream.of(names, declaredNames).flatMap(Set::stream).distinct().forEach(each -> program.callsOf(each).forEach(call -> calling.add(call.routine())));
    }

    /** Names of what may reach: most calls have another, and are never looked after. */
    private static Set<String> namesOfReaching(Program program, Set<String> direct) {
        Set<String> names = new HashSet<>();
        direct.forEach(each -> names.add(Symbol.of(each).member()));
        Set<String> helping = new HashSet<>();
        program.types().forEach(type -> type.routines().stream().filter(each -> each.traits().isStatic()).forEach(each -> helping.add(each.symbol())));
        Set<String> latest = new HashSet<>(names);
        for (int i = 0; i < DEEP; i++) {
            Set<String> next = new HashSet<>();
            latest.forEach(each -> program.callsOf(each).stream().filter(call -> helping.contains(call.routine()))
                    .forEach(call -> next.add(Symbol.of(call.routine()).member())));
            next.removeAll(names);
            names.addAll(next);
            latest = next;
        }
        return names;
    }

    /** What a call reaches by a helper of another type; empty where it calls none, or none that reaches outside. */
    public Optional<Reach> of(CallFact call) {
        String name = call.trail().lastName();
        boolean asked = declaredNames.contains(name) && isFetched(call.trail());
        if (!asked && (!names.contains(name) || !mayBeOfAType(call.trail()))) {
            return Optional.empty();
        }
        return program.routinesAt(call.trail(), call.within()).stream().filter(each -> (each.traits().isStatic() || asked && declared.contains(each.symbol()))
                && !each.owner().equals(call.within())).findFirst().flatMap(each -> reach(each, DEEP, new HashSet<>()));
    }

    /** Whether it is called on what another object gave: what is handed in itself can be another one. */
    private static boolean isFetched(Trail call) {
        List<Step> steps = call.steps();
        return steps.size() > 1 && steps.subList(0, steps.size() - 1).stream().anyMatch(Step.Invoke.class::isInstance);
    }

    /** Whether it can be a call without an instance: a bare one, or one on the name of a type. */
    private static boolean mayBeOfAType(Trail call) {
        return call.start() == Trail.Start.NAME || call.start() == Trail.Start.MODULE || call.start() == Trail.Start.THIS && call.steps().size() == 1;
    }

    /** What any routine of a type reaches by helpers. */
    public Optional<Reach> of(TypeOutline type) {
        return type.routines().stream().filter(each -> !each.traits().isStatic()).flatMap(each -> callsBy(each).stream())
                .flatMap(each -> of(each).stream()).findFirst();
    }

    /** The calls of a routine; none where nothing that it calls can be a helper. */
    public List<CallFact> callsBy(RoutineOutline routine) {
        return calling.contains(routine.symbol()) ? program.callsBy(routine) : List.of();
    }

    private Optional<Reach> reach(RoutineOutline routine, int deep, Set<String> seen) {
        String symbol = routine.symbol();
        if (direct.containsKey(symbol)) {
            return Optional.of(direct.get(symbol));
        }
        if (deep == 0 || !seen.add(symbol)) {
            return Optional.empty();
        }
        Optional<Reach> before = known.get(symbol);
        if (before != null) {
            return before;
        }
        Optional<Reach> found = routine.traits().isAbstract() || !routine.hasBody() ? overriding(routine) : program.callsBy(routine).stream()
                .flatMap(call -> program.routinesAt(call.trail(), call.within()).stream().limit(1))
                .filter(each -> each.traits().isStatic() || each.owner().equals(routine.owner()) || each.traits().isAbstract() || !each.hasBody()
                        || program.type(each.owner()).filter(owner -> !owner.isConcrete()).isPresent())
                .flatMap(each -> reach(each, deep - 1, seen).stream()).findFirst();
        if (deep == DEEP) {
            known.put(symbol, found);
        }
        return found;
    }

    /** What most that carry out a declared operation reach themselves: then it is there for that. */
    private Optional<Reach> overriding(RoutineOutline declared) {
        List<RoutineOutline> overriding = program.type(declared.owner()).stream().flatMap(type -> program.descendants(type).stream().limit(MOST_OVERRIDES))
                .flatMap(type -> type.routines().stream()).filter(each -> each.name().equals(declared.name())
                        && each.parameters().size() == declared.parameters().size() && each.hasBody()).toList();
        return overriding.stream().map(each -> direct.get(each.symbol())).filter(each -> each != null).findFirst();
    }
}
