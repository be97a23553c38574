package driftwood.smell.detect.construction;

import driftwood.program.Argument;
import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.TypeOutline;
import driftwood.smell.see.Calls;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * Constructors or creation routines that extend one another.
 *
 * @param steps shortest first; empty where there is no ladder
 */
record Ladder(List<RoutineOutline> steps) {
    private static final int STEPS = 3;
    private static final int MANY = 5;
    private static final Set<String> CONVENTIONAL =
            Set.of("String", "string", "Throwable", "Exception", "boolean", "Object[]", "Object");
    private static final Pattern COUNTED = Pattern.compile("(.*?)\\d+");

    static Ladder ofConstructors(TypeOutline type, List<RoutineOutline> constructors, Calls calls) {
        List<RoutineOutline> candidates = constructors.stream()
                .filter(each -> !repeatsParent(each, calls) && !creates(type, each, constructors, calls)).toList();
        Ladder ladder = of(candidates, (small, large) -> calls.inside(small, "this").stream()
                .anyMatch(call -> fills(small, large, call.arguments())));
        return type.isError() && ladder.isConventional() ? new Ladder(List.of()) : ladder;
    }

    static Ladder ofCreationRoutines(TypeOutline type, List<RoutineOutline> routines, Calls calls) {
        return of(routines, (small, large) -> {
            for (CallFact call : calls.inside(small, small.name())) {
                if (fills(small, large, call.arguments())) {
                    return true;
                }
            }
            List<CreationFact> direct = calls.creationsIn(type, small);
            return !direct.isEmpty() && extended(small, large);
        });
    }

    private interface Delegation {
        boolean leads(RoutineOutline small, RoutineOutline large);
    }

    /** The largest set of routines that all lead, step by step, to one longest. */
    private static Ladder of(List<RoutineOutline> candidates, Delegation delegation) {
        List<RoutineOutline> best = List.of();
        for (RoutineOutline top : candidates) {
            List<RoutineOutline> members = new ArrayList<>(List.of(top));
            boolean grown = true;
            while (grown) {
                grown = false;
                for (RoutineOutline each : candidates) {
                    boolean leads = !members.contains(each) && members.stream().anyMatch(member ->
                            each.parameters().size() < member.parameters().size()
                                    && (delegation.leads(each, member) || extended(each, member)));
                    if (leads) {
                        members.add(each);
                        grown = true;
                    }
                }
            }
            if (members.size() > best.size()) {
                best = members;
            }
        }
        List<RoutineOutline> sorted = new ArrayList<>(best);
        sorted.sort(Comparator.comparingInt((RoutineOutline each) -> each.parameters().size())
                .thenComparingInt(RoutineOutline::line));
        return new Ladder(sorted);
    }

    boolean isTelescope() {
        if (steps.isEmpty() || isCounted()) {
            return false;
        }
        int longest = steps.get(steps.size() - 1).parameters().size();
        return steps.size() >= STEPS || steps.size() == 2 && longest >= MANY;
    }

    /** Whether anybody else may choose a step: where all are private, the type's own creation routines choose, and they have names. */
    boolean isOpen() {
        return steps.stream().anyMatch(each -> !each.traits().isPrivate());
    }

    /** Parameters such as e1, e2, e3 stand for a list of any length, which is no set of options. */
    private boolean isCounted() {
        Set<String> words = new HashSet<>();
        List<ParameterOutline> parameters = steps.get(steps.size() - 1).parameters();
        long counted = parameters.stream().filter(each -> COUNTED.matcher(each.name()).matches()).count();
        parameters.forEach(each -> words.add(COUNTED.matcher(each.name()).replaceAll("$1")));
        return counted >= 2 && words.size() < parameters.size();
    }

    /** Names of the parts that shorter steps leave out. */
    Set<String> optional() {
        Set<String> names = new LinkedHashSet<>();
        Set<String> required = new HashSet<>();
        steps.get(0).parameters().forEach(each -> required.add(each.name()));
        steps.get(steps.size() - 1).parameters().stream().map(ParameterOutline::name)
                .filter(name -> !required.contains(name)).forEach(names::add);
        return names;
    }

    /** One combination of optional parts that the ladder does not offer; empty where it offers each part alone. */
    String missing() {
        List<String> required = steps.get(0).parameters().stream().map(ParameterOutline::name).toList();
        for (String part : optional()) {
            boolean alone = steps.stream().anyMatch(step -> step.parameters().size() == required.size() + 1
                    && step.parameters().stream().anyMatch(each -> each.name().equals(part)));
            if (!alone) {
                return "missing from the ladder: " + part + " without the parts before it";
            }
        }
        return "";
    }

    /** Whether the larger list holds all of the smaller one's parameters in order, and more. */
    private static boolean extended(RoutineOutline small, RoutineOutline large) {
        if (small.parameters().isEmpty() || small.parameters().size() >= large.parameters().size()) {
            return false;
        }
        int at = 0;
        for (ParameterOutline parameter : large.parameters()) {
            if (at < small.parameters().size() && same(small.parameters().get(at), parameter)) {
                at++;
            }
        }
        return at == small.parameters().size();
    }

    private static boolean same(ParameterOutline one, ParameterOutline other) {
        return one.name().equals(other.name()) && one.type().equals(other.type());
    }

    /** Whether a delegation passes every parameter on as it is and fills the rest. */
    private static boolean fills(RoutineOutline small, RoutineOutline large, List<Argument> arguments) {
        if (arguments.size() != large.parameters().size() || arguments.size() <= small.parameters().size()) {
            return false;
        }
        return small.parameters().stream().allMatch(each -> isPassed(each, arguments, large));
    }

    /** Overloads of the same length are told apart by the types at the places of the parameters passed on. */
    private static boolean isPassed(ParameterOutline parameter, List<Argument> arguments, RoutineOutline large) {
        for (int i = 0; i < arguments.size(); i++) {
            if (arguments.get(i).kind() == Argument.Kind.NAME && arguments.get(i).name().equals(parameter.name())
                    && large.parameters().get(i).type().name().equals(parameter.type().name())) {
                return true;
            }
        }
        return false;
    }

    /** A constructor that is the next one but for a collaborator, which it creates where nobody hands it in. */
    private static boolean creates(TypeOutline type, RoutineOutline small, List<RoutineOutline> constructors, Calls calls) {
        return calls.inside(small, "this").stream().anyMatch(call -> constructors.stream().anyMatch(large ->
                large.parameters().size() == small.parameters().size() + 1 && fills(small, large, call.arguments())
                        && IntStream.range(0, call.arguments().size()).filter(i -> call.arguments().get(i).kind() == Argument.Kind.OTHER)
                        .anyMatch(i -> calls.isCollaborator(large.parameters().get(i).type(), type))));
    }

    /** A constructor that only hands all its parameters to the parent's. */
    private static boolean repeatsParent(RoutineOutline constructor, Calls calls) {
        return !constructor.parameters().isEmpty() && calls.inside(constructor, "super").stream().anyMatch(call ->
                call.arguments().size() == constructor.parameters().size()
                        && constructor.brief());
    }

    /** Message and cause come and go in the overloads of an exception; only what is left counts. */
    private boolean isConventional() {
        Set<List<String>> own = new HashSet<>();
        for (RoutineOutline step : steps) {
            own.add(step.parameters().stream().filter(each -> !CONVENTIONAL.contains(each.type().text())
                    && !each.name().equals("cause")).map(ParameterOutline::name).toList());
        }
        return own.size() < STEPS;
    }
}
