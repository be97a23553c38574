package driftwood.program;

import driftwood.source.Language.Habit;
import driftwood.tree.Import;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/** Finding fields by name: own ones, inherited ones, those of enclosing types, static imports. */
public final class Fields {
    private final Program program;
    private final Loose loose;

    Fields(Program program, Loose loose) {
        this.program = program;
        this.loose = loose;
    }

    /**
     * A field or enum constant and the type that declares it.
     *
     * @param owner    declares it
     * @param field    empty for an enum constant
     * @param constant the enum constant's name, else empty
     */
    public record Found(TypeOutline owner, Optional<FieldOutline> field, String constant) {

        /** Symbol in the form {@code quay.Office#berths}. */
        public String symbol() {
            return Symbol.member(owner.name(), field.map(FieldOutline::name).orElse(constant));
        }
    }

    /** A field of a type or of its ancestors. */
    Optional<Found> in(TypeOutline type, String name) {
        return in(type, name, new HashSet<>());
    }

    private Optional<Found> in(TypeOutline type, String name, Set<String> seen) {
        if (!seen.add(type.name())) {
            return Optional.empty();
        }
        if (type.constants().contains(name)) {
            return Optional.of(new Found(type, Optional.empty(), name));
        }
        Optional<FieldOutline> own = type.field(name);
        if (own.isPresent()) {
            return Optional.of(new Found(type, own, ""));
        }
        for (TypeOutline parent : program.parents(type)) {
            Optional<Found> found = in(parent, name, seen);
            if (found.isPresent()) {
                return found;
            }
        }
        return Optional.empty();
    }

    /** What a bare name means in a type: its fields, those of the types around it, static imports. */
    Optional<Found> around(TypeOutline scope, String name) {
        boolean implied = program.fileOf(scope).language().has(Habit.IMPLIED_SELF);
        for (TypeOutline type = scope; type != null; type = program.type(type.outer()).orElse(null)) {
            Optional<Found> found = implied || type.isModule() ? in(type, name) : Optional.empty();
            if (found.isPresent()) {
                return found;
            }
        }
        for (Import each : program.importsAround(scope)) {
            String member = each.member(name);
            Optional<Found> found = member.isEmpty() ? Optional.empty() : program.type(each.owner()).flatMap(type -> in(type, member));
            if (found.isPresent()) {
                return found;
            }
        }
        return loose.field(scope, name);
    }
}
