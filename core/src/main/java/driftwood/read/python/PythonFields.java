package driftwood.read.python;

import driftwood.read.python.PythonTypes.Annotated;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import driftwood.tree.Sequence;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
        Annotated type = assignment.part("type").map(each -> PythonTypes.of(module.text(each))).orElse(Annotated.NOTHING);
        Optional<Node> value = assignment.part("right").map(module::assigned);
        TypeRef inferred = type.type().isPresent() ? type.type() : value.map(PythonFields::typeOf).orElse(TypeRef.NONE);
        boolean constant = name.equals(name.toUpperCase(Locale.ROOT));
        Traits traits = shared ? constant ? Traits.of(Mark.STATIC, Mark.FINAL) : Traits.of(Mark.STATIC) : Traits.NONE;
        return Optional.of(new Field(statement.start(), statement.end(), name.intern(), inferred,
                type.nullable() ? traits.and(Mark.NULLABLE) : traits, value));
    }

    private static TypeRef typeOf(Node value) {
        if (value instanceof Sequence collection && !collection.type().equals("tuple")) {
            return new TypeRef(collection.type());
        }
        return value instanceof Creation creation ? creation.type() : TypeRef.NONE;
    }

    /** The fields that routines give to the object itself; what the constructor says of them counts first. */
    List<Node> ofInstance(List<Routine> routines, Set<String> known) {
        Map<String, Node> fields = new LinkedHashMap<>();
        for (boolean constructors : new boolean[] {true, false}) {
            for (Routine routine : routines) {
                if ((routine.kind() == RoutineKind.CONSTRUCTOR) == constructors && routine.body().isPresent()) {
                    for (Assignment assignment : Search.all(routine.body().get(), Assignment.class)) {
                        given(assignment, routine).filter(field -> !known.contains(field.name())).ifPresent(field ->
                                fields.merge(field.name(), field, PythonFields::better));
                    }
                }
            }
        }
        return List.copyOf(fields.values());
    }

    private static Node better(Node known, Node other) {
        Field one = (Field) known;
        Field two = (Field) other;
        return one.type().isPresent() || !two.type().isPresent() ? one : new Field(one.start(), one.end(), one.name(),
                two.type(), one.traits(), one.initial());
    }

    private Optional<Field> given(Assignment assignment, Routine routine) {
        if (!(assignment.target() instanceof Member member) || !(member.receiver() instanceof Name self)
                || !self.name().equals("this") || !assignment.operator().equals("=")) {
            return Optional.empty();
        }
        Node value = assignment.value();
        TypeRef type = typeOf(value);
        if (value instanceof Name name) {
            type = routine.parameters().stream().filter(each -> each.name().equals(name.name())).map(Parameter::type)
                    .findFirst().orElse(TypeRef.NONE);
        }
        if (value instanceof Literal literal && literal.kind() == LiteralKind.BOOLEAN) {
            type = new TypeRef("bool");
        }
        Annotated told = module.annotationOf(assignment);
        type = told.type().isPresent() ? told.type() : type;
        boolean none = value instanceof Literal literal && literal.kind() == LiteralKind.NULL;
        return Optional.of(new Field(assignment.start(), assignment.end(), member.name(), type,
                told.nullable() ? Traits.of(Mark.NULLABLE) : Traits.NONE,
                none ? Optional.of(value) : Optional.empty()));
    }
}
