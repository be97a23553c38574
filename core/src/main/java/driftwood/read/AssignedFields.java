package driftwood.read;

import driftwood.tree.Assignment;
import driftwood.tree.Creation;
import driftwood.tree.Field;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Mark;
import driftwood.tree.Member;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Parameter;
import driftwood.tree.Routine;
import driftwood.tree.RoutineKind;
import driftwood.tree.Search;
import driftwood.tree.Sequence;
import driftwood.tree.Traits;
import driftwood.tree.TypeRef;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** The fields of a language that has no declarations: what a type's routines give to the object itself. */
public final class AssignedFields {
    private final TypeRef truth;
    private final Function<Assignment, Told> told;

    /**
     * What is written beside an assignment.
     *
     * @param type     NONE where it says nothing definite
     * @param nullable whether it allows nothing
     */
    public record Told(TypeRef type, boolean nullable) {
        /** Nothing is written. */
        public static final Told NOTHING = new Told(TypeRef.NONE, false);
    }

    /** @param truth the language's type of true and false @param told what is written beside an assignment */
    public AssignedFields(TypeRef truth, Function<Assignment, Told> told) {
        this.truth = truth;
        this.told = told;
    }

    /**
     * The fields in the order in which they are first assigned; what the constructor says of them counts first.
     *
     * @param routines of the type
     * @param known    names of fields that are declared otherwise
     */
    public List<Node> of(List<Routine> routines, Set<String> known) {
        Map<String, Field> fields = new LinkedHashMap<>();
        for (boolean constructors : new boolean[] {true, false}) {
            for (Routine routine : routines) {
                if ((routine.kind() == RoutineKind.CONSTRUCTOR) == constructors && routine.body().isPresent()) {
                    for (Assignment assignment : Search.all(routine.body().get(), Assignment.class)) {
                        given(assignment, routine).filter(field -> !known.contains(field.name())).ifPresent(field ->
                                fields.merge(field.name(), field, AssignedFields::better));
                    }
                }
            }
        }
        return List.copyOf(fields.values());
    }

    /** The type that a value shows by itself; NONE where it shows none. */
    public static TypeRef typeOf(Node value) {
        if (value instanceof Sequence collection && !collection.type().equals("tuple")) {
            return new TypeRef(collection.type());
        }
        return value instanceof Creation creation ? creation.type() : TypeRef.NONE;
    }

    private static Field better(Field known, Field other) {
        return known.type().isPresent() || !other.type().isPresent() ? known : new Field(known.start(), known.end(), known.name(),
                other.type(), known.traits(), known.initial());
    }

    private Optional<Field> given(Assignment assignment, Routine routine) {
        if (!(assignment.target() instanceof Member member) || !(member.receiver() instanceof Name self)
                || !self.isSelf() || !assignment.operator().equals("=")) {
            return Optional.empty();
        }
        Node value = assignment.value();
        Told beside = told.apply(assignment);
        boolean nothing = value instanceof Literal literal && literal.kind() == LiteralKind.NULL;
        return Optional.of(new Field(assignment.start(), assignment.end(), member.name(),
                beside.type().isPresent() ? beside.type() : shown(value, routine),
                beside.nullable() ? Traits.of(Mark.IMPLIED, Mark.NULLABLE) : Traits.of(Mark.IMPLIED), nothing ? Optional.of(value) : Optional.empty()));
    }

    private TypeRef shown(Node value, Routine routine) {
        if (value instanceof Name name) {
            return routine.parameters().stream().filter(each -> each.name().equals(name.name())).map(Parameter::type)
                    .findFirst().orElse(TypeRef.NONE);
        }
        return value instanceof Literal literal && literal.kind() == LiteralKind.BOOLEAN ? truth : typeOf(value);
    }
}
