package driftwood.program;

import driftwood.program.Outline.CallFact;
import driftwood.program.Outline.CreationFact;
import driftwood.read.FileTree;
import driftwood.tree.Call;
import driftwood.tree.Creation;
import driftwood.tree.EnumConstant;
import driftwood.tree.Field;
import driftwood.tree.Import;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Node;
import driftwood.tree.Routine;
import driftwood.tree.RoutineKind;
import driftwood.tree.TreeVisitor;
import driftwood.tree.TypeDeclaration;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;

/** Draws the outline of one file from its tree. */
public final class OutlineBuilder extends Walk {
    /** Changes whenever the outline of an unchanged tree changes. */
    public static final int VERSION = 13;
    private static final int BRIEF = 2;
    private static final int BRIEF_CONSTRUCTOR = 4;

    private final List<TypeOutline> types = new ArrayList<>();
    private final List<CreationFact> creations = new ArrayList<>();
    private final List<CallFact> calls = new ArrayList<>();
    private TypeRef createdSupertype = TypeRef.NONE;

    private OutlineBuilder(FileTree file) {
        super(file);
    }

    /** The outline of a file. */
    public static Outline of(FileTree file) {
        OutlineBuilder builder = new OutlineBuilder(file);
        builder.scan(file.unit());
        return new Outline(file.file().path(), file.file().language(), file.file().test(), file.lines().count(),
                file.unit().packageName(), unplaced(file.unit().imports()), builder.types, builder.creations, builder.calls);
    }

    /** Nobody asks where an import stands, and it moves with each line above it. */
    private static List<Import> unplaced(List<Import> imports) {
        return imports.stream().map(each -> new Import(0, 0, each.name(), each.onDemand(), each.isStatic(), each.alias()))
                .toList();
    }

    /** Collects the members of one type. */
    private final class Members implements TreeVisitor<Void> {
        private final List<FieldOutline> fields = new ArrayList<>();
        private final List<RoutineOutline> routines = new ArrayList<>();
        private final List<String> constants = new ArrayList<>();

        @Override
        public Void visitNode(Node node) {
            return null;
        }

        @Override
        public Void visitField(Field field) {
            fields.add(field(field));
            return null;
        }

        @Override
        public Void visitRoutine(Routine routine) {
            routines.add(new RoutineOutline(file.file().path(), type(), routine.name(), routine.kind(), routine.traits(),
                    routine.generics(), routine.returns(), parameters(routine), routine.body().isPresent(),
                    isBrief(routine), file.line(routine), file.endLine(routine)));
            return null;
        }

        private boolean isBrief(Routine routine) {
            int lines = file.endLine(routine) - file.line(routine) + 1;
            return lines <= (routine.kind() == RoutineKind.CONSTRUCTOR ? BRIEF_CONSTRUCTOR : BRIEF);
        }

        @Override
        public Void visitEnumConstant(EnumConstant constant) {
            constants.add(constant.name());
            return null;
        }
    }

    @Override
    protected void entered(TypeDeclaration declaration) {
        Members members = new Members();
        declaration.members().forEach(member -> member.accept(members));
        boolean anonymous = declaration.name().isEmpty();
        List<TypeRef> supertypes = anonymous && createdSupertype.isPresent()
                ? List.of(createdSupertype) : declaration.supertypes();
        String name = type();
        int dot = name.lastIndexOf('.');
        String around = dot < 0 ? "" : name.substring(0, dot);
        types.add(new TypeOutline(name.intern(), around.equals(file.unit().packageName()) ? "" : around,
                file.file().path(), declaration.kind(), declaration.traits(), declaration.typeParameters(), supertypes,
                declaration.permitted(), members.fields, members.routines, members.constants, anonymous,
                file.line(declaration), file.endLine(declaration)));
    }

    private FieldOutline field(Field field) {
        FieldOutline.Start start = field.initial().map(OutlineBuilder::startOf).orElse(FieldOutline.Start.NOTHING);
        Trail trail = field.initial().map(this::trail).orElse(Trail.UNKNOWN);
        return new FieldOutline(file.file().path(), field.name(), field.type(), field.traits(), start, trail, file.line(field),
                file.endLine(field));
    }

    private static FieldOutline.Start startOf(Node initial) {
        if (initial instanceof Literal literal) {
            return literal.kind() == LiteralKind.NULL ? FieldOutline.Start.NULL : FieldOutline.Start.LITERAL;
        }
        return FieldOutline.Start.VALUE;
    }

    @Override
    public Void visitCreation(Creation creation) {
        if (!creation.array()) {
            creations.add(new CreationFact(type(), member(), creation.type().text().intern(),
                    Argument.of(creation.arguments()), creation.body().isPresent(), file.line(creation)));
        }
        TypeRef outer = createdSupertype;
        createdSupertype = creation.type();
        visitNode(creation);
        createdSupertype = outer;
        return null;
    }

    @Override
    public Void visitEnumConstant(EnumConstant constant) {
        TypeRef outer = createdSupertype;
        createdSupertype = new TypeRef(type());
        super.visitEnumConstant(constant);
        createdSupertype = outer;
        return null;
    }

    /** A call may stand in the tree twice, once in what is asked and once in what is done: {@code a()?.b()}. */
    private final Set<Call> counted = Collections.newSetFromMap(new IdentityHashMap<>());

    @Override
    public Void visitCall(Call call) {
        if (!counted.add(call)) {
            return null;
        }
        Trail trail = trail(call);
        if (trail.isKnown() || trail.start() == Trail.Start.OPEN && tells(call)) {
            calls.add(new CallFact(type(), member(), trail, Argument.of(call.arguments()), file.line(call)));
        }
        return visitNode(call);
    }

    /** Whether what is handed over says something, where it is not known what is called: several arguments, or a yes or no. */
    private static boolean tells(Call call) {
        return call.arguments().size() > 1 || Argument.of(call.arguments()).stream().anyMatch(Argument::isBooleanLiteral);
    }
}
