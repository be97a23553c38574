package driftwood.smell.detect.construction;

import driftwood.program.Argument;
import driftwood.program.Outline;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.RoutineFacts;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.detect.construction.ConstructionSighting.Kind;
import driftwood.tree.RoutineKind;
import driftwood.tree.TypeKind;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * swapped-arguments: a call in which two arguments are named as each other's parameter (or three or more in a cycle),
 * and the types allow it. Not: names that only share a prefix; one-way mismatches; deliberate swaps. (Catalogue,
 * swapped-arguments.)
 */
public final class SwappedArguments implements Detector {
    private static final Smell SMELL = new Smell("swapped-arguments", "sa", "Swapped arguments",
            "Two arguments are named exactly as each other's parameter: what is called width goes to height and the "
                    + "reverse. It compiles, and it is almost always a defect.",
            "Names that only share a prefix; one argument of another name; routines that swap, mirror, reverse or "
                    + "compare on purpose.",
            """
            void resize(int width, int height) { ... }
            resize(height, width);
            """);

    /** A shorter name says nothing of what it holds. */
    private static final int TELLING = 4;

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of(ConstructionWalk.SEER);
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        Set<String> called = called(program);
        Map<String, List<RoutineOutline>> byName = new HashMap<>();
        for (TypeOutline type : program.types()) {
            for (RoutineOutline routine : routines(type)) {
                String name = routine.isConstructor() ? "new " + type.simpleName() : routine.name();
                if (routine.parameters().size() >= 2 && called.contains(name)) {
                    byName.computeIfAbsent(name, key -> new ArrayList<>()).add(routine);
                }
            }
        }
        Set<String> ordered = new HashSet<>();
        sightings.of(ConstructionWalk.SEER).stream().map(Seen::sighting).filter(each -> each.kind() == Kind.ORDERS)
                .forEach(each -> ordered.add(each.routine() + " " + each.parameter()));
        return new Judging(program, byName, ordered).findings();
    }

    /** What can be called, with the constructor of a record that nobody wrote. */
    private static List<RoutineOutline> routines(TypeOutline type) {
        if (type.kind() != TypeKind.RECORD) {
            return type.routines();
        }
        List<ParameterOutline> parts = type.fields().stream().filter(each -> !each.traits().isStatic())
                .map(each -> new ParameterOutline(each.name(), each.type(), false, false, false, false)).toList();
        if (type.constructors().stream().anyMatch(each -> each.parameters().size() == parts.size())) {
            return type.routines();
        }
        List<RoutineOutline> all = new ArrayList<>(type.routines());
        all.add(new RoutineOutline(type.file(), type.name(), type.simpleName(), RoutineKind.CONSTRUCTOR, type.traits(), List.of(), TypeRef.NONE, parts,
                false, true, type.line(), type.line()));
        return all;
    }

    /** What is called with two arguments or more in the files to be judged. */
    private static Set<String> called(Program program) {
        Set<String> called = new HashSet<>();
        for (Outline outline : program.judged()) {
            program.callsIn(outline).stream().filter(each -> each.arguments().size() > 1)
                    .forEach(each -> called.add(each.trail().lastName()));
            program.creationsIn(outline).stream().filter(each -> each.arguments().size() > 1)
                    .forEach(each -> called.add("new " + new TypeRef(each.type()).simpleName()));
        }
        return called;
    }

    @Override
    public boolean isLocal() {
        return true;
    }

    /** One judgement of a whole program. */
    private static final class Judging {
        private final Program program;
        private final Map<String, List<RoutineOutline>> byName;
        /** Symbols of routines, each with two names that it puts in order. */
        private final Set<String> ordered;
        /** By the name of a routine, the names of parameters that any routine of that name has. */
        private final Map<String, Set<String>> parameters = new HashMap<>();
        /** Names in their plain form: the same few occur in thousands of calls. */
        private final Map<String, String> plain = new HashMap<>();

        Judging(Program program, Map<String, List<RoutineOutline>> byName, Set<String> ordered) {
            this.program = program;
            this.byName = byName;
            this.ordered = ordered;
            byName.forEach((name, routines) -> {
                Set<String> names = new HashSet<>();
                routines.forEach(routine -> routine.parameters().forEach(each -> names.add(Crossing.plain(each.name()))));
                parameters.put(name, names);
            });
        }

        List<Finding> findings() {
            List<Finding> findings = new ArrayList<>();
            for (Outline outline : program.judged()) {
                if (!outline.test()) {
                    program.callsIn(outline).forEach(call -> ofCall(outline, call).ifPresent(findings::add));
                    program.creationsIn(outline).forEach(each -> ofCreation(outline, each).ifPresent(findings::add));
                }
            }
            return findings;
        }

        /** A cheap look before the exact one: two arguments at least are named as some parameter. */
        private boolean maySwap(List<Argument> arguments, String name) {
            Set<String> names = parameters.getOrDefault(name, Set.of());
            int found = 0;
            for (Argument each : names.isEmpty() ? List.<Argument>of() : arguments) {
                if (each.kind() == Argument.Kind.NAME
                        && names.contains(plain.computeIfAbsent(each.name(), Crossing::plain))) {
                    found++;
                }
            }
            return found >= 2;
        }

        private static boolean maySwapIn(List<RoutineOutline> routines, List<Argument> arguments) {
            for (RoutineOutline each : routines) {
                if (isSwapped(arguments, each)) {
                    return true;
                }
            }
            return false;
        }

        private Optional<Finding> ofCall(Outline outline, CallFact call) {
            if (call.arguments().size() < 2) {
                return Optional.empty();
            }
            String name = written(outline, call.trail().lastName());
            if (name.equals("super")) {
                return among(program.type(call.within()).map(type -> inherited(type, call.arguments().size())).orElse(List.of()), call.arguments(), outline, call.routine(), call.line());
            }
            if (name.equals("this") || !maySwap(call.arguments(), name)
                    || !maySwapIn(byName.getOrDefault(name, List.of()), call.arguments())) {
                return Optional.empty();
            }
            List<RoutineOutline> meant = program.routinesAt(call.trail(), call.within());
            return among(meant.isEmpty() ? program.answering(call.trail(), call.within()) : meant, call.arguments(), outline,
                    call.routine(), call.line());
        }

        /** The name under which a routine is written that a file calls by a name of its own. */
        private String written(Outline outline, String name) {
            return byName.containsKey(name) ? name : outline.imports().stream().map(each -> each.member(name))
                    .filter(byName::containsKey).findFirst().orElse(name);
        }

        /** The constructors that a call of the parent's may mean. */
        private List<RoutineOutline> inherited(TypeOutline type, int arguments) {
            return program.parents(type).stream().filter(each -> !each.isInterface()).flatMap(each -> each.constructors().stream())
                    .filter(each -> each.takes(arguments)).toList();
        }

        private Optional<Finding> ofCreation(Outline outline, CreationFact creation) {
            TypeRef type = new TypeRef(creation.type());
            if (creation.arguments().size() < 2 || !maySwap(creation.arguments(), "new " + type.simpleName()) || byName.getOrDefault("new " + type.simpleName(), List.of()).stream()
                    .noneMatch(each -> isSwapped(creation.arguments(), each))) {
                return Optional.empty();
            }
            List<RoutineOutline> constructors = program.type(creation.within())
                    .flatMap(scope -> program.resolve(type, scope)).map(SwappedArguments::routines).orElse(List.of()).stream()
                    .filter(each -> each.isConstructor() && each.takes(creation.arguments().size())).toList();
            return among(constructors, creation.arguments(), outline, creation.routine(), creation.line());
        }

        /** Overloads of the same length must all read as swapped: one of them may be the right one. */
        private Optional<Finding> among(List<RoutineOutline> meant, List<Argument> arguments, Outline outline,
                String caller, int line) {
            if (meant.isEmpty() || !meant.stream().allMatch(each -> isSwapped(arguments, each))) {
                return Optional.empty();
            }
            RoutineOutline called = meant.get(0);
            boolean deliberate = Crossing.isTurned(arguments, called) || isMirrorImage(arguments, called)
                    || Deliberate.isOwnMirror(called, Crossing.of(arguments, called).stream().map(arguments::get).toList(), caller, program)
                    || areOrdered(Crossing.of(arguments, called).stream().map(arguments::get).toList(), caller) || Deliberate.is(called, caller, outline) || differentOwners(arguments, called)
                    || Deliberate.isMirrored(called, arguments, Crossing.of(arguments, called), outline, caller);
            return deliberate ? Optional.empty() : Optional.of(finding(called, arguments,
                    new Spot(outline.file(), line, line, caller)));
        }

        private boolean areOrdered(List<Argument> crossed, String caller) {
            return crossed.stream().anyMatch(one -> crossed.stream().anyMatch(other -> ordered.contains(caller + " " + one.name() + " " + other.name())));
        }
    }

    /** Parts of different objects: {@code (first.upper, second.lower)} is a choice, not a slip. */
    private static boolean differentOwners(List<Argument> arguments, RoutineOutline called) {
        return Crossing.of(arguments, called).stream().map(at -> arguments.get(at).owner()).distinct().count() > 1;
    }

    /** Made of the parts of another of its kind, the other way round: its mirror image. */
    private static boolean isMirrorImage(List<Argument> arguments, RoutineOutline called) {
        List<String> owners = Crossing.of(arguments, called).stream().map(at -> arguments.get(at).owner()).distinct().toList();
        return called.isConstructor() && owners.size() == 1 && owners.get(0).length() >= TELLING
                && called.name().toLowerCase(Locale.ROOT).contains(owners.get(0).toLowerCase(Locale.ROOT));
    }

    /** Whether the arguments whose name is some parameter's name stand crosswise. */
    private static boolean isSwapped(List<Argument> arguments, RoutineOutline routine) {
        return !Crossing.of(arguments, routine).isEmpty();
    }

    private static Finding finding(RoutineOutline called, List<Argument> arguments, Spot spot) {
        List<Integer> cycle = Crossing.of(arguments, called);
        List<String> wrong = cycle.stream().sorted().map(at -> arguments.get(at).name() + " goes to "
                + called.parameters().get(at).name()).toList();
        List<Evidence> evidence = List.of(
                new Evidence(spot.file(), spot.line(), spot.line(), String.join(", ", wrong)),
                new Evidence(called.file(), called.line(), called.line(), "called: " + called.signature()));
        Drag drag = Drag.of(1, 1, arguments.size()).risk(true, 2.0, "almost always a defect: the compiler cannot see it")
                .risk(Crossing.inPairs(arguments, called) > 2, -1.2, "two pairs change places at once: it may be meant, as the way back").build();
        Gathered detail = new RoutineFacts.Swap(called.symbol(), cycle.stream().sorted().map(at -> called.parameters().get(at).name()).toList());
        return SMELL.finding(spot, drag,
                "calls " + called.signature() + " crosswise: " + String.join(", ", wrong), evidence, detail);
    }
}
