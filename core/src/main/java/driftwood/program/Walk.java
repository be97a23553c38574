package driftwood.program;

import driftwood.read.FileTree;
import driftwood.source.Language.Habit;
import driftwood.tree.*;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Walks a file and knows at each node which locals are in sight, and so the way to any value. Outlines and detectors
 * extend it. Overriding a declaration's visit must call the original.
 */
public abstract class Walk extends Whereabouts {
    /** Routines of collections, streams and optional values that hand their elements to a lambda. */
    private static final Set<String> GIVING = Set.of("forEach", "forEachOrdered", "map", "mapToInt", "mapToLong", "mapToDouble", "mapToObj",
            "flatMap", "filter", "anyMatch", "allMatch", "noneMatch", "removeIf", "peek", "ifPresent", "ifPresentOrElse", "takeWhile",
            "dropWhile", "replaceAll");

    private final Scopes scopes = new Scopes();
    private Deque<Loop> loops = new ArrayDeque<>();
    /** Lambdas that are handed the elements of what they are given to, until they are visited. */
    private final Map<Lambda, Call> givers = new IdentityHashMap<>();

    protected Walk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitNode(Node node) {
        if (node instanceof Call call && call.receiver().isPresent() && GIVING.contains(call.name())) {
            for (Node each : call.arguments()) {
                if (each instanceof Lambda lambda) {
                    givers.put(lambda, call);
                }
            }
        }
        return super.visitNode(node);
    }

    /** The loops of the same routine around the current node, the innermost first. */
    protected final Deque<Loop> loops() {
        return loops;
    }

    @Override
    public Void visitRoutine(Routine routine) {
        Deque<Loop> outer = loops;
        loops = new ArrayDeque<>();
        scopes.open();
        for (Parameter each : routine.parameters()) {
            declare(each.name(), handed(each));
        }
        super.visitRoutine(routine);
        scopes.close();
        loops = outer;
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
        loops.push(loop);
        scopes.open();
        if (loop.kind() == LoopKind.EACH && loop.header().size() == 2 && loop.header().get(0) instanceof Local local) {
            scan(loop.header().get(1));
            declare(local.name(), local.type().isPresent() ? Trail.typed(local.type())
                    : trail(loop.header().get(1)).then(Step.ELEMENT));
            scan(loop.body());
        } else {
            visitNode(loop);
        }
        scopes.close();
        loops.pop();
        return null;
    }

    /** What is known of a value that callers hand over. */
    private Trail handed(Parameter parameter) {
        boolean open = !parameter.type().isPresent() && file.file().language().isDuckTyped();
        return open ? Trail.open(parameter.name()) : Trail.typed(parameter.type());
    }

    @Override
    public Void visitLambda(Lambda lambda) {
        scopes.open();
        Call giver = givers.remove(lambda);
        Trail element = giver == null || lambda.parameters().size() != 1 ? Trail.UNKNOWN
                : trail(giver.receiver().orElseThrow()).then(Step.ELEMENT);
        lambda.parameters().forEach(each -> declare(each.name(), each.type().isPresent() || element.equals(Trail.UNKNOWN) ? handed(each) : element));
        visitNode(lambda);
        scopes.close();
        return null;
    }

    @Override
    public Void visitLocal(Local local) {
        visitNode(local);
        Trail declared = Trail.typed(local.type());
        Trail initial = local.initial().isPresent() ? trail(local.initial().get()) : Trail.UNKNOWN;
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
        if (assignment.target() instanceof Name name && assignment.operator().equals("=") && isLocal(name.name())) {
            Trail held = ofName(name.name());
            Trail value = trail(assignment.value());
            scopes.replace(name.name(), value.isCall() ? value.heldAs(declaredType(held)) : held.isKnown() ? typed(held) : value);
        }
        return null;
    }

    private static TypeRef declaredType(Trail held) {
        if (held.start() == Trail.Start.TYPED && held.steps().isEmpty()) {
            return new TypeRef(held.head());
        }
        return held.last().filter(Step.HeldAs.class::isInstance).map(each -> new TypeRef(((Step.HeldAs) each).type())).orElse(TypeRef.NONE);
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
        return isTooLong(node) ? Trail.UNKNOWN : node.accept(trails);
    }

    /** Seen before walking down to where it starts: a chain of thousands of links asks at each of them. */
    private static boolean isTooLong(Node node) {
        Node at = node;
        for (int links = 0; links <= Trail.LONGEST; links++) {
            Node next = at instanceof Member member ? member.receiver() : at instanceof Call call ? call.receiver().orElse(null)
                    : at instanceof Index index ? index.receiver() : at instanceof Assignment assignment ? assignment.target() : null;
            if (next == null) {
                return false;
            }
            at = next;
        }
        return true;
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
            return member.receiver().accept(this).then(Step.get(member.name()));
        }

        @Override
        public Trail visitCall(Call call) {
            Trail bare = file.file().language().has(Habit.IMPLIED_SELF) || call.name().equals("super") ? Trail.THIS : Trail.MODULE;
            Trail held = bare == Trail.MODULE && isLocal(call.name()) ? Trail.UNKNOWN : bare;
            Trail owner = call.receiver().isPresent() ? call.receiver().get().accept(this) : held;
            return owner.thenCall(call.name(), call.arguments().size());
        }

        /** {@code a?.b} leads to what a.b leads to. */
        @Override
        public Trail visitConditional(Conditional choice) {
            return choice.isSafe() ? choice.then().accept(this) : Trail.UNKNOWN;
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
            return index.receiver().accept(this).then(Step.ELEMENT);
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
