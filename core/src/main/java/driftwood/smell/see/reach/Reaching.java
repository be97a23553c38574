package driftwood.smell.see.reach;

import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Step;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import driftwood.smell.Seen;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Which routines of a project reach outside, themselves or by what they call. Unchanging once it is found out. */
final class Reaching {
    /** A helper's helper still helps; what is farther away is another matter. */
    static final int DEEP = 4;

    private final Program program;
    private final Map<String, Reach> direct = new HashMap<>();
    /** Symbols of operations without a body that some type of the project carries out by reaching outside. */
    private final Set<String> declared = new HashSet<>();
    private final Set<String> declaredNames = new HashSet<>();
    /** Names of what is called without an instance and reaches. */
    private final Set<String> helpingNames = new HashSet<>();
    private final Map<String, Boolean> carrying = new HashMap<>();
    /** Symbols of routines that call anything of such a name: no other need be looked at. */
    private final Set<String> calling = new HashSet<>();
    /** All names whose calls were asked for. */
    private final Set<String> names = new HashSet<>();

    Reaching(Program program, List<Seen<Reach>> reaches) {
        this.program = program;
        for (Seen<Reach> seen : reaches) {
            Resource.Kind kind = seen.sighting().resource().kind();
            if (!seen.test() && kind.isOutside() && kind != Resource.Kind.THREAD) {
                direct.putIfAbsent(seen.sighting().routine(), seen.sighting());
            }
        }
        direct.keySet().forEach(each -> routine(each).filter(routine -> !routine.traits().isStatic() && !routine.isConstructor()).map(program::rootOf)
                .filter(root -> !root.hasBody()).ifPresent(root -> declared.add(root.symbol())));
        declared.forEach(each -> declaredNames.add(Symbol.of(each).member()));
        findHelping();
        Set<String> both = new HashSet<>(helpingNames);
        both.addAll(declaredNames);
        callsOf(both).stream().filter(each -> mayReach(each.trail())).forEach(each -> calling.add(each.routine()));
    }

    /** Finds what reaches itself or by what it calls, from the end to the beginning, and keeps what is called without an instance. */
    private void findHelping() {
        Set<String> reaching = new HashSet<>();
        Set<String> latest = new HashSet<>(direct.keySet());
        latest.addAll(declared);
        for (int i = 0; i <= DEEP && !latest.isEmpty(); i++) {
            reaching.addAll(latest);
            latest = i == DEEP ? new HashSet<>() : callers(latest);
            latest.removeAll(reaching);
        }
        reaching.stream().flatMap(each -> routine(each).stream()).filter(each -> each.traits().isStatic()).forEach(each -> helpingNames.add(each.name()));
    }

    /** Routines that call one of some others, so that what these reach is theirs. */
    private Set<String> callers(Set<String> reached) {
        Map<String, List<RoutineOutline>> byName = reached.stream().flatMap(each -> routine(each).stream()).collect(Collectors.groupingBy(RoutineOutline::name));
        Set<String> open = byName.values().stream().flatMap(List::stream).filter(this::isOpen).map(RoutineOutline::name).collect(Collectors.toSet());
        Set<String> callers = new HashSet<>();
        for (CallFact call : callsOf(byName.keySet())) {
            String name = call.trail().lastName();
            boolean mayBe = open.contains(name) || mayBeOfAType(call.trail()) || byName.get(name).stream().anyMatch(each -> each.owner().equals(call.within()));
            if (mayBe && !callers.contains(call.routine()) && carries(call) && program.routinesAt(call.trail(), call.within()).stream().limit(1)
                    .anyMatch(each -> reached.contains(each.symbol()) && isFollowed(each, call.within()))) {
                callers.add(call.routine());
            }
        }
        return callers;
    }

    /** Whether what the calling routine reaches can count for those that call it. */
    private boolean carries(CallFact call) {
        return carrying.computeIfAbsent(call.routine(), symbol -> routine(symbol).filter(each -> each.traits().isStatic()
                || program.type(each.owner()).filter(owner -> !owner.isConcrete()).isPresent()).isPresent());
    }

    /** Whether what a routine reaches counts as reached by the code of a type that calls it. */
    boolean isFollowed(RoutineOutline called, String within) {
        return called.traits().isStatic() || called.owner().equals(within) || isOpen(called);
    }

    /** Whether it may be another one that is carried out. */
    private boolean isOpen(RoutineOutline called) {
        return called.isOnlyDeclared() || program.type(called.owner()).filter(owner -> !owner.isConcrete()).isPresent();
    }

    private List<CallFact> callsOf(Set<String> some) {
        names.addAll(some);
        return program.callsOfAny(some);
    }

    private Optional<RoutineOutline> routine(String symbol) {
        return program.type(Symbol.of(symbol).type()).flatMap(type -> type.routine(symbol));
    }

    /** What a routine reaches itself. @param routine its symbol */
    Optional<Reach> direct(String routine) {
        return Optional.ofNullable(direct.get(routine));
    }

    /** Whether it has no body, and some type of the project carries it out by reaching outside. @param routine its symbol */
    boolean isDeclared(String routine) {
        return declared.contains(routine);
    }

    /** Whether a routine calls anything that may reach. @param routine its symbol */
    boolean isCalling(String routine) {
        return calling.contains(routine);
    }

    /** All that was asked of the program, for who must tell what an answer depends on. */
    Set<String> names() {
        return names;
    }

    /** Whether it has the name and the form of a call of what reaches. */
    boolean mayReach(Trail call) {
        return isAsked(call) || helpingNames.contains(call.lastName()) && mayBeOfAType(call);
    }

    boolean isAsked(Trail call) {
        return declaredNames.contains(call.lastName()) && isFetched(call);
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
}
