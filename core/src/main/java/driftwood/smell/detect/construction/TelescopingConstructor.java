package driftwood.smell.detect.construction;

import driftwood.program.Argument;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail;
import driftwood.smell.Detail.Caller;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Listing;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.detect.construction.ConstructionSighting.Kind;
import driftwood.smell.see.Calls;
import driftwood.source.Language;
import driftwood.tree.Mark;
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * telescoping-constructor: (a) three or more constructors, or creation routines of one name, that extend one another or
 * delegate with filler values (two where one has five parameters or more); (b) one constructor of five parameters or
 * more of which two or more are optional. Not: records with only their canonical constructor; copying and converting
 * constructors; conventional overloads of exceptions; a subclass repeating its parent's; deprecated ones. (Catalogue,
 * telescoping-constructor; Bloch, Effective Java, item 2.)
 */
public final class TelescopingConstructor implements Detector {
    private static final Smell SMELL = new Smell("telescoping-constructor", "tc", "Telescoping constructors",
            "Constructors that extend one another, each adding one more optional part, or one constructor with many "
                    + "optional parts that callers fill with null, false or 0. Callers mix up neighbours of the same "
                    + "type, and every new option doubles the ladder.",
            "Records with only their canonical constructor; a copying or converting constructor beside a main one; the "
                    + "usual overloads of exceptions; a subclass repeating its parent's constructors.",
            """
            Berth(String name)                       { this(name, 4); }
            Berth(String name, int depth)            { this(name, depth, false); }
            Berth(String name, int depth, boolean tidal) { ... }
            """);

    private static final int MANY = 5;
    /** Who calls can tell so few parts apart. */
    private static final int FEW = 3;
    private static final Pattern CAPACITY = Pattern.compile("(?i).*(capacity|size|factor|increment)");
    /** So many arguments by position are misread where they could be named. */
    private static final int BY_POSITION = 4;

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
        List<Seen<ConstructionSighting>> sighted = sightings.of(ConstructionWalk.SEER);
        Map<String, Set<String>> optional = new HashMap<>();
        Set<String> creating = new HashSet<>();
        for (Seen<ConstructionSighting> seen : sighted) {
            ConstructionSighting each = seen.sighting();
            if (each.kind() == Kind.OPTIONAL) {
                optional.computeIfAbsent(each.routine(), key -> new LinkedHashSet<>()).add(each.parameter());
            } else {
                creating.add(each.routine());
            }
        }
        Calls calls = new Calls(program);
        List<Finding> findings = new ArrayList<>();
        for (TypeOutline type : program.types()) {
            if (!program.fileOf(type).test() && !type.anonymous() && !type.isInterface() && !type.traits().isDeprecated()) {
                judge(type, calls, optional, creating, program.fileOf(type).language().has(Language.Habit.NAMED_ARGUMENTS), findings);
            }
        }
        return findings;
    }

    private static void judge(TypeOutline type, Calls calls, Map<String, Set<String>> optional, Set<String> creating,
            boolean nameable, List<Finding> findings) {
        List<RoutineOutline> constructors = type.constructors().stream()
                .filter(each -> !each.traits().isDeprecated()).toList();
        Ladder ladder = Ladder.ofConstructors(type, constructors, calls);
        if (ladder.isTelescope() && ladder.isOpen() && type.kind() != TypeKind.ENUM && !calls.isKeptForBuilder(type, ladder.steps().get(ladder.steps().size() - 1))) {
            findings.add(ofLadder(type, ladder, calls, optional));
        } else if (type.kind() != TypeKind.RECORD && !calls.hasBuilder(type)) {
            for (RoutineOutline constructor : constructors) {
                ofOne(type, constructor, calls, optional, nameable, findings);
            }
        }
        Map<String, List<RoutineOutline>> byName = new HashMap<>();
        for (RoutineOutline routine : type.routines()) {
            if (!routine.isConstructor() && routine.traits().isStatic() && !routine.traits().isDeprecated() && !routine.traits().has(Mark.EXTENSION)
                    && routine.returns().simpleName().equals(type.simpleName())
                    && creating.contains(routine.symbol())) {
                byName.computeIfAbsent(routine.name(), key -> new ArrayList<>()).add(routine);
            }
        }
        byName.values().stream().sorted((a, b) -> a.get(0).line() - b.get(0).line()).forEach(routines -> {
            Ladder routineLadder = Ladder.ofCreationRoutines(type, routines, calls);
            if (routineLadder.isTelescope()) {
                findings.add(ofLadder(type, routineLadder, calls, optional));
            }
        });
    }

    private static Finding ofLadder(TypeOutline type, Ladder ladder, Calls calls, Map<String, Set<String>> optional) {
        List<RoutineOutline> steps = ladder.steps();
        RoutineOutline longest = steps.get(steps.size() - 1);
        boolean constructors = longest.isConstructor();
        List<Caller> callers = new ArrayList<>();
        Set<String> names = new LinkedHashSet<>(optional.getOrDefault(longest.symbol(), Set.of()));
        names.addAll(ladder.optional());
        steps.forEach(step -> callers.addAll(calls.outside(type, step).stream()
                .filter(each -> calls.counts(type, each.place().symbol())).map(each -> each.of(names)).toList()));
        List<String> neighbours = neighbours(longest);
        List<Evidence> evidence = new ArrayList<>();
        for (RoutineOutline step : steps) {
            evidence.add(new Evidence(step.file(), step.line(), step.endLine(), step.parameters().size()
                    + (step.parameters().size() == 1 ? " parameter: " : " parameters: ") + step.signature()));
        }
        String missing = ladder.missing();
        if (!missing.isEmpty()) {
            evidence.add(new Evidence(longest.file(), longest.line(), longest.endLine(), missing));
        }
        addCommon(evidence, type, longest, neighbours, callers);
        List<RoutineOutline> there = steps.stream().filter(each -> each.file().equals(longest.file())).toList();
        int line = there.stream().mapToInt(RoutineOutline::line).min().orElse(longest.line());
        int end = there.stream().mapToInt(RoutineOutline::endLine).max().orElse(line);
        String what = constructors ? " constructors" : " routines " + longest.name() + "()";
        String message = type.simpleName() + " has " + steps.size() + what + ", each adding parameters to the one before, up to "
                + longest.parameters().size()
                + (neighbours.isEmpty() ? "" : "; easily mixed up: " + neighbours.get(0));
        Detail detail = new Detail.Ladder(type.name(), steps, List.copyOf(names), callers);
        String symbol = constructors ? Symbol.member(type.name(), longest.name()) : Symbol.member(type.name(), longest.name()) + "()";
        return SMELL.finding(new Spot(longest.file(), line, end, symbol),
                drag(steps.size(), callers, type, longest, neighbours, names, false), message, evidence, detail);
    }

    /** Form (b): one constructor whose optional parts callers must fill. */
    private static void ofOne(TypeOutline type, RoutineOutline constructor, Calls calls,
            Map<String, Set<String>> optional, boolean nameable, List<Finding> findings) {
        long counted = constructor.parameters().stream().filter(each -> !each.variadic()).count();
        if (counted < MANY || constructor.traits().isPrivate()) {
            return;
        }
        Set<String> names = new LinkedHashSet<>();
        Set<String> checked = optional.getOrDefault(constructor.symbol(), Set.of());
        for (int i = 0; i < constructor.parameters().size(); i++) {
            ParameterOutline parameter = constructor.parameters().get(i);
            int at = i;
            boolean literal = parameter.type().text().equals("boolean") && calls.argumentsAt(type, constructor, at)
                    .stream().anyMatch(Argument::isBooleanLiteral);
            boolean nothing = calls.argumentsAt(type, constructor, at).stream()
                    .anyMatch(argument -> argument.kind() == Argument.Kind.NULL);
            if (!parameter.variadic() && (parameter.nullable() || parameter.optional() && !parameter.named() || literal || nothing
                    || checked.contains(parameter.name()))) {
                names.add(parameter.name());
            }
        }
        List<Caller> fillers = calls.withFillers(type, constructor).stream().map(each -> each.of(names)).filter(Caller::isFilling).toList();
        boolean named = constructor.parameters().stream().anyMatch(ParameterOutline::optional);
        int required = (int) constructor.parameters().stream().filter(each -> !each.optional() && !each.variadic()).count();
        if (names.size() < 2 || named && fillers.isEmpty() && !calls.isCalledByPosition(type, constructor, Math.max(BY_POSITION, required + 1))) {
            return;
        }
        List<String> neighbours = neighbours(constructor);
        List<Evidence> evidence = new ArrayList<>(List.of(new Evidence(constructor.file(), constructor.line(),
                constructor.endLine(), "parts that may be left out: " + String.join(", ", names))));
        addCommon(evidence, type, constructor, neighbours, fillers);
        String message = "one constructor of " + type.simpleName() + " with " + counted
                + " parameters, " + names.size() + " of them optional: " + Listing.of(List.copyOf(names));
        Detail detail = new Detail.Ladder(type.name(), List.of(constructor), List.copyOf(names),
                calls.outside(type, constructor));
        findings.add(SMELL.finding(Spot.of(constructor),
                drag(1, fillers, type, constructor, neighbours, names, named && nameable), message, evidence, detail));
    }

    private static void addCommon(List<Evidence> evidence, TypeOutline type, RoutineOutline longest,
            List<String> neighbours, List<Caller> callers) {
        for (String pair : neighbours) {
            evidence.add(new Evidence(longest.file(), longest.line(), longest.line(),
                    "neighbours of the same type, easily mixed up: " + pair));
        }
        callers.stream().filter(Caller::isFilling).forEach(each -> evidence.add(each.place().evidence()));
    }

    // driftwood: leave long-parameter-list because the two forms have these facts in common and no type for them
    private static Drag drag(int steps, List<Caller> callers, TypeOutline type, RoutineOutline longest,
            List<String> neighbours, Set<String> optional, boolean nameable) {
        Set<String> files = new HashSet<>(Set.of(type.file()));
        long filled = callers.stream().filter(Caller::isFilling).count();
        callers.stream().filter(Caller::isFilling).forEach(each -> files.add(each.place().file()));
        return Drag.of(steps + (int) filled, files.size(), longest.parameters().size())
                .risk(!neighbours.isEmpty(), Math.min(0.9, 0.3 * neighbours.size()),
                        neighbours.size() + (neighbours.size() == 1 ? " pair" : " pairs")
                                + " of same-typed neighbours can be swapped unnoticed")
                .risk(steps > 1 && longest.parameters().stream().allMatch(each -> CAPACITY.matcher(each.name()).matches()), -0.8,
                        "how much room a collection takes is asked for so everywhere")
                .risk(steps > 1 && optional.size() == 1, -0.6, "only one part is optional")
                .risk(steps > 1 && longest.parameters().size() <= FEW, longest.parameters().size() < FEW ? -1.6 : -1.2,
                        "even the longest takes no more than " + longest.parameters().size() + " parts")
                .risk(steps == 1 && longest.parameters().stream().filter(each -> optional.contains(each.name())).allMatch(each -> each.type().text().equals("boolean")), -0.8,
                        "what may be left out is told by true and false everywhere: it is all flags")
                .risk(steps == 2 && longest.parameters().size() <= MANY, -0.5, "there are two of them only")
                .risk(nameable, -1.6, "callers can name what they pass, and leave out what has a default")
                .risk(type.isError(), -1.4, "an error is handed what its message tells")
                .risk(type.traits().isAbstract() && longest.isConstructor(), -0.6, "only its subclasses call it")
                .build();
    }

    /** Pairs of parameters side by side with the same type. */
    static List<String> neighbours(RoutineOutline routine) {
        List<String> pairs = new ArrayList<>();
        for (int i = 1; i < routine.parameters().size(); i++) {
            ParameterOutline left = routine.parameters().get(i - 1);
            ParameterOutline right = routine.parameters().get(i);
            if (left.type().isPresent() && left.type().equals(right.type())) {
                pairs.add(left.name() + " and " + right.name() + " (" + left.type().text() + ")");
            }
        }
        return pairs;
    }
}
