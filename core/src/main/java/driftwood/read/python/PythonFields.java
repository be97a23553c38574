package driftwood.read.python;

import driftwood.read.AssignedFields;
import driftwood.read.AssignedFields.Told;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** The fields that Python never declares: what a module, a class or its constructor assigns. */
final class PythonFields {
    private final PythonModule module;

    PythonFields(PythonModule module) {
        this.module = module;
    }

    /** A constant or variable of the module; empty for any other statement. */
    Optional<Node> ofModule(Cst statement) {
        return assigned(statement, true);
    }

    /** An assignment to a bare name as a field. @param shared whether all instances have it in common */
    Optional<Node> assigned(Cst statement, boolean shared) {
        if (!statement.is("expression_statement") || statement.inner().size() != 1
                || !statement.inner().get(0).is("assignment")) {
            return Optional.empty();
        }
        Cst assignment = statement.inner().get(0);
        Optional<Cst> target = assignment.part("left").filter(each -> each.is("identifier"));
        if (target.isEmpty()) {
            return Optional.empty();
        }
        String name = module.text(target.get());
        Told type = assignment.part("type").map(each -> PythonTypes.of(module.text(each))).orElse(Told.NOTHING);
        Optional<Node> value = assignment.part("right").map(module::assigned);
        TypeRef inferred = type.type().isPresent() ? type.type() : value.map(AssignedFields::typeOf).orElse(TypeRef.NONE);
        boolean constant = name.equals(name.toUpperCase(Locale.ROOT));
        Traits traits = shared ? constant ? Traits.of(Mark.STATIC, Mark.FINAL) : Traits.of(Mark.STATIC) : Traits.NONE;
        return Optional.of(new Field(statement.start(), statement.end(), name.intern(), inferred,
                type.nullable() ? traits.and(Mark.NULLABLE) : traits, value));
    }

    /** The fields that routines give to the object itself. */
    List<Node> ofInstance(List<Routine> routines, Set<String> known) {
        return new AssignedFields(new TypeRef("bool"), module::annotationOf).of(routines, known);
    }
}
