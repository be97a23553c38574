package driftwood.behaviour.view;

import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Place;
import driftwood.smell.Finding;
import driftwood.smell.Gathered;
import driftwood.tree.Mark;
import driftwood.tree.RoutineKind;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The routines through which behaviour is observed: the narrowest that the refactoring keeps. A private routine is
 * observed through those of its type that call it; a source of null through the callers that guard it; constructors
 * through the objects that they make.
 *
 * @param targets what is observed, in order
 * @param left    what was asked for and cannot be observed, with the reason
 */
public record Surface(List<Target> targets, List<String> left) {
    private static final int MOST = 80;
    private static final String ONLY_SOME = ": only " + MOST + " routines at a time";

    /**
     * One thing to observe.
     *
     * @param type    the type
     * @param routine the routine; empty for the object that a construction gives
     * @param ladder  constructors to build with, for constructions; else empty
     */
    public record Target(TypeOutline type, Optional<RoutineOutline> routine, List<RoutineOutline> ladder) {

        /** {@code quay.Tariff#dues(Vessel)}, or {@code quay.Berth#new}. */
        public String symbol() {
            return routine.map(RoutineOutline::symbol).orElse(Symbol.member(type.name(), "new"));
        }
    }

    /** The surface around a finding. */
    public static Surface around(Finding finding, Program program) {
        if (finding.detail() instanceof Gathered gathered) {
            return around(Stream.concat(Stream.of(finding.symbol()), gathered.places().stream().map(Place::symbol)).distinct().toList(), program);
        }
        Collector collector = new Collector(program);
        finding.detail().accept(collector);
        return collector.surface();
    }

    /** Routines by their symbols, and all that a type does whose symbol or whose field's it is. */
    private static Surface around(List<String> symbols, Program program) {
        Surface all = new Surface(List.of(), List.of());
        for (String each : symbols) {
            Optional<TypeOutline> type = Symbol.of(each).isRoutine() ? Optional.empty() : program.type(Symbol.of(each).type());
            all = all.and(type.map(whole -> of(whole, program)).orElseGet(() -> of(List.of(each), program)));
        }
        List<Target> targets = all.targets().subList(0, Math.min(MOST, all.targets().size()));
        List<String> left = new ArrayList<>(all.left().stream().distinct().toList());
        all.targets().stream().skip(MOST).forEach(each -> left.add(each.symbol() + ONLY_SOME));
        return new Surface(targets, left);
    }

    /** All routines of a type that others may call, and what its constructions give. */
    public static Surface of(TypeOutline type, Program program) {
        Collector collector = new Collector(program);
        boolean open = type.constructors().isEmpty()
                || type.constructors().stream().anyMatch(each -> !each.traits().isPrivate());
        if (type.isConcrete() && type.constants().isEmpty() && open) {
            collector.construction(type, type.constructors());
        }
        Openness openness = new Openness(program);
        type.routines().stream().filter(each -> each.kind() == RoutineKind.METHOD && each.hasBody() && !isHash(each)
                && openness.isOpen(type, each)).forEach(each -> collector.routine(each.symbol()));
        if (type.isConcrete() && type.constants().isEmpty()) {
            inherited(type, program).forEach(each -> collector.targets.add(new Target(type, Optional.of(each), List.of())));
        }
        return collector.surface();
    }

    /** A number that says nothing by itself: whether equal objects have the same is told where objects are compared. */
    private static boolean isHash(RoutineOutline routine) {
        return routine.parameters().isEmpty() && (routine.name().equals("hashCode") || routine.name().equals("__hash__"));
    }

    /** What objects of a type can be asked beside, by its ancestors in the project. */
    private static List<RoutineOutline> inherited(TypeOutline type, Program program) {
        Set<String> known = new HashSet<>();
        type.routines().forEach(each -> known.add(each.name() + "/" + each.parameters().size()));
        List<RoutineOutline> inherited = new ArrayList<>();
        for (TypeOutline ancestor : program.ancestors(type)) {
            ancestor.routines().stream().filter(each -> each.kind() == RoutineKind.METHOD && each.hasBody()
                    && !each.traits().isPrivate() && !each.traits().isStatic() && !each.traits().has(Mark.PROTECTED)
                    && known.add(each.name() + "/" + each.parameters().size())).forEach(inherited::add);
        }
        return inherited;
    }

    /** Only those routines of a type that have one of some names; private ones through those that call them. */
    public static Surface of(TypeOutline type, Collection<String> names, Program program) {
        Collector collector = new Collector(program);
        type.routines().stream().filter(each -> names.contains(each.name())).forEach(each -> collector.routine(each.symbol()));
        return collector.surface();
    }

    /** Some routines by their symbols; private ones through those that call them. */
    public static Surface of(Collection<String> symbols, Program program) {
        Collector collector = new Collector(program);
        symbols.forEach(collector::routine);
        return collector.surface();
    }

    /** The main routines among some: run as any other where nothing else can show what changes. */
    static Surface ofMains(Collection<String> symbols, Program program) {
        List<Target> targets = new ArrayList<>();
        symbols.forEach(symbol -> program.type(Symbol.of(symbol).type()).ifPresent(type -> type.routine(symbol)
                .filter(each -> each.name().equals("main") && each.traits().isStatic()).ifPresent(each -> targets.add(new Target(type, Optional.of(each), List.of())))));
        return new Surface(targets, List.of());
    }

    /** Both together. */
    public Surface and(Surface other) {
        Set<Target> all = new LinkedHashSet<>(targets);
        all.addAll(other.targets);
        List<String> untold = new ArrayList<>(left);
        untold.addAll(other.left);
        return new Surface(List.copyOf(all), untold);
    }

    private static final class Collector implements Detail.Visitor<Void> {
        private final Program program;
        private final Set<Target> targets = new LinkedHashSet<>();
        private final List<String> left = new ArrayList<>();
        private final Set<String> asked = new HashSet<>();

        Collector(Program program) {
            this.program = program;
        }

        @Override
        public Void visitDetail(Detail detail) {
            throw new IllegalArgumentException("no surface is known for " + detail);
        }

        @Override
        public Void visitLadder(Detail.Ladder ladder) {
            program.type(ladder.type()).ifPresent(type -> construction(type, ladder.ladder()));
            return null;
        }

        @Override
        public Void visitNothing(Detail.Nothing nothing) {
            nothing.guards().forEach(each -> routine(each.place().symbol()));
            return null;
        }

        @Override
        public Void visitBranching(Detail.Branching branching) {
            routine(branching.chain().routine());
            branching.siblings().stream().map(Place::symbol).forEach(this::routine);
            return null;
        }

        @Override
        public Void visitChoosing(Detail.Choosing choosing) {
            routine(choosing.chain().routine());
            choosing.repeats().stream().map(Place::symbol).forEach(this::routine);
            return null;
        }

        Surface surface() {
            List<Target> all = new ArrayList<>(targets);
            all.stream().skip(MOST).forEach(each -> left.add(each.symbol() + ONLY_SOME));
            return new Surface(all.subList(0, Math.min(MOST, all.size())), left);
        }

        void construction(TypeOutline type, List<RoutineOutline> ladder) {
            List<RoutineOutline> open = ladder.stream().filter(each -> !each.traits().isPrivate()).toList();
            targets.add(new Target(type, Optional.empty(), open));
        }

        /** A routine by its symbol; one in the middle of another stands for the routine around it. */
        void routine(String symbol) {
            if (!asked.add(symbol)) {
                return;
            }
            String named = symbol;
            int inner = symbol.indexOf(".<");
            if (inner >= 0) {
                left.add(symbol + ": inside an anonymous type; name the type around it to observe that");
                return;
            }
            Optional<TypeOutline> type = program.type(Symbol.of(named).type());
            Optional<RoutineOutline> routine = type.flatMap(owner -> owner.routine(named));
            if (type.isEmpty() || routine.isEmpty()) {
                left.add(symbol + ": not a routine that can be called");
            } else if (routine.get().isConstructor()) {
                construction(type.get(), List.of(routine.get()));
            } else if (routine.get().name().equals("main")) {
                left.add(symbol + ": a main routine");
            } else {
                open(type.get(), routine.get());
            }
        }

        /** The routine itself, or the nearest of its type that call it and are not private. */
        private void open(TypeOutline type, RoutineOutline routine) {
            Deque<RoutineOutline> waiting = new ArrayDeque<>(List.of(routine));
            Set<String> seen = new HashSet<>();
            boolean found = false;
            while (!waiting.isEmpty()) {
                RoutineOutline next = waiting.poll();
                if (!seen.add(next.symbol())) {
                    continue;
                }
                if (!next.traits().isPrivate()) {
                    if (next.isConstructor()) {
                        construction(type, List.of(next));
                    } else {
                        targets.add(new Target(type, Optional.of(next), List.of()));
                    }
                    found = true;
                } else {
                    waiting.addAll(callers(type, next));
                }
            }
            if (!found) {
                left.add(routine.symbol() + ": private, and nothing in its type calls it");
            }
        }

        private List<RoutineOutline> callers(TypeOutline type, RoutineOutline called) {
            Set<String> callers = new LinkedHashSet<>();
            for (CallFact call : program.fileOf(type).calls()) {
                boolean own = call.trail().start() == Trail.Start.THIS && call.trail().steps().size() == 1
                        && call.trail().lastName().equals(called.name());
                if (own && call.within().equals(type.name())) {
                    callers.add(call.routine());
                }
            }
            return type.routines().stream().filter(each -> callers.contains(each.symbol())).toList();
        }
    }
}
