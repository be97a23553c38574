package driftwood.read.ruby;

import driftwood.read.AssignedFields.Told;
import driftwood.tree.TypeRef;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Types as comments say them: {@code @param name [Type]}, {@code @return [Type, nil]}. */
final class RubyTypes {
    private static final Map<String, String> NAMES = Map.of("Boolean", "bool", "Bool", "bool");

    private RubyTypes() {
    }

    static Told parameter(String comment, String name) {
        return said(comment, "@param\\s+(?:" + Pattern.quote(name) + "\\s+\\[([^\\]]*)]|\\[([^\\]]*)]\\s+" + Pattern.quote(name) + "\\b)");
    }

    static Told result(String comment) {
        return said(comment, "@return\\s+\\[([^\\]]*)]()");
    }

    private static Told said(String comment, String pattern) {
        Matcher found = Pattern.compile(pattern).matcher(comment);
        if (!found.find()) {
            return Told.NOTHING;
        }
        String written = found.group(1) == null ? found.group(2) : found.group(1);
        String[] parts = written.split("\\s*,\\s*");
        boolean nullable = written.matches(".*\\bnil\\b.*");
        String only = java.util.Arrays.stream(parts).filter(each -> !each.equals("nil")).reduce((one, two) -> "?").orElse("?");
        return new Told(only.matches("[A-Z][\\w:]*") ? new TypeRef(NAMES.getOrDefault(only, only.replace("::", ".")).intern()) : TypeRef.NONE, nullable);
    }
}
