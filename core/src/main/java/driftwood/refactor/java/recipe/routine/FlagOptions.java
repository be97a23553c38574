package driftwood.refactor.java.recipe.routine;

import driftwood.pattern.Words;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.ValueType;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.TypeKind;

/**
 * Flags that a routine is told one behind the other: they become options, of which a caller names only those that it sets. A value of all
 * of them in their order would be mixed up just as easily.
 *
 * @param places which parameters they are, ascending
 * @param names  of them, in the same order
 */
record FlagOptions(List<Integer> places, List<String> names) {
    /** Those of a routine; of no place where they are too few, or too much would be left beside them. @param parts which parameters can be part of a value */
    static FlagOptions of(ExecutableElement routine, List<Integer> parts) {
        List<Integer> places = parts.stream().filter(each -> routine.getParameters().get(each).asType().getKind() == TypeKind.BOOLEAN).toList();
        return driftwood.pattern.ParameterObject.areOptions(places.size(), routine.getParameters().size())
                ? new FlagOptions(places, places.stream().map(each -> routine.getParameters().get(each).getSimpleName().toString()).toList())
                : new FlagOptions(List.of(), List.of());
    }

    boolean isEmpty() {
        return places.isEmpty();
    }

    /** The members of a type that holds them: one where none is set, and for each a copy in which it is. None where it is empty. */
    ValueType.Members members(String openness, String type) {
        if (isEmpty()) {
            return ValueType.Members.NONE;
        }
        String none = "    /** None of them. */\n    " + openness + "static final " + type + " NONE = new " + type
                + names.stream().map(each -> "false").collect(Collectors.joining(", ", "(", ");\n"));
        StringBuilder text = new StringBuilder();
        for (String each : names) {
            text.append("\n    ").append(openness).append(type).append(' ').append(step(each)).append("(boolean ").append(each).append(") {\n        return new ").append(type)
                    .append('(').append(String.join(", ", names)).append(");\n    }\n");
        }
        return new ValueType.Members(none, text.toString());
    }

    private static String step(String name) {
        return name.matches("with[A-Z].*") ? name : "with" + Words.upper(name);
    }

    /**
     * What a caller hands over, on lines of their own where it is long.
     *
     * @param site  the file that it stands in
     * @param at    where it begins there
     * @param type  as the file names it
     * @param given what it gave for each until now, in their order
     * @param own   the parameter of the routine around that holds the same options
     */
    String handed(Unit site, int at, String type, List<String> given, String own) {
        if (IntStream.range(0, given.size()).allMatch(each -> given.get(each).equals(own + "." + names.get(each) + "()"))) {
            return own;
        }
        return site.chain(at, type + ".NONE", IntStream.range(0, given.size()).filter(each -> !given.get(each).equals("false"))
                .mapToObj(each -> "." + step(names.get(each)) + "(" + given.get(each) + ")").toList());
    }
}
