package driftwood.read.php;

import driftwood.read.AssignedFields.Told;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Types as PHP writes them, in declarations and in comments. */
final class PhpTypes {
    private static final Set<String> OPEN = Set.of("mixed", "void", "never", "callable", "iterable", "object", "resource", "false", "$this", "scalar");
    private static final Map<String, String> NAMES = Map.of("boolean", "bool", "integer", "int", "double", "float", "true", "bool");

    private PhpTypes() {
    }

    /** What is written. @param owner the class around, which self and static mean; may be empty */
    static Told of(String written, String owner) {
        String bare = written.strip();
        boolean nullable = bare.startsWith("?");
        List<String> parts = new ArrayList<>(List.of((nullable ? bare.substring(1) : bare).split("\\s*\\|\\s*")));
        nullable |= parts.removeIf(each -> each.equalsIgnoreCase("null"));
        return new Told(parts.size() == 1 ? one(parts.get(0), owner) : TypeRef.NONE, nullable);
    }

    private static TypeRef one(String written, String owner) {
        String lower = written.toLowerCase(Locale.ROOT);
        if (lower.equals("self") || lower.equals("static")) {
            return owner.isEmpty() ? TypeRef.NONE : new TypeRef(owner);
        }
        boolean named = written.matches("\\\\?[A-Za-z_][\\w\\\\]*(\\[])*") && !OPEN.contains(lower);
        return named ? new TypeRef(NAMES.getOrDefault(lower, dotted(written)).intern()) : TypeRef.NONE;
    }

    /** A name with its namespace, dots between; a leading backslash is only a beginning. */
    static String dotted(String name) {
        String bare = name.startsWith("\\") ? name.substring(1) : name;
        return bare.replace('\\', '.').intern();
    }

    /** What a comment says of a value. @param tag such as {@code @var} @param name with its dollar sign, or empty for the first */
    static Told said(String comment, String tag, String name, String owner) {
        Matcher found = Pattern.compile("@" + tag + "\\s+([^\\s*]+)" + (name.isEmpty() ? "" : "\\s+(?:&|\\.\\.\\.)?" + Pattern.quote(name) + "\\b")).matcher(comment);
        return found.find() ? of(found.group(1), owner) : Told.NOTHING;
    }
}
