package driftwood.program;

import java.util.List;
import java.util.Optional;

/** Tells overloads of one length apart by what is handed to them: literals by their type, names by what they are called. */
public final class Overloads {
    private Overloads() {
    }

    /**
     * Whether a call may mean this routine rather than one of the others.
     *
     * @param among all overloads, this one among them
     */
    public static boolean means(RoutineOutline routine, List<RoutineOutline> among, List<Argument> arguments) {
        if (!routine.takes(arguments.size())) {
            return false;
        }
        int own = closeness(routine, arguments);
        return own >= 0 && among.stream().filter(each -> !each.equals(routine) && each.takes(arguments.size()))
                .allMatch(each -> closeness(each, arguments) <= own);
    }

    /**
     * The routine of an ancestor that one overrides: the one of the same parameter types, else one of as many that may be called
     * otherwise there (a type parameter, a name in full); never one that takes an array or any number where this one takes one.
     */
    static Optional<RoutineOutline> overridden(RoutineOutline routine, TypeOutline ancestor) {
        Optional<RoutineOutline> found = Optional.empty();
        for (RoutineOutline each : ancestor.routines()) {
            if (each.name().equals(routine.name()) && each.parameters().size() == routine.parameters().size()
                    && !each.traits().isStatic() && !each.traits().isPrivate() && isOfOneForm(each, routine)) {
                if (isOfOneType(each, routine)) {
                    return Optional.of(each);
                }
                found = Optional.of(each);
            }
        }
        return found;
    }

    private static boolean isOfOneForm(RoutineOutline one, RoutineOutline other) {
        for (int i = 0; i < one.parameters().size(); i++) {
            RoutineOutline.ParameterOutline mine = one.parameters().get(i);
            RoutineOutline.ParameterOutline theirs = other.parameters().get(i);
            if ((mine.variadic() || mine.type().isArray()) != (theirs.variadic() || theirs.type().isArray())) {
                return false;
            }
        }
        return true;
    }

    private static boolean isOfOneType(RoutineOutline one, RoutineOutline other) {
        for (int i = 0; i < one.parameters().size(); i++) {
            if (!one.parameters().get(i).type().simpleName().equals(other.parameters().get(i).type().simpleName())) {
                return false;
            }
        }
        return true;
    }

    /** How many arguments are called like their parameter; -1 where one cannot be handed over. */
    private static int closeness(RoutineOutline routine, List<Argument> arguments) {
        int close = 0;
        for (int i = 0; i < Math.min(arguments.size(), routine.parameters().size()); i++) {
            RoutineOutline.ParameterOutline parameter = routine.parameters().get(i);
            Argument argument = arguments.get(i);
            if (!fits(argument, parameter.type().text())) {
                return -1;
            }
            String name = argument.name();
            boolean named = argument.kind() == Argument.Kind.NAME && (name.equalsIgnoreCase(parameter.name())
                    || name.equalsIgnoreCase(parameter.type().simpleName()));
            close += named ? 1 : 0;
        }
        return close;
    }

    private static boolean fits(Argument argument, String type) {
        if (type.isEmpty()) {
            return true;
        }
        return switch (argument.kind()) {
            case NULL -> !type.matches("boolean|byte|short|int|long|float|double|char");
            case TRUE, FALSE -> type.matches("boolean|Boolean|bool|Object|T|E");
            case ZERO -> !type.matches("boolean|Boolean|bool|[Ss]tring|str");
            case EMPTY -> !type.matches("boolean|Boolean|bool|byte|short|int|long|float|double");
            case LITERAL, NAME, OTHER -> true;
        };
    }
}
