package driftwood.smell.see.reach;

import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Step;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Sightings;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Follows calls of the project's own helpers to what they reach outside: code that opens its files by FileUtils opens files. */
public final class Helpers {
    private static final int MOST_OVERRIDES = 20;

    private final Program program;
    private final Reaching reaching;
    private final Map<String, Optional<Reach>> known = new HashMap<>();

    /** @param sightings of {@link ReachWalk} among others */
    public Helpers(Program program, Sightings sightings) {
        this.program = program;
        this.reaching = sightings.shared(Reaching.class, () -> new Reaching(program, sightings.of(ReachWalk.SEER)));
        program.dependOnCallsOf(reaching.names());
    }

    /** What a call reaches by a helper of another type; empty where it calls none, or none that reaches outside. */
    public Optional<Reach> of(CallFact call) {
        boolean asked = reaching.isAsked(call.trail());
        if (!reaching.mayReach(call.trail())) {
            return Optional.empty();
        }
        return program.routinesAt(call.trail(), call.within()).stream().filter(each -> (each.traits().isStatic() || asked && reaching.isDeclared(each.symbol()))
                && !each.owner().equals(call.within())).findFirst().flatMap(each -> reach(each, Reaching.DEEP, new HashSet<>()));
    }

    /** What any routine of a type reaches by helpers. */
    public Optional<Reach> of(TypeOutline type) {
        return type.routines().stream().filter(each -> !each.traits().isStatic()).flatMap(each -> callsBy(each).stream())
                .flatMap(each -> of(each).stream()).findFirst();
    }

    /** The calls of a routine; none where nothing that it calls can be a helper. */
    public List<CallFact> callsBy(RoutineOutline routine) {
        return reaching.isCalling(routine.symbol()) ? program.callsBy(routine) : List.of();
    }

    private Optional<Reach> reach(RoutineOutline routine, int deep, Set<String> seen) {
        String symbol = routine.symbol();
        if (reaching.direct(symbol).isPresent()) {
            return reaching.direct(symbol);
        }
        if (deep == 0 || !seen.add(symbol)) {
            return Optional.empty();
        }
        Optional<Reach> before = known.get(symbol);
        if (before != null) {
            return before;
        }
        Optional<Reach> found = routine.isOnlyDeclared() ? overriding(routine) : program.callsBy(routine).stream()
                .flatMap(call -> program.routinesAt(call.trail(), call.within()).stream().limit(1))
                .filter(each -> reaching.isFollowed(each, routine.owner()))
                .flatMap(each -> reach(each, deep - 1, seen).stream()).findFirst();
        if (deep == Reaching.DEEP) {
            known.put(symbol, found);
        }
        return found;
    }

    /** What most that carry out a declared operation reach themselves: then it is there for that. */
    private Optional<Reach> overriding(RoutineOutline declared) {
        List<RoutineOutline> overriding = program.type(declared.owner()).stream().flatMap(type -> program.descendants(type).stream().limit(MOST_OVERRIDES))
                .flatMap(type -> type.routines().stream()).filter(each -> each.name().equals(declared.name())
                        && each.parameters().size() == declared.parameters().size() && each.hasBody()).toList();
        return overriding.stream().flatMap(each -> reaching.direct(each.symbol()).stream()).findFirst();
    }
}
