package driftwood.smell.detect.nothing;

import driftwood.program.Trail;
import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.source.Language;
import driftwood.smell.detect.nothing.NothingSighting.Kind;
import driftwood.smell.see.chain.Exits;
import driftwood.tree.*;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.Collections;
import java.util.IdentityHashMap;

/** Sees where null is given, handed on, stored and guarded against. */
final class NothingWalk extends Walk {
    static final Seer<NothingSighting> SEER = new Seer<>("nothing", 13, NothingSighting.class, file -> new NothingWalk(file).sightings());

    private static final Set<String> LOGIC = Set.of("&&", "||");

    private final List<NothingSighting> sightings = new ArrayList<>();
    private final Deque<Frame> frames = new ArrayDeque<>();
    private int lambdas;

    NothingWalk(FileTree file) {
        super(file);
    }

    List<NothingSighting> sightings() {
        scan(file.unit());
        return sightings;
    }

    @Override
    public Void visitRoutine(Routine routine) {
        int outer = lambdas;
        lambdas = 0;
        frames.push(new Frame(routine, file));
        super.visitRoutine(routine);
        close(frames.pop(), routine);
        lambdas = outer;
        return null;
    }

    /** Guards on a field that the same routine fills are lazy initialisation. */
    private void close(Frame frame, Routine routine) {
        if (frame.things && file.file().language().has(Language.Habit.IMPLIED_NOTHING) && routine.kind() != RoutineKind.CONSTRUCTOR
                && routine.body().isPresent() && !Exits.leaves(routine.body().get()) && !frame.isGenerator()) {
            frame.own.add(new NothingSighting(Kind.YIELDS, type(), symbol(routine), Trail.UNKNOWN, "",
                    file.endLine(routine), file.endLine(routine), "where it ends without a result", false));
        }
        if (frame.truths && !frame.things) {
            frame.own.removeIf(each -> each.kind() == Kind.YIELDS);
        }
        for (NothingSighting each : frame.own) {
            boolean ownField = !each.trail().isCall() && frame.filled.contains(each.trail().lastName());
            if (each.kind() == Kind.ASKED && !ownField) {
                continue;
            }
            sightings.add((each.isGuard() || each.kind() == Kind.ASKED) && ownField ? each.of(Kind.LAZY) : each);
        }
        frame.gotten().ifPresent(value -> sightings.add(new NothingSighting(Kind.GETTER, type(), symbol(routine), trail(value), "",
                file.line(routine), file.endLine(routine), "", false)));
    }

    private void add(Kind kind, Trail trail, String name, Node at, String note) {
        if (!frames.isEmpty()) {
            frames.peek().own.add(new NothingSighting(kind, type(), member(), trail, name, file.line(at),
                    file.endLine(at), note, at instanceof Conditional choice && choice.isSign()));
        }
    }

    @Override
    public Void visitLambda(Lambda lambda) {
        lambdas++;
        super.visitLambda(lambda);
        lambdas--;
        return null;
    }

    @Override
    public Void visitReturn(Return back) {
        if (lambdas == 0 && !frames.isEmpty() && !frames.peek().routine.returns().text().equals("void")) {
            back.value().ifPresent(value -> given(value, back));
        }
        return visitNode(back);
    }

    private void given(Node value, Node at) {
        boolean truth = value instanceof EqualityTest || value instanceof NullTest || value instanceof TypeTest
                || value instanceof Literal literal && literal.kind() == LiteralKind.BOOLEAN;
        frames.peek().truths |= truth;
        frames.peek().things |= !truth && !Outcome.isNull(value);
        value.accept(new GivenBack(frames.peek(), this::trail, (kind, trail, note) -> add(kind, trail, "", at, note)));
    }

    @Override
    public Void visitIf(If branch) {
        guards(branch.condition(), branch.then(), branch.otherwise(), branch);
        scan(branch.condition());
        if (frames.isEmpty()) {
            return visitNode(branch);
        }
        frames.peek().oneWay(branch, true, () -> scan(branch.then()));
        branch.otherwise().ifPresent(each -> frames.peek().oneWay(branch, false, () -> scan(each)));
        return null;
    }

    @Override
    public Void visitConditional(Conditional choice) {
        if (choice.condition() instanceof NullTest test && test.subject() == choice.then()) {
            orElse(choice, test);
            return null;
        }
        guards(choice.condition(), choice.then(), Optional.of(choice.otherwise()), choice);
        return visitNode(choice);
    }

    /** {@code a ?? b}, which holds its value twice; behind {@code a?.c() ?? b} it is a that is guarded. */
    private void orElse(Conditional choice, NullTest test) {
        if (test.subject() instanceof Conditional safe && safe.condition() instanceof NullTest inner && Outcome.isNull(safe.otherwise())) {
            test(inner, safe.then(), Optional.of(choice.otherwise()), choice);
            scan(safe.then());
        } else {
            if (!Outcome.isNull(choice.otherwise())) {
                guards(test, choice.then(), Optional.of(choice.otherwise()), choice);
            }
            scan(choice.then());
        }
        scan(choice.otherwise());
    }

    @Override
    public Void visitBinary(Binary binary) {
        if (binary.operator().equals("&&") && !isCondition(binary) && binary.left() instanceof NullTest test
                && test.negated()) {
            guard(test, Kind.GUARD_SKIPS, binary, "takes false for nothing");
        } else if (file.file().language().has(Language.Habit.TRUTH) && !isCondition(binary) && LOGIC.contains(binary.operator())
                && !Outcome.isNull(binary.right())) {
            Truth.asked(binary.left()).filter(NullTest::negated).ifPresent(test -> {
                boolean either = binary.operator().equals("||");
                if (either || Truth.isUsed(binary.left(), binary)) {
                    guard(test, either && binary.right() instanceof Throw ? Kind.GUARD_THROWS : either ? Kind.GUARD_DEFAULTS : Kind.GUARD_SKIPS, binary, either
                            ? "takes " + file.brief(binary.right()) + " for nothing" : "takes nothing for nothing");
                }
            });
        }
        return visitNode(binary);
    }

    private final Set<Node> conditionsSeen = Collections.newSetFromMap(new IdentityHashMap<>());

    private boolean isCondition(Node node) {
        return conditionsSeen.contains(node);
    }

    /** The tests for nothing in a condition, and what becomes of nothing. */
    private void guards(Node condition, Node then, Optional<Node> otherwise, Node whole) {
        conditionsSeen.add(condition);
        condition.accept(new TreeVisitor<Void>() {
            @Override
            public Void visitNode(Node node) {
                if (file.file().language().has(Language.Habit.TRUTH)) {
                    truth(node, then, otherwise, whole);
                }
                return null;
            }

            @Override
            public Void visitBinary(Binary binary) {
                if (binary.operator().equals("&&") || binary.operator().equals("||")) {
                    guards(binary.left(), then, otherwise, whole);
                    guards(binary.right(), then, otherwise, whole);
                }
                return null;
            }

            @Override
            public Void visitNullTest(NullTest test) {
                test(test, then, otherwise, whole);
                return null;
            }
        });
    }

    /** A bare value as a condition asks for nothing where the value is used, or where nothing leaves at once. */
    private void truth(Node condition, Node then, Optional<Node> otherwise, Node whole) {
        Truth.asked(condition).ifPresent(test -> {
            boolean leaves = !test.negated() && Exits.leaves(then) && !(test.subject() instanceof Call);
            if (leaves || Truth.isUsed(condition, whole)) {
                test(test, then, otherwise, whole);
            }
        });
    }

    private void test(NullTest test, Node then, Optional<Node> otherwise, Node whole) {
        Optional<Node> forNothing = test.negated() ? otherwise : Optional.of(then);
        Optional<Node> forSomething = test.negated() ? Optional.of(then) : otherwise;
        boolean endsLoop = forNothing.isPresent() && Outcome.lastOf(forNothing.get()) instanceof Jump jump
                && jump.kind() == JumpKind.BREAK;
        if (endsLoop) {
            return;
        }
        if (Outcome.isAskedOnly(test, trail(test.subject()).unheld().lastName(), forSomething, whole)) {
            guard(test, Kind.ASKED, whole, "");
            return;
        }
        boolean gathers = forSomething.filter(each -> Filling.fills(each, test.subject(), this)).isPresent();
        if (forNothing.isPresent() && !gathers && (Filling.fills(forNothing.get(), test.subject(), this) || Filling.opens(forNothing.get(), test.subject(), this))) {
            add(Kind.LAZY, trail(test.subject()).unheld(), "", whole, "");
        } else {
            guard(test, Outcome.of(forNothing), whole, Outcome.describe(file, forNothing, forSomething));
        }
    }

    private void guard(NullTest test, Kind kind, Node at, String note) {
        Node asked = test.subject() instanceof Assignment assignment ? assignment.value() : test.subject();
        Trail trail = trail(asked).unheld();
        boolean open = trail.start() == Trail.Start.OPEN && trail.isCall();
        if (open || trail.isKnown() && (trail.isCall() || !trail.steps().isEmpty() || trail.start() == Trail.Start.NAME)) {
            add(kind, trail, "", at, note);
        }
    }

    /** What a loop goes on with until there is none is walked to its end. */
    @Override
    public Void visitLoop(Loop loop) {
        for (Node each : loop.header()) {
            Search.all(each, NullTest.class).stream().filter(test -> test.negated() && test.subject() instanceof Assignment).forEach(test -> {
                Trail trail = trail(((Assignment) test.subject()).value()).unheld();
                if (trail.isKnown() && trail.isCall()) {
                    add(Kind.WALKS, trail, "", loop, "");
                }
            });
        }
        return super.visitLoop(loop);
    }

    @Override
    public Void visitAssignment(Assignment assignment) {
        if (assignment.operator().equals("=") && !frames.isEmpty()) {
            field(assignment);
        }
        return super.visitAssignment(assignment);
    }

    private void field(Assignment assignment) {
        boolean bare = assignment.target() instanceof Name name && !isLocal(name.name());
        boolean ofThis = assignment.target() instanceof Member member && member.receiver() instanceof Name owner
                && owner.name().equals("this");
        if (!bare && !ofThis) {
            return;
        }
        Trail trail = trail(assignment.target());
        String name = trail.lastName();
        if (Outcome.mayBeNull(assignment.value())) {
            add(Kind.FIELD_NULL, trail, name, assignment, "");
        } else if (frames.peek().routine.kind() == RoutineKind.CONSTRUCTOR) {
            String from = assignment.value() instanceof Name value && isLocal(value.name()) ? value.name() : "";
            add(Kind.FIELD_SET, trail, name, assignment, from);
        } else {
            boolean fromParameter = assignment.value() instanceof Name value && isLocal(value.name());
            if (!fromParameter && !Search.mentions(assignment.value(), name)) {
                frames.peek().filled.add(name);
            }
        }
    }

    @Override
    public Void visitCall(Call call) {
        boolean replaces = call.name().equals("requireNonNullElse") || call.name().equals("requireNonNullElseGet");
        boolean wraps = call.name().equals("ofNullable");
        if ((replaces || wraps) && !call.arguments().isEmpty()) {
            Trail trail = trail(call.arguments().get(0)).unheld();
            if (trail.isKnown()) {
                add(Kind.GUARD_DEFAULTS, trail, "", call, replaces ? "takes a default for nothing"
                        : "wraps nothing as an empty value");
            }
        }
        return visitNode(call);
    }

    /** Whether a name is a local's here. */
    boolean knows(String name) {
        return isLocal(name);
    }

    /** The text of the file. */
    String source() {
        return file.source().text();
    }
}
