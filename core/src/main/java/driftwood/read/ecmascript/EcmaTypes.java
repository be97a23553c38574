package driftwood.read.ecmascript;

import driftwood.read.AssignedFields.Told;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Types as TypeScript writes them. */
final class EcmaTypes {
    private static final Set<String> NOTHING = Set.of("null", "undefined");
    private static final Set<String> OPEN = Set.of("any", "unknown", "never", "object", "{}", "this");
    private static final Map<String, String> NAMES = Map.of("String", "string", "Number", "number", "Boolean", "boolean");

    private EcmaTypes() {
    }

    /** What is written behind the colon; NOTHING definite for functions, shapes and choices between several types. */
    static Told of(String written) {
        String bare = written.strip();
        bare = (bare.startsWith(":") ? bare.substring(1) : bare).strip();
        if (bare.startsWith("asserts ") || bare.matches("[\\w$]+\\s+is\\s.+")) {
            return new Told(new TypeRef("boolean"), false);
        }
        List<String> parts = new ArrayList<>();
        int depth = 0;
        int from = 0;
        for (int i = 0; i < bare.length(); i++) {
            char c = bare.charAt(i);
            depth += "<({[".indexOf(c) >= 0 ? 1 : c == '>' && i > 0 && bare.charAt(i - 1) == '=' ? 0 : ">)}]".indexOf(c) >= 0 ? -1 : 0;
            if (c == '|' && depth == 0) {
                parts.add(bare.substring(from, i).strip());
                from = i + 1;
            }
        }
        parts.add(bare.substring(from).strip());
        parts.removeIf(String::isEmpty);
        boolean nullable = parts.removeIf(NOTHING::contains);
        return new Told(parts.size() == 1 ? one(parts.get(0)) : TypeRef.NONE, nullable);
    }

    private static TypeRef one(String written) {
        String bare = written.startsWith("readonly ") ? written.substring(9).strip() : written;
        boolean named = bare.matches("[A-Za-z_$][\\w$.]*(\\s*<.*>)?(\\[])*") && !OPEN.contains(bare);
        return named ? new TypeRef(NAMES.getOrDefault(bare, bare.replaceAll("\\s+", "")).intern()) : TypeRef.NONE;
    }
}
