package driftwood.smell.detect.construction;

import driftwood.program.Argument;
import driftwood.program.RoutineOutline;
import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** Which arguments stand where another's parameter is, by their names and types. */
final class Crossing {
    private static final Set<String> NUMBERS = Set.of("byte", "short", "int", "long", "float", "double");
    /** So many arguments in pairs that changed places. */
    private static final int TURNED = 6;
    /** Names that say nothing: numbered ones, and single letters that are no measure. */
    private static final Pattern SAYS_NOTHING = Pattern.compile(".*\\d|[A-Za-z&&[^hwxyz]]");

    private Crossing() {
    }

    /** Positions that form a cycle: each argument is named as the parameter of the next. */
    static List<Integer> of(List<Argument> arguments, RoutineOutline routine) {
        List<ParameterOutline> parameters = routine.parameters();
        int length = Math.min(arguments.size(), parameters.size());
        int[] targets = new int[length];
        int elsewhere = 0;
        for (int i = 0; i < length; i++) {
            boolean straight = arguments.get(i).name().equals(parameters.get(i).name());
            targets[i] = straight ? i : target(arguments.get(i), parameters, length);
            elsewhere += targets[i] >= 0 && targets[i] != i ? 1 : 0;
        }
        for (int i = 0; elsewhere >= 2 && i < length; i++) {
            List<Integer> cycle = new ArrayList<>();
            int at = i;
            while (at >= 0 && !cycle.contains(at)) {
                cycle.add(at);
                at = targets[at];
            }
            if (at == i && cycle.size() >= 2 && typesAllow(cycle, parameters)) {
                return cycle;
            }
        }
        return List.of();
    }

    private static int target(Argument argument, List<ParameterOutline> parameters, int length) {
        if (argument.kind() != Argument.Kind.NAME || !argument.keyword().isEmpty()) {
            return -1;
        }
        String name = "";
        for (int i = 0; i < length; i++) {
            String parameter = parameters.get(i).name();
            if (!mayBe(argument.name(), parameter)) {
                continue;
            }
            name = name.isEmpty() ? plain(argument.name()) : name;
            if (plain(parameter).equals(name)) {
                return SAYS_NOTHING.matcher(argument.name()).matches() ? -1 : i;
            }
        }
        return -1;
    }

    /** {@code getWidth}, {@code WIDTH}, {@code _width} and {@code width} are one name. */
    static String plain(String name) {
        boolean getter = name.length() > 3 && name.regionMatches(true, 0, "get", 0, 3) && Character.isUpperCase(name.charAt(3));
        return (getter ? name.substring(3) : name).replace("_", "").toLowerCase(Locale.ROOT);
    }

    /** Whether two names could be one: a cheap look before the exact one. */
    private static boolean mayBe(String argument, String parameter) {
        int last = argument.length() - 1;
        return last >= 0 && !parameter.isEmpty() && Character.toLowerCase(argument.charAt(last))
                == Character.toLowerCase(parameter.charAt(parameter.length() - 1));
    }

    private static boolean typesAllow(List<Integer> cycle, List<ParameterOutline> parameters) {
        TypeRef first = parameters.get(cycle.get(0)).type();
        return cycle.stream().map(at -> parameters.get(at).type()).allMatch(type -> type.equals(first)
                || NUMBERS.contains(type.text()) && NUMBERS.contains(first.text()));
    }

    /** Three pairs change places: rows are handed over for columns, throughout. */
    static boolean isTurned(List<Argument> arguments, RoutineOutline called) {
        return inPairs(arguments, called) >= TURNED;
    }

    /** How many arguments stand where that one's place is which stands in theirs. */
    static long inPairs(List<Argument> arguments, RoutineOutline called) {
        int length = Math.min(arguments.size(), called.parameters().size());
        return IntStream.range(0, length).filter(at -> {
            int target = target(arguments.get(at), called.parameters(), length);
            return target >= 0 && target != at && target(arguments.get(target), called.parameters(), length) == at;
        }).count();
    }
}
