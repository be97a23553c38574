package driftwood.smell.detect.nothing;

import driftwood.program.Program;
import driftwood.program.TypeOutline;
import driftwood.smell.Drag;
import driftwood.tree.TypeRef;
import java.util.Optional;
import java.util.Set;

/** What can stand for a thing that is missing, by its type: the less there is, the less a check for nothing is worth telling. */
final class Missing {
    /** A text, a number or a truth value: no object with the same routines can stand for it. */
    private static final Set<String> VALUES = Set.of("String", "CharSequence", "str", "bytes", "Integer", "Long", "Short", "Byte", "Character",
            "Double", "Float", "Boolean", "BigDecimal", "BigInteger", "int", "float", "bool", "Object", "Class");
    private static final int FEW = 3;

    private Missing() {
    }

    /**
     * Weighs a finding.
     *
     * @param type    of what is missing
     * @param owner   declares it
     * @param guards  places that ask for nothing
     * @param careful whether everybody asks
     */
    static Drag.Builder weighed(Drag.Builder drag, TypeRef type, TypeOutline owner, int guards, boolean careful, Program program) {
        Optional<TypeOutline> known = program.resolve(type, owner);
        boolean value = VALUES.contains(type.simpleName()) || owner.typeParameters().contains(type.text());
        boolean link = known.filter(each -> each.equals(owner) || program.ancestors(owner).contains(each) && !each.isInterface()).isPresent();
        return drag.risk(value, -2.0, "what is missing is a value: no object can stand for it")
                .risk(link, -0.5, "it links to another of its kind, and links end somewhere")
                .risk(guards > 1 && guards <= FEW && careful && !value && !link, -0.6, "few places ask, and all of them do");
    }
}
