package driftwood.refactor.java.ground;

import java.util.Map;
import java.util.stream.Collectors;

/** The code of a type that holds values and nothing else. */
public final class ValueType {
    private ValueType() {
    }

    /**
     * A record where the project's level of the language has them, else a class with the same routines.
     *
     * @param openness what the declaration begins with
     * @param parts    types by name, in order
     */
    public static String code(Drafting drafting, String openness, String name, Map<String, String> parts) {
        String parameters = parts.entrySet().stream().map(each -> each.getValue() + " " + each.getKey()).collect(Collectors.joining(", "));
        if (drafting.hasRecords()) {
            return openness + "record " + name + "(" + parameters + ") {\n}\n";
        }
        StringBuilder text = new StringBuilder(openness + "final class " + name + " {\n");
        parts.forEach((part, of) -> text.append("    private final ").append(of).append(' ').append(part).append(";\n"));
        text.append("\n    ").append(openness).append(name).append('(').append(parameters).append(") {\n");
        parts.forEach((part, of) -> text.append("        this.").append(part).append(" = ").append(part).append(";\n"));
        text.append("    }\n");
        parts.forEach((part, of) -> text.append("\n    ").append(openness).append(of).append(' ').append(part).append("() {\n        return ").append(part).append(";\n    }\n"));
        return text.append("}\n").toString();
    }
}
