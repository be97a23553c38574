package driftwood.behaviour.input;

import driftwood.tree.Import;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Member;
import driftwood.tree.Name;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.List;
import java.util.Optional;

/** Constants of the JDK's own classes, such as {@code Calendar.MONTH}: the compiler writes their values in their place. */
final class PlatformConstants {
    private PlatformConstants() {
    }

    /** The value of a constant as a literal; empty where it is none of the platform. Nothing of a project is loaded. */
    static Optional<Literal> of(Member member, List<Import> imports) {
        if (!(member.receiver() instanceof Name owner)) {
            return Optional.empty();
        }
        String type = imports.stream().filter(each -> !each.onDemand() && each.alias().equals(owner.name()))
                .map(Import::name).findFirst().orElse("java.lang." + owner.name());
        if (!type.startsWith("java.")) {
            return Optional.empty();
        }
        try {
            Field field = Class.forName(type, false, ClassLoader.getPlatformClassLoader()).getField(member.name());
            boolean constant = Modifier.isStatic(field.getModifiers()) && Modifier.isFinal(field.getModifiers());
            return constant ? literal(field.get(null)) : Optional.empty();
        } catch (ReflectiveOperationException | LinkageError e) {
            return Optional.empty();
        }
    }

    private static Optional<Literal> literal(Object value) {
        if (value instanceof Integer || value instanceof Long || value instanceof Short || value instanceof Byte) {
            return Optional.of(new Literal(0, 0, LiteralKind.INTEGER, value.toString()));
        }
        return value instanceof String text ? Optional.of(new Literal(0, 0, LiteralKind.STRING, text)) : Optional.empty();
    }
}
