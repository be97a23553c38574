package driftwood.read.python;

import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;

/** Annotations as types: {@code Optional[Berth]}, {@code Berth | None}, {@code dict[str, "Berth"]}. */
final class PythonTypes {
    /** Brackets in brackets deeper than this say nothing that anybody asks; each level costs a pass over the text. */
    private static final int DEEPEST = 16;

    /**
     * An annotation.
     *
     * @param type     NONE where it says nothing definite
     * @param nullable whether it allows None
     */
    record Annotated(TypeRef type, boolean nullable) {
        static final Annotated NOTHING = new Annotated(TypeRef.NONE, false);
    }

    private PythonTypes() {
    }

    static Annotated of(String written) {
        return of(written.replaceAll("\\s+", "").replace("\"", "").replace("'", ""), 0);
    }

    /** @param depth brackets around it */
    private static Annotated of(String text, int depth) {
        if (text.isEmpty() || depth > DEEPEST) {
            return Annotated.NOTHING;
        }
        List<String> choices = split(text, '|');
        if (choices.size() > 1) {
            boolean none = choices.remove("None");
            return choices.size() == 1 ? new Annotated(of(choices.get(0), depth + 1).type(), none) : new Annotated(TypeRef.NONE, none);
        }
        int open = text.indexOf('[');
        if (open < 0 || !text.endsWith("]")) {
            return new Annotated(new TypeRef(text), text.equals("None"));
        }
        String head = text.substring(0, open);
        String simple = head.substring(head.lastIndexOf('.') + 1);
        List<String> arguments = split(text.substring(open + 1, text.length() - 1), ',');
        return switch (simple) {
            case "Optional" -> new Annotated(of(arguments.get(0), depth + 1).type(), true);
            case "Union" -> union(arguments, depth);
            case "Annotated", "Final", "ClassVar", "Required", "NotRequired" -> of(arguments.get(0), depth + 1);
            case "Callable", "Literal", "Type", "type" -> new Annotated(new TypeRef(simple), false);
            default -> new Annotated(new TypeRef(head + "<" + String.join(",", arguments.stream()
                    .map(each -> of(each, depth + 1).type()).map(each -> each.isPresent() ? each.text() : "object").toList()) + ">"), false);
        };
    }

    private static Annotated union(List<String> arguments, int depth) {
        List<String> rest = new ArrayList<>(arguments);
        boolean none = rest.remove("None");
        return rest.size() == 1 ? new Annotated(of(rest.get(0), depth + 1).type(), none) : new Annotated(TypeRef.NONE, none);
    }

    /** Splits at a sign that stands in no bracket. */
    private static List<String> split(String text, char sign) {
        List<String> parts = new ArrayList<>();
        int depth = 0;
        int from = 0;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            depth += c == '[' || c == '(' ? 1 : c == ']' || c == ')' ? -1 : 0;
            if (c == sign && depth == 0) {
                parts.add(text.substring(from, i));
                from = i + 1;
            }
        }
        parts.add(text.substring(from));
        return parts;
    }
}
