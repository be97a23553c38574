package driftwood.smell.detect.construction;

import driftwood.program.Argument;
import driftwood.program.Outline.CallFact;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.program.Trail;
import driftwood.program.TypeOutline;
import driftwood.smell.see.Calls;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Parameter lists whose length is decided elsewhere: where they are handed on to, or by who is outside. */
final class Dictated {
    private Dictated() {
    }

    /** The parent's constructor gets nearly all of it handed on. */
    static boolean repeatsParent(RoutineOutline constructor, Calls calls) {
        return calls.inside(constructor, "super").stream().anyMatch(call -> leftOut(constructor, call) <= 1);
    }

    /** Nearly all of it goes on to another object's routine of the same name, where it is cured; recursion does not count. */
    static boolean isFacade(TypeOutline type, RoutineOutline routine, Program program) {
        return program.callsBy(routine).stream().filter(call -> call.trail().isCall() && call.trail().lastName().equals(routine.name())
                && !call.trail().owner().equals(Trail.THIS) && !call.trail().owner().equals(Trail.MODULE) && leftOut(routine, call) <= 1)
                .map(call -> program.routinesAt(call.trail(), call.within()))
                .anyMatch(meant -> type.isModule() || !meant.isEmpty() && meant.stream().noneMatch(each -> each.owner().equals(type.name())));
    }

    /** A function that is handed by its name to what is foreign, and never called here: what it takes is decided there. */
    static boolean isRegistered(TypeOutline type, RoutineOutline routine, Program program) {
        return type.isModule() && program.callsIn(program.fileOf(type)).stream().anyMatch(call -> call.arguments().stream().anyMatch(each ->
                each.kind() == Argument.Kind.NAME && each.name().equals(routine.name())) && program.routinesAt(call.trail(), call.within()).isEmpty())
                && program.callsOf(routine.name()).stream().noneMatch(call -> program.routinesAt(call.trail(), call.within()).contains(routine));
    }

    /**
     * A routine of an interface of several that nothing here does but by handing it on to another: those who do it, in
     * another module or in the language of the machine, are not here to be changed.
     */
    static boolean isContract(TypeOutline type, RoutineOutline routine, Program program) {
        return type.isInterface() && type.routines().size() > 1 && routine.isOnlyDeclared()
                && program.descendants(type).stream().flatMap(each -> each.routines().stream().filter(one -> one.name().equals(routine.name())
                && one.parameters().size() == routine.parameters().size() && !one.isOnlyDeclared())
                .map(one -> isFacade(each, one, program))).allMatch(handedOn -> handedOn);
    }

    /** One that a routine of the same name beside it calls with the parts of what it is handed: a vector's x, y and z. */
    static boolean isSpelledOut(TypeOutline type, RoutineOutline routine, Calls calls) {
        String name = routine.isConstructor() ? "this" : routine.name();
        return type.routines().stream().filter(each -> each != routine && each.name().equals(routine.name())
                && each.parameters().size() < routine.parameters().size()).anyMatch(each -> calls.inside(each, name).stream()
                .anyMatch(call -> call.arguments().size() == routine.parameters().size() && areParts(call.arguments(), each)));
    }

    private static boolean areParts(List<Argument> arguments, RoutineOutline of) {
        Set<String> wholes = of.parameters().stream().map(ParameterOutline::name).collect(Collectors.toSet());
        List<String> owners = arguments.stream().map(Argument::owner).filter(wholes::contains).toList();
        return 2 * owners.size() > arguments.size() && owners.stream().distinct().count() * 2 <= owners.size();
    }

    /** How many parameters a call within does not hand on. */
    private static long leftOut(RoutineOutline routine, CallFact call) {
        Set<String> handed = call.arguments().stream().map(Argument::name).collect(Collectors.toSet());
        return routine.parameters().stream().filter(each -> !each.variadic() && !handed.contains(each.name())).count();
    }
}
