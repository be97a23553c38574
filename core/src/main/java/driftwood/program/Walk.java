package driftwood.program;

import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.read.FileTree;
import driftwood.tree.*;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Walks a file and knows at each node where it is: in which type, in which routine, and which locals are in sight.
 * Outlines and detectors extend it. Overriding a declaration's visit must call the original.
 */
public abstract class Walk extends TreeScanner {
    protected final FileTree file;
    private final Deque<String> types = new ArrayDeque<>();
    private final Deque<Place> members = new ArrayDeque<>();
    private final Deque<Routine> routines = new ArrayDeque<>();
    private final Scopes scopes = new Scopes();
    private final Map<String, Integer> anonymous = new HashMap<>();

    protected Walk(FileTree file) {
        this.file = file;
    }

    /** Qualified name of the type around the current node; empty outside of types. */
    protected final String type() {
        return types.isEmpty() ? "" : types.peek();
    }

    /** Symbol of the routine or field around the current node, else the type's name. */
    protected final String member() {
        return members.isEmpty() ? type() : members.peek().symbol();
    }

    /** The routine around the current node. */
    protected final Optional<Routine> routine() {
        return Optional.ofNullable(routines.peek());
    }

    /** Symbol of a routine declared in the current type. */
    protected final String symbol(Routine routine) {
        return RoutineOutline.symbol(type(), routine.name(), parameters(routine));
    }

    protected static List<ParameterOutline> parameters(Routine routine) {
        List<ParameterOutline> outlines = new ArrayList<>();
        for (Parameter each : routine.parameters()) {
            outlines.add(new ParameterOutline(each.name(), each.type(), isNullable(each.traits()), each.variadic(),
                    each.fallback().isPresent(), each.traits().has("named")));
        }
        return outlines;
    }

    /** Whether an annotation says that nothing is allowed here. */
    protected static boolean isNullable(Traits traits) {
        for (String name : traits.annotations()) {
            if (name.endsWith("Nullable") || name.equals("CheckForNull")) {
                return true;
            }
        }
        return false;
    }

    /** A routine, field or type around; its symbol is spelled out only when somebody asks. */
    private static final class Place {
        private final String type;
        private final Routine routine;
        private String symbol;

        Place(String symbol) {
            this.type = symbol;
            this.routine = NO_ROUTINE;
            this.symbol = symbol;
        }

        Place(String type, Routine routine) {
            this.type = type;
            this.routine = routine;
            this.symbol = "";
        }

        String symbol() {
            if (symbol.isEmpty() && routine != NO_ROUTINE) {
                symbol = RoutineOutline.symbol(type, routine.name(), parameters(routine)).intern();
            }
            return symbol;
        }
    }

    /** Called when a type has been entered, with its qualified name on top; anonymous types too. */
    protected void entered(TypeDeclaration declaration) {
    }

    @Override
    public Void visitTypeDeclaration(TypeDeclaration declaration) {
        String outer = types.isEmpty() ? file.unit().packageName() : types.peek();
        String own = declaration.name().isEmpty()
                ? "<" + anonymous.merge(outer, 1, Integer::sum) + ">" : declaration.name();
        types.push(outer.isEmpty() ? own : outer + "." + own);
        members.push(new Place(types.peek()));
        routines.push(NO_ROUTINE);
        entered(declaration);
        visitNode(declaration);
        routines.pop();
        members.pop();
        types.pop();
        return null;
    }

    private static final Routine NO_ROUTINE = new Routine(0, 0, "", RoutineKind.INITIALISER, Traits.NONE, List.of(),
            TypeRef.NONE, List.of(), Optional.empty());

    @Override
    public Void visitRoutine(Routine routine) {
        routines.push(routine);
        members.push(new Place(type(), routine));
        scopes.open();
        routine.parameters().forEach(each -> declare(each.name(), Trail.typed(each.type())));
        visitNode(routine);
        scopes.close();
        members.pop();
        routines.pop();
        return null;
    }

    @Override
    public Void visitField(Field field) {
        members.push(new Place(type() + "#" + field.name()));
        visitNode(field);
        members.pop();
        return null;
    }

    @Override
    public Void visitBlock(Block block) {
        scopes.open();
        visitNode(block);
        scopes.close();
        return null;
    }

    @Override
    public Void visitArm(Arm arm) {
        scopes.open();
        visitNode(arm);
        scopes.close();
        return null;
    }

    @Override
    public Void visitLoop(Loop loop) {
        scopes.open();
        if (loop.kind() == LoopKind.EACH && loop.header().size() == 2 && loop.header().get(0) instanceof Local local) {
            scan(loop.header().get(1));
            declare(local.name(), local.type().isPresent() ? Trail.typed(local.type())
                    : trail(loop.header().get(1)).then(Trail.ELEMENT));
            scan(loop.body());
        } else {
            visitNode(loop);
        }
        scopes.close();
        return null;
    }

    @Override
    public Void visitLambda(Lambda lambda) {
        scopes.open();
        lambda.parameters().forEach(each -> declare(each.name(), Trail.typed(each.type())));
        visitNode(lambda);
        scopes.close();
        return null;
    }

    @Override
    public Void visitLocal(Local local) {
        visitNode(local);
        Trail declared = Trail.typed(local.type());
        Trail initial = local.initial().map(this::trail).orElse(Trail.UNKNOWN);
        declare(local.name(), initial.isCall() ? initial.heldAs(local.type())
                : declared.isKnown() ? declared : initial);
        return null;
    }

    @Override
    public Void visitTypeTest(TypeTest test) {
        visitNode(test);
        test.binding().ifPresent(name -> declare(name, Trail.typed(test.type())));
        return null;
    }

    /** An assigned local holds the new value from here on; its declared type stays known. */
    @Override
    public Void visitAssignment(Assignment assignment) {
        visitNode(assignment);
        if (assignment.target() instanceof Name name && assignment.operator().equals("=")) {
            Trail value = trail(assignment.value());
            scopes.replace(name.name(), held -> value.isCall() ? value.heldAs(declaredType(held))
                    : held.isKnown() ? typed(held) : value);
        }
        return null;
    }

    private static TypeRef declaredType(Trail held) {
        if (held.start() == Trail.Start.TYPED && held.steps().isEmpty()) {
            return new TypeRef(held.head());
        }
        return held.last().startsWith(Trail.HELD) ? new TypeRef(held.last().substring(1)) : TypeRef.NONE;
    }

    private static Trail typed(Trail held) {
        return declaredType(held).isPresent() ? Trail.typed(declaredType(held)) : held;
    }

    private void declare(String name, Trail trail) {
        scopes.declare(name, trail);
    }

    /** Whether a name is a local or parameter here. */
    protected final boolean isLocal(String name) {
        return scopes.of(name) != null;
    }

    /** The way to a value from here. */
    protected final Trail trail(Node node) {
        return node.accept(trails);
    }

    private final TreeVisitor<Trail> trails = new TreeVisitor<>() {
        @Override
        public Trail visitNode(Node node) {
            return Trail.UNKNOWN;
        }

        @Override
        public Trail visitName(Name name) {
            return ofName(name.name());
        }

        @Override
        public Trail visitMember(Member member) {
            return trail(member.receiver()).then(member.name());
        }

        @Override
        public Trail visitCall(Call call) {
            Trail bare = file.file().language().hasImpliedSelf() || call.name().equals("super") ? Trail.THIS : Trail.MODULE;
            Trail owner = call.receiver().map(Walk.this::trail).orElse(bare);
            return owner.thenCall(call.name(), call.arguments().size());
        }

        @Override
        public Trail visitCreation(Creation creation) {
            return Trail.created(creation.type());
        }

        @Override
        public Trail visitCast(Cast cast) {
            return Trail.typed(cast.type());
        }

        @Override
        public Trail visitIndex(Index index) {
            return trail(index.receiver()).then(Trail.ELEMENT);
        }

        @Override
        public Trail visitLiteral(Literal literal) {
            return new Trail(Trail.Start.LITERAL, literal.kind().name(), List.of());
        }

        @Override
        public Trail visitAssignment(Assignment assignment) {
            return trail(assignment.target());
        }
    };

    private Trail ofName(String name) {
        if (name.equals("this")) {
            return Trail.THIS;
        }
        if (name.equals("super")) {
            return new Trail(Trail.Start.SUPER, "", List.of());
        }
        Trail held = scopes.of(name);
        return held == null ? Trail.name(name) : held;
    }
}
