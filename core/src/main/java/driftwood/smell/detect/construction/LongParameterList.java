package driftwood.smell.detect.construction;

import driftwood.program.Argument;
import driftwood.program.Outline;
import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.Detail.Place;
import driftwood.smell.Detector;
import driftwood.smell.Drag;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import driftwood.smell.Finding.Spot;
import driftwood.smell.Gathered;
import driftwood.smell.Listing;
import driftwood.smell.RoutineFacts;
import driftwood.smell.Seer;
import driftwood.smell.Settings;
import driftwood.smell.Sightings;
import driftwood.smell.Smell;
import driftwood.smell.see.Calls;
import driftwood.source.Language;
import driftwood.tree.Mark;
import driftwood.tree.TypeKind;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * long-parameter-list: a routine or constructor with more parameters than the limit. Not: one that overrides or
 * implements another (the first declaration is reported), a constructor that only repeats its parent's list, a
 * record's own list, native and deprecated routines. (Catalogue, long-parameter-list; Fowler, Refactoring.)
 */
public final class LongParameterList implements Detector {
    private static final Smell SMELL = new Smell("long-parameter-list", "lp", "Long parameter list",
            "More parameters than a reader can keep apart. Callers must know the order; neighbours of one type are "
                    + "swapped unnoticed; every new wish lengthens the list.",
            "Overriding routines (the first declaration is reported); constructors that repeat the parent's list; "
                    + "records and data classes built by name; variadic parameters.",
            """
            void moor(Vessel vessel, Berth berth, int from, int to, boolean tug, Pilot pilot) { ... }
            """);

    /** More callers than this do not make it worse. */
    private static final int CALLERS = 7;

    private final int limit;

    public LongParameterList(Settings settings) {
        this.limit = settings.parameterLimit();
    }

    @Override
    public Smell smell() {
        return SMELL;
    }

    @Override
    public List<Seer<?>> seers() {
        return List.of();
    }

    @Override
    public List<Finding> judge(Program program, Sightings sightings) {
        Calls calls = new Calls(program);
        List<Finding> findings = new ArrayList<>();
        for (Outline outline : program.outlines()) {
            for (TypeOutline type : outline.test() ? List.<TypeOutline>of() : outline.types()) {
                for (RoutineOutline routine : type.routines()) {
                    if (counted(routine) > limit && !isExcused(type, routine, program, calls)) {
                        findings.add(finding(type, routine, calls, outline.language().has(Language.Habit.NAMED_ARGUMENTS), outside(type, routine, program)));
                    }
                }
            }
        }
        return findings;
    }

    private static int counted(RoutineOutline routine) {
        int receiver = routine.traits().has(Mark.RECEIVER_FIRST) ? 1 : 0;
        return (int) routine.parameters().stream().filter(each -> !each.variadic()).count() - receiver;
    }

    private boolean isExcused(TypeOutline type, RoutineOutline routine, Program program, Calls calls) {
        boolean own = routine.isConstructor() && (type.kind() == TypeKind.RECORD || routine.traits().has(Mark.IMPLIED) && type.traits().has(Mark.DATA));
        return own || type.anonymous() || routine.traits().isDeprecated() || routine.traits().has(Mark.NATIVE)
                || isListed(type, routine, program)
                || routine.traits().overrides() || !program.rootOf(routine).equals(routine) || Dictated.isFacade(type, routine, program) || Dictated.isRegistered(type, routine, program)
                || routine.isConstructor() && (Dictated.repeatsParent(routine, calls) || isBuiltByName(type, routine, program)
                || calls.isKeptForBuilder(type, routine));
    }

    /** One of several overloads that take e1, e2, e3 ... one by one, or one value of each type parameter: a list of any length, written out. */
    private boolean isListed(TypeOutline type, RoutineOutline routine, Program program) {
        List<String> numbered = routine.parameters().stream().map(ParameterOutline::name).filter(each -> each.matches(".*\\d")).toList();
        if (numbered.size() < MANY || routine.parameters().size() - numbered.size() >= limit) {
            return false;
        }
        boolean counted = numbered.stream().collect(Collectors.groupingBy(each -> each.replaceAll("\\d+$", ""), Collectors.counting()))
                .values().stream().anyMatch(each -> each >= MANY);
        List<String> open = new ArrayList<>(type.typeParameters());
        program.type(type.outer()).ifPresent(outer -> open.addAll(outer.typeParameters()));
        boolean generic = routine.parameters().stream().filter(each -> open.stream().anyMatch(one ->
                each.type().text().matches("(.*\\W)?" + one + "(\\W.*)?"))).map(ParameterOutline::type).distinct().count() >= MANY;
        boolean overloaded = type.routines().stream().filter(each -> each.name().equals(routine.name())).count() > 2;
        return counted && generic || overloaded && (counted || routine.traits().isStatic());
    }

    /** Nearly all are called the same but for a number: the cells of a matrix, the points of a curve. */
    private static boolean isNumbered(RoutineOutline routine) {
        return routine.parameters().size() - routine.parameters().stream().filter(each -> each.name().matches("([a-z]{1,3}_?|_)\\d{1,2}")).count() <= 1;
    }

    /** All are called as in a formula, by a letter or two: who calls it has the formula before him. */
    private static boolean isFormula(RoutineOutline routine) {
        return routine.parameters().stream().allMatch(each -> each.name().matches("[A-Za-z]\\w?") && !each.type().simpleName().equals("String"))
                && routine.parameters().stream().map(ParameterOutline::type).distinct().count() <= 2;
    }

    /** A data class all of whose callers name what they pass, or any that has most of its parts named. */
    private static boolean isBuiltByName(TypeOutline type, RoutineOutline constructor, Program program) {
        if (constructor.parameters().stream().filter(each -> !each.variadic() && !each.named()).count() < 3) {
            return true;
        }
        boolean dataClass = type.traits().has(Mark.DATA);
        return dataClass && program.creations(type).stream().allMatch(each -> each.arguments().stream()
                .filter(argument -> argument.keyword().isEmpty()).count() < 3);
    }

    /** Longer lists are a burden to read, whoever calls. */
    private static final int SIZE = 7;
    /** So many values by their place alone can be kept apart. */
    private static final int MANY = 3;
    /** A call that hands over more than so many values by their place alone must be read with the signature beside it. */
    private static final int BURDEN = 4;
    /** Parameters with a default weigh so much less. */
    private static final int LIGHT = 4;

    private static final Pattern RANGE = Pattern.compile("(?i).*(off|offset|len|length|start|end|from|to|pos|position|idx|index)\\d?");

    /** How much less a contract weighs that nothing here carries out; least where nothing here even begins to, as where code is made from it. */
    private static double outside(TypeOutline type, RoutineOutline routine, Program program) {
        return !Dictated.isContract(type, routine, program) ? 0 : program.descendants(type).isEmpty() ? -4.0 : -2.4;
    }

    private static boolean isTyped(RoutineOutline routine) {
        return routine.parameters().stream().noneMatch(each -> each.type().text().isEmpty());
    }

    /** Texts and arrays of numbers with where in them, at least half of the list. */
    private static boolean isOfBuffers(RoutineOutline routine) {
        long arrays = routine.parameters().stream().filter(each -> each.type().text().matches("(final )?(CharSequence|(char|byte|int|float|double|short|long)\\[\\])")).count();
        long ranges = routine.parameters().stream().filter(each -> each.type().text().matches("(final )?(int|long)") && RANGE.matcher(each.name()).matches()).count();
        return arrays > 0 && ranges >= 2 && 2 * (arrays + ranges) >= routine.parameters().size();
    }

    private static Finding finding(TypeOutline type, RoutineOutline routine, Calls calls, boolean nameable, double outside) {
        List<Calls.Site> sites = calls.sites(type, routine);
        Map<Boolean, List<Calls.Site>> byCounting = sites.stream().collect(Collectors.partitioningBy(each -> calls.counts(type, each.routine())));
        List<Calls.Site> counted = byCounting.get(true);
        List<Place> callers = Stream.concat(counted.stream(), byCounting.get(false).stream()).map(each -> calls.caller(each, routine).place()).toList();
        long burdened = counted.stream().filter(each -> each.positional() > BURDEN).count();
        int required = (int) routine.parameters().stream().filter(each -> !each.optional() && !each.named()).count();
        List<String> neighbours = TelescopingConstructor.neighbours(routine);
        Set<String> files = new HashSet<>(Set.of(type.file()));
        callers.stream().limit(counted.size()).forEach(each -> files.add(each.file()));
        int reach = 1 + (int) Math.min(CALLERS, burdened);
        int count = counted(routine);
        Drag drag = Drag.of(reach, Math.min(reach, files.size()), required + (count - required) / LIGHT)
                .risk(required <= MANY && burdened == 0, -0.6, "callers hand over few: the rest has defaults")
                .risk(nameable, -0.8, "callers can name what they pass")
                .risk(outside < 0, outside, "nothing here does it: whoever does is outside, and takes them so")
                .risk(Dictated.isSpelledOut(type, routine, calls), -1.0, "an overload takes the objects, and spells them out for this one")
                .risk(routine.isConstructor() && type.isError(), -1.4, "an error is handed what its message tells")
                .risk(burdened == 1 && count <= SIZE, -0.8, "only one place calls it")
                .risk(count <= SIZE && neighbours.isEmpty() && isTyped(routine), -0.5, "no neighbours of one type: the compiler notices what is swapped")
                .risk(isNumbered(routine), -1.2, "its parameters are numbered: a row of values, which nobody takes for one another")
                .risk(isFormula(routine) && !isNumbered(routine), -1.2, "its parameters are the letters of a formula")
                .risk(count <= 2 * SIZE && isOfBuffers(routine), -0.7, "ranges of a buffer, handed on where objects would cost")
                .risk(burdened > 0 && count > required && required <= BURDEN, -0.6, "what is new can have a default: callers need not change")
                .risk(!neighbours.isEmpty(), Math.min(0.6, 0.2 * neighbours.size()),
                        Listing.count(neighbours.size(), "pair") + " of same-typed neighbours can be swapped unnoticed")
                .build();
        List<Evidence> evidence = new ArrayList<>(List.of(new Evidence(routine.file(), routine.line(), routine.line(),
                count + " parameters: " + routine.signature())));
        neighbours.forEach(pair -> evidence.add(new Evidence(routine.file(), routine.line(), routine.line(),
                "neighbours of the same type, easily mixed up: " + pair)));
        callers.stream().limit(CALLERS).forEach(each -> evidence.add(each.evidence()));
        String message = (routine.isConstructor() ? "the constructor" : routine.name() + "()") + " takes " + count
                + " parameters" + (neighbours.isEmpty() ? "" : "; easily mixed up: " + neighbours.get(0))
                + (callers.isEmpty() ? "" : counted.isEmpty() ? "; called from tests only" : "; called from " + Listing.count(counted.size(), "place") + " outside")
                + (counted.isEmpty() || counted.size() == callers.size() ? "" : ", and from " + (callers.size() - counted.size()) + " in tests");
        Gathered detail = new RoutineFacts.Parameters(routine.symbol(), routine.parameters().stream().map(ParameterOutline::name).toList(), callers);
        return SMELL.finding(Spot.of(routine), drag, message, evidence, detail);
    }
}
