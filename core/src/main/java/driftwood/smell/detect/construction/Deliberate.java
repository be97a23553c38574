package driftwood.smell.detect.construction;

import driftwood.program.Argument;
import driftwood.program.Outline;
import driftwood.program.Outline.CreationFact;
import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.Symbol;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Tells from names and from what stands around a call whether its arguments change places on purpose. */
final class Deliberate {
    private static final Pattern DELIBERATE = Pattern.compile("(?i).*(swap|mirror|transpos|invert|inverse|revers|flip|"
            + "rotat|compar|equal|unordered|descend|endian|exchange|opposite|symmetric|commut|backward|undo|restore|negat|"
            + "decrypt|orient|switch|rename).*|(.*_)?(inv|[lg][te])(_.*)?");
    private static final Pattern RELATION = Pattern.compile("(?i).*(less|greater|than|before|after|smaller|larger|subset|superset|"
            + "dominates|prefer|better|worse|covers).*|by[A-Z_].*");
    private static final Pattern EXCHANGE = Pattern.compile("(?i)(swap|exchange|transpose|flip|mirror)\\w*");
    private static final Set<String> NUMBERS = Set.of("byte", "short", "int", "long", "float", "double");

    private Deliberate() {
    }

    /** Whether the routine called, or the one around, is there for it. @param caller symbol of the routine around */
    static boolean is(RoutineOutline called, String caller, Outline outline) {
        String routine = Symbol.of(caller).member();
        return DELIBERATE.matcher(called.name()).matches() || DELIBERATE.matcher(routine).matches()
                || routine.equals(called.name()) || DELIBERATE.matcher(caller).matches() || isRelation(called) || exchanges(outline, caller);
    }

    /** Of two things of one type, which is the greater: who asks the other way round means it. */
    private static boolean isRelation(RoutineOutline called) {
        List<ParameterOutline> parameters = called.parameters();
        boolean alike = parameters.size() == 2 && parameters.get(0).type().equals(parameters.get(1).type())
                && !NUMBERS.contains(parameters.get(0).type().text());
        return parameters.get(0).type().isPresent() && alike && called.returns().text().matches("boolean|int|bool|Boolean|Integer")
                || RELATION.matcher(called.name()).matches();
    }

    /** The routine has things change places before. */
    private static boolean exchanges(Outline outline, String caller) {
        return outline.calls().stream().anyMatch(each -> each.routine().equals(caller) && EXCHANGE.matcher(each.trail().lastName()).matches());
    }

    /** It is called with the same two the other way round as well, whatever goes with them: there are two directions here. */
    private static boolean turnsBack(RoutineOutline called, List<Argument> arguments, List<Integer> cycle, Outline outline, String caller) {
        String first = arguments.get(cycle.get(0)).name();
        String second = arguments.get(cycle.get(1)).name();
        boolean rising = cycle.get(0) < cycle.get(1);
        return Stream.concat(outline.calls().stream().filter(each -> each.routine().equals(caller) && each.trail().lastName().equals(called.name())).map(CallFact::arguments),
                outline.creations().stream().filter(each -> each.routine().equals(caller) && called.isConstructor()
                        && new TypeRef(each.type()).simpleName().equals(called.name())).map(CreationFact::arguments)).anyMatch(other -> {
                    List<String> names = other.stream().map(Argument::name).toList();
                    int one = names.indexOf(first);
                    int two = names.indexOf(second);
                    return one >= 0 && two >= 0 && one < two != rising;
                });
    }

    /** Made of its own parts, or of those of another of its type, the other way round: its mirror image. */
    static boolean isOwnMirror(RoutineOutline called, List<Argument> crossed, String caller, Program program) {
        List<String> owners = crossed.stream().map(Argument::owner).distinct().toList();
        Optional<RoutineOutline> around = program.type(Symbol.of(caller).type()).flatMap(type -> type.routine(caller));
        if (!called.isConstructor() || owners.size() != 1 || around.isEmpty()) {
            return false;
        }
        if (Set.of("", "this", "self").contains(owners.get(0))) {
            return around.get().owner().equals(called.owner()) && !around.get().traits().isStatic() && around.get().parameters().stream()
                    .noneMatch(parameter -> crossed.stream().anyMatch(each -> each.name().equals(parameter.name())));
        }
        return around.get().parameters().stream().anyMatch(each -> each.name().equals(owners.get(0)) && each.type().simpleName().equals(called.name()));
    }

    /** The same routine calls it both ways round, or crosses it again: it knows what it does. */
    static boolean isMirrored(RoutineOutline called, List<Argument> arguments, List<Integer> cycle, Outline outline,
            String caller) {
        List<List<Argument>> others = new ArrayList<>();
        if (called.isConstructor()) {
            String type = Symbol.of(called.owner()).simpleType();
            outline.creations().stream().filter(each -> each.routine().equals(caller) && new TypeRef(each.type()).simpleName().equals(type))
                    .forEach(each -> others.add(each.arguments()));
        } else {
            outline.calls().stream().filter(each -> each.routine().equals(caller) && each.trail().lastName().equals(called.name()))
                    .forEach(each -> others.add(each.arguments()));
        }
        if (turnsBack(called, arguments, cycle, outline, caller)) {
            return true;
        }
        others.removeIf(other -> other.size() != arguments.size());
        boolean straight = others.stream().anyMatch(other -> cycle.stream()
                .allMatch(at -> Crossing.plain(other.get(at).name()).equals(Crossing.plain(called.parameters().get(at).name()))));
        long crossing = others.stream().filter(other -> cycle.stream()
                .anyMatch(at -> Crossing.plain(other.get(at).name()).equals(Crossing.plain(arguments.get(at).name())))).count();
        return straight || crossing > 1;
    }
}
