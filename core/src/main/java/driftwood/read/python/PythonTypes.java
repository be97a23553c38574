package driftwood.read.python;

import driftwood.read.AssignedFields.Told;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;

/** Annotations as types: {@code Optional[Berth]}, {@code Berth | None}, {@code dict[str, "Berth"]}. */
final class PythonTypes {
    /** Brackets in brackets deeper than this say nothing that anybody asks; each level costs a pass over the text. */
    private static final int DEEPEST = 16;

    private PythonTypes() {
    }

    static Told of(String written) {
        return of(written.replaceAll("\\s+", "").replace("\"", "").replace("'", ""), 0);
    }

    /** @param depth brackets around it */
    private static Told of(String text, int depth) {
        if (text.isEmpty() || depth > DEEPEST) {
            return Told.NOTHING;
        }
        List<String> choices = split(text, '|');
        if (choices.size() > 1) {
            boolean none = choices.remove("None");
            return choices.size() == 1 ? new Told(of(choices.get(0), depth + 1).type(), none) : new Told(TypeRef.NONE, none);
        }
        int open = text.indexOf('[');
        if (open < 0 || !text.endsWith("]")) {
            return new Told(new TypeRef(text), text.equals("None"));
        }
        String head = text.substring(0, open);
        String simple = head.substring(head.lastIndexOf('.') + 1);
        List<String> arguments = split(text.substring(open + 1, text.length() - 1), ',');
        // driftwood: leave type-switch because the names are those of the language: nobody teaches an annotation to read itself
        return switch (simple) {
            case "Optional" -> new Told(of(arguments.get(0), depth + 1).type(), true);
            case "Union" -> union(arguments, depth);
            case "Annotated", "Final", "ClassVar", "Required", "NotRequired" -> of(arguments.get(0), depth + 1);
            case "Callable", "Literal", "Type", "type" -> new Told(new TypeRef(simple), false);
            default -> new Told(new TypeRef(head + "<" + String.join(",", arguments.stream()
                    .map(each -> of(each, depth + 1).type()).map(each -> each.isPresent() ? each.text() : "object").toList()) + ">"), false);
        };
    }

    private static Told union(List<String> arguments, int depth) {
        List<String> rest = new ArrayList<>(arguments);
        boolean none = rest.remove("None");
        return rest.size() == 1 ? new Told(of(rest.get(0), depth + 1).type(), none) : new Told(TypeRef.NONE, none);
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
