package driftwood.tree;

import java.util.ArrayList;
import java.util.List;

/**
 * A type as the source names it, with its arguments: {@code Map<String, List<Berth>>}, {@code quay.Berth},
 * {@code Berth[]}.
 *
 * @param text without white space; empty where no type is declared
 */
public record TypeRef(String text) {
    /** No declared type. */
    public static final TypeRef NONE = new TypeRef("");

    /** The name without arguments and array brackets, perhaps qualified. */
    public String name() {
        int end = text.length();
        int angle = text.indexOf('<');
        if (angle < 0 && (end == 0 || text.charAt(end - 1) != ']')) {
            return text;
        }
        if (angle >= 0) {
            end = angle;
        }
        int bracket = text.indexOf('[');
        if (bracket >= 0 && bracket < end) {
            end = bracket;
        }
        return text.substring(0, end);
    }

    /** The last segment of the name. */
    public String simpleName() {
        String name = name();
        return name.substring(name.lastIndexOf('.') + 1);
    }

    public boolean isPresent() {
        return !text.isEmpty();
    }

    public boolean isArray() {
        return text.endsWith("[]");
    }

    /** The type of an array's elements. */
    public TypeRef element() {
        return isArray() ? new TypeRef(text.substring(0, text.length() - 2)) : NONE;
    }

    /** The type arguments, wildcards reduced to their bound; empty where there are none. */
    public List<TypeRef> arguments() {
        int open = text.indexOf('<');
        int close = text.lastIndexOf('>');
        if (open < 0 || close < open) {
            return List.of();
        }
        List<TypeRef> arguments = new ArrayList<>();
        int depth = 0;
        int from = open + 1;
        for (int i = from; i <= close; i++) {
            char c = text.charAt(i);
            if (c == '<') {
                depth++;
            } else if (c == '>' && i < close) {
                depth--;
            } else if (depth == 0 && (c == ',' || i == close)) {
                arguments.add(argument(text.substring(from, i).strip()));
                from = i + 1;
            }
        }
        return arguments;
    }

    private static TypeRef argument(String written) {
        String bound = written;
        if (bound.startsWith("?extends")) {
            bound = bound.substring("?extends".length());
        } else if (bound.startsWith("?super")) {
            bound = bound.substring("?super".length());
        } else if (bound.equals("?")) {
            bound = "Object";
        }
        return new TypeRef(bound);
    }
}
