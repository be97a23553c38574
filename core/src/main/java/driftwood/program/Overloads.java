package driftwood.program;

import java.util.List;

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
