package driftwood.refactor.java.ground;

import java.util.List;
import java.util.Map;

/** The code of a type that holds values and nothing else. */
public final class ValueType {
    /** Characters of a head beyond which each part has a line of its own. */
    private static final int WIDE = 108;

    /**
     * What a type has beside its parts.
     *
     * @param constants code, before everything else; empty for none
     * @param routines  code, after everything else; empty for none
     */
    public record Members(String constants, String routines) {
        /** No more than its parts. */
        public static final Members NONE = new Members("", "");
    }

    private ValueType() {
    }

    /**
     * A record where the project's level of the language has them, else a class with the same routines.
     *
     * @param openness what the declaration begins with
     * @param parts    types by name, in order
     */
    public static String code(Drafting drafting, String openness, String name, Map<String, String> parts) {
        return code(drafting, openness, name, parts, Members.NONE);
    }

    /** The same, with members beside its parts. */
    public static String code(Drafting drafting, String openness, String name, Map<String, String> parts, Members members) {
        List<String> each = parts.entrySet().stream().map(part -> part.getValue() + " " + part.getKey()).toList();
        String parameters = String.join(", ", each);
        parameters = openness.length() + name.length() + parameters.length() > WIDE ? "\n        " + String.join(",\n        ", each) : parameters;
        if (drafting.hasRecords()) {
            return openness + "record " + name + "(" + parameters + ") {\n" + members.constants() + members.routines() + "}\n";
        }
        StringBuilder text = new StringBuilder(openness + "final class " + name + " {\n").append(members.constants()).append(members.constants().isEmpty() ? "" : "\n");
        parts.forEach((part, of) -> text.append("    private final ").append(of).append(' ').append(part).append(";\n"));
        text.append("\n    ").append(openness).append(name).append('(').append(parameters.replace("\n", "\n    ")).append(") {\n");
        parts.forEach((part, of) -> text.append("        this.").append(part).append(" = ").append(part).append(";\n"));
        text.append("    }\n");
        parts.forEach((part, of) -> text.append("\n    ").append(openness).append(of).append(' ').append(part).append("() {\n        return ").append(part).append(";\n    }\n"));
        return text.append(members.routines()).append("}\n").toString();
    }
}
