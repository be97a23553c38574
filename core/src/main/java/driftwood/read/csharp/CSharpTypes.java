package driftwood.read.csharp;

import driftwood.read.AssignedFields.Told;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.TypeRef;
import java.util.Map;

/** Types as C# writes them. */
final class CSharpTypes {
    /** The keywords whose types have another name in the library. */
    private static final Map<String, String> KEYWORDS = Map.of("String", "string", "Object", "object");

    private CSharpTypes() {
    }

    /** What a written type says; NOTHING where it is left to the compiler. */
    static Told of(String written) {
        String bare = written.strip().replace("global::", "").replaceAll("\\s+", "");
        boolean nullable = bare.endsWith("?");
        bare = nullable ? bare.substring(0, bare.length() - 1) : bare;
        if (bare.isEmpty() || bare.equals("var") || bare.equals("void") && nullable || bare.startsWith("(")) {
            return new Told(TypeRef.NONE, nullable);
        }
        return new Told(new TypeRef(KEYWORDS.getOrDefault(bare, bare).intern()), nullable);
    }

    /** A name without its type arguments. */
    static String plain(String name) {
        int angle = name.indexOf('<');
        return (angle < 0 ? name : name.substring(0, angle)).strip().intern();
    }

    /** {@code log} for {@code log} and {@code this.log}. @param target a name or a member */
    static String lastName(Node target) {
        return target instanceof Member member ? member.name() : ((Name) target).name();
    }
}
