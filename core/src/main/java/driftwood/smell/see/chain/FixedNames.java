package driftwood.smell.see.chain;

import driftwood.tree.*;
import java.util.HashSet;
import java.util.Set;

/** Constants that a file declares and does not spell in capitals: {@code const string Plain = "plain"}. */
final class FixedNames {
    private FixedNames() {
    }

    /** Names of fixed texts and numbers that begin with a capital. */
    static Set<String> of(Unit unit) {
        Set<String> names = new HashSet<>();
        gather(unit, names);
        return names;
    }

    private static void gather(Node around, Set<String> names) {
        around.eachChild(child -> {
            if (child instanceof TypeDeclaration type) {
                gather(type, names);
            } else if (child instanceof Field field && field.traits().isFinal() && field.traits().isStatic()
                    && field.initial().filter(Literal.class::isInstance).isPresent() && Character.isUpperCase(field.name().charAt(0))) {
                names.add(field.name());
            }
        });
    }
}
