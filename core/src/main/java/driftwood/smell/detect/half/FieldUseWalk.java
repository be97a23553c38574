package driftwood.smell.detect.half;

import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.half.FieldUse.Kind;
import driftwood.smell.see.creation.Setters;
import driftwood.source.Language;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Sees what routines do with fields that may not have been set. */
final class FieldUseWalk extends Walk {
    static final Seer<FieldUse> SEER = new Seer<>("field-use", 14, FieldUse.class, file -> {
        FieldUseWalk walk = new FieldUseWalk(file);
        walk.scan(file.unit());
        return walk.uses;
    });

    /** Built-in functions that fail for nothing. */
    private static final Set<String> COUNTING = Set.of("len", "sum", "min", "max", "sorted", "iter", "enumerate", "list",
            "count", "trim", "strlen", "strtoupper", "strtolower", "implode", "intdiv", "round", "array_sum", "array_map", "iterator_to_array");
    private final List<FieldUse> uses = new ArrayList<>();
    private Set<String> fields = new HashSet<>();
    private Set<String> guarded = new HashSet<>();
    private final Set<Node> demanding = Collections.newSetFromMap(new IdentityHashMap<>());

    private FieldUseWalk(FileTree file) {
        super(file);
    }

    /** Only fields without an initial value can be half-built. */
    @Override
    public Void visitTypeDeclaration(TypeDeclaration declaration) {
        Set<String> outer = fields;
        fields = new HashSet<>();
        for (Node member : declaration.members()) {
            if (member instanceof Field field && !field.traits().isStatic() && !field.traits().isFinal()
                    && field.initial().map(FieldUseWalk::isNull).orElse(true)) {
                fields.add(field.name());
            }
        }
        super.visitTypeDeclaration(declaration);
        fields = outer;
        return null;
    }

    private static boolean isNull(Node value) {
        return value instanceof Literal literal && literal.kind() == LiteralKind.NULL;
    }

    @Override
    public Void visitRoutine(Routine routine) {
        Set<String> outer = guarded;
        guarded = new HashSet<>();
        routine.body().ifPresent(body -> Search.all(body, NullTest.class).forEach(test ->
                own(test.subject()).ifPresent(guarded::add)));
        super.visitRoutine(routine);
        guarded = outer;
        return null;
    }

    private Optional<String> own(Node node) {
        if (fields.isEmpty()) {
            return Optional.empty();
        }
        String name = node instanceof Name bare && !isLocal(bare.name()) ? bare.name()
                : node instanceof Member member && member.receiver() instanceof Name self
                && self.isSelf() ? member.name() : "";
        return fields.contains(name) ? Optional.of(name) : Optional.empty();
    }

    private void use(Kind kind, String field, Node at) {
        routine().filter(each -> !each.name().isEmpty() || kind == Kind.BORN).ifPresent(around ->
                uses.add(new FieldUse(kind, type(), member(), around.name(), field, file.brief(at), file.line(at))));
    }

    private static boolean isSetter(Routine routine) {
        return Setters.isNamed(routine.name()) || routine.name().endsWith("=");
    }

    private boolean isCreating() {
        return routine().map(each -> each.kind() != RoutineKind.METHOD).orElse(true);
    }

    @Override
    public Void visitAssignment(Assignment assignment) {
        own(assignment.target()).filter(field -> !isNull(assignment.value())).ifPresent(field -> {
            boolean handed = routine().map(each -> each.parameters().stream().anyMatch(one ->
                    Search.mentions(assignment.value(), one.name()))).orElse(false);
            boolean setter = routine().map(FieldUseWalk::isSetter).orElse(false);
            use(isCreating() || !(handed && setter) ? Kind.BORN : Kind.SET, field, assignment);
        });
        return super.visitAssignment(assignment);
    }

    @Override
    public Void visitCall(Call call) {
        call.receiver().ifPresent(each -> needed(each, call));
        if (call.receiver().isEmpty() && COUNTING.contains(call.name()) && file.file().language().isDuckTyped()) {
            call.arguments().forEach(each -> needed(each, call));
        }
        handed(call.arguments(), call);
        return super.visitCall(call);
    }

    @Override
    public Void visitCreation(Creation creation) {
        handed(creation.arguments(), creation);
        return super.visitCreation(creation);
    }

    private void handed(List<Node> arguments, Node at) {
        if (!fields.isEmpty() && !isCreating()) {
            arguments.forEach(each -> own(each).filter(field -> !guarded.contains(field)).ifPresent(field -> use(Kind.HANDED, field, at)));
        }
    }

    private void needed(Node value, Node at) {
        own(value).filter(field -> !guarded.contains(field) && !isCreating())
                .ifPresent(field -> use(Kind.NEEDED, field, at));
    }

    @Override
    public Void visitIndex(Index index) {
        needed(index.receiver(), index);
        return super.visitIndex(index);
    }

    @Override
    public Void visitLoop(Loop loop) {
        if (loop.kind() == LoopKind.EACH && loop.header().size() == 2) {
            needed(loop.header().get(1), loop.header().get(1));
        }
        return super.visitLoop(loop);
    }

    @Override
    public Void visitMember(Member member) {
        needed(member.receiver(), member);
        return super.visitMember(member);
    }

    @Override
    public Void visitBinary(Binary binary) {
        boolean logical = binary.operator().equals("&&") || binary.operator().equals("||");
        if (!fields.isEmpty() && !logical && !isCreating()) {
            for (Node side : List.of(binary.left(), binary.right())) {
                own(side).ifPresent(field -> use(Kind.NEEDED, field, binary));
            }
        }
        return super.visitBinary(binary);
    }

    @Override
    public Void visitIf(If branch) {
        List<Node> asked = isCreating() ? List.of() : missing(branch.condition());
        if (!asked.isEmpty()) {
            List<Node> body = Search.statements(branch.then());
            boolean demands = !body.isEmpty() && body.get(body.size() - 1) instanceof Throw error && (isFirst(branch) || saysState(error)) && !isHandedIn(error);
            asked.forEach(each -> own(each).filter(field -> demands).ifPresent(field -> {
                use(Kind.DEMANDED, field, branch);
                demanding.addAll(Search.all(branch.condition(), NullTest.class));
            }));
        }
        tolerated(branch.condition());
        return super.visitIf(branch);
    }

    @Override
    public Void visitConditional(Conditional choice) {
        tolerated(choice.condition());
        return super.visitConditional(choice);
    }

    /** {@code if ($this->pilot)}: a bare value as a condition asks whether it is there. */
    private void tolerated(Node condition) {
        boolean asks = file.file().language().has(Language.Habit.TRUTH) && !isCreating() && !routine().map(FieldUseWalk::isSetter).orElse(true);
        if (asks && (condition instanceof Name || condition instanceof Member)) {
            own(condition).ifPresent(field -> use(Kind.TOLERATED, field, condition));
        }
    }

    /** An error that was handed in is handed on: it says nothing of the object. */
    private boolean isHandedIn(Throw error) {
        return error.value().filter(each -> each instanceof Name name && routine().map(Routine::parameters).orElse(List.of()).stream()
                .anyMatch(one -> one.name().equals(name.name()))).isPresent();
    }

    /** What a condition asks whether any of it is missing; nothing counts as false where any value can be a condition. */
    private List<Node> missing(Node condition) {
        if (condition instanceof Binary either && either.operator().equals("||")) {
            return Stream.of(either.left(), either.right()).flatMap(each -> missing(each).stream()).toList();
        }
        if (condition instanceof NullTest test) {
            return test.negated() ? List.of() : List.of(test.subject());
        }
        return condition instanceof Unary not && not.operator().equals("!") && file.file().language().has(Language.Habit.TRUTH)
                ? List.of(not.operand()) : List.of();
    }

    /** The error itself says that the object is not ready. */
    private static boolean saysState(Throw error) {
        return error.value().filter(Creation.class::isInstance).map(each -> ((Creation) each).type().simpleName()
                .matches("IllegalStateException|.*(NotReady|NotInitiali[sz]ed|NotConfigured|Uninitiali[sz]ed).*|RuntimeError")).orElse(false);
    }

    /** Whether it is asked whenever the routine is called: what is asked in some case only is no part of the object. */
    private boolean isFirst(If branch) {
        return routine().flatMap(Routine::body).map(body -> body.statements().stream().flatMap(each ->
                each instanceof Try attempt ? attempt.body().statements().stream() : Stream.of(each)).anyMatch(each -> each == branch)).orElse(false);
    }

    /** Who goes on without it takes nothing for a value like others. */
    @Override
    public Void visitNullTest(NullTest test) {
        boolean setter = routine().map(FieldUseWalk::isSetter).orElse(true);
        if (!demanding.contains(test) && !isCreating() && !setter) {
            own(test.subject()).ifPresent(field -> use(Kind.TOLERATED, field, test));
        }
        return super.visitNullTest(test);
    }
}
