package driftwood.smell.detect.half;

import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.detect.half.Half.FieldUse;
import driftwood.smell.detect.half.Half.Kind;
import driftwood.smell.see.creation.BirthSeer;
import driftwood.smell.see.creation.Setters;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Sees what routines do with fields that may not have been set, and creations followed by setters. */
final class HalfSeer implements Seer<Half> {
    static final HalfSeer INSTANCE = new HalfSeer();

    private static final int LEAST = 3;
    /** Built-in functions that fail for nothing. */
    private static final Set<String> COUNTING = Set.of("len", "sum", "min", "max", "sorted", "iter", "enumerate", "list");

    private HalfSeer() {
    }

    @Override
    public String key() {
        return "half";
    }

    @Override
    public int version() {
        return BirthSeer.INSTANCE.version() * 100 + 2;
    }

    @Override
    public List<Half> see(FileTree file) {
        Seeing walk = new Seeing(file);
        walk.scan(file.unit());
        if (!walk.set) {
            return walk.halves;
        }
        BirthSeer.INSTANCE.see(file).stream().filter(each -> each.set().size() >= LEAST)
                .forEach(each -> walk.halves.add(new Half(Optional.empty(), Optional.of(each))));
        return walk.halves;
    }

    private static final class Seeing extends Walk {
        private final List<Half> halves = new ArrayList<>();
        private boolean set;
        private Set<String> fields = new HashSet<>();
        private Set<String> guarded = new HashSet<>();

        Seeing(FileTree file) {
            super(file);
        }

        /** Only fields without an initial value can be half-built. */
        @Override
        public Void visitTypeDeclaration(TypeDeclaration declaration) {
            Set<String> outer = fields;
            fields = new HashSet<>();
            for (Node member : declaration.members()) {
                if (member instanceof Field field && !field.traits().isStatic() && !field.traits().isFinal()
                        && field.initial().map(Seeing::isNull).orElse(true)) {
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

        @Override
        public Void visitBlock(Block block) {
            set = set || Setters.most(block.statements()) >= LEAST;
            return super.visitBlock(block);
        }

        private Optional<String> own(Node node) {
            if (fields.isEmpty()) {
                return Optional.empty();
            }
            String name = node instanceof Name bare && !isLocal(bare.name()) ? bare.name()
                    : node instanceof Member member && member.receiver() instanceof Name self
                    && (self.name().equals("this") || self.name().equals("self")) ? member.name() : "";
            return fields.contains(name) ? Optional.of(name) : Optional.empty();
        }

        private void use(Kind kind, String field, Node at) {
            routine().filter(each -> !each.name().isEmpty() || kind == Kind.BORN).ifPresent(around ->
                    halves.add(new Half(Optional.of(new FieldUse(kind, type(), member(), around.name(), field,
                            file.brief(at), file.line(at))), Optional.empty())));
        }

        private boolean isBirth() {
            return routine().map(each -> each.kind() != RoutineKind.METHOD).orElse(true);
        }

        @Override
        public Void visitAssignment(Assignment assignment) {
            own(assignment.target()).filter(field -> !isNull(assignment.value())).ifPresent(field -> {
                boolean handed = routine().map(each -> each.parameters().stream().anyMatch(one ->
                        Search.mentions(assignment.value(), one.name()))).orElse(false);
                boolean setter = routine().map(each -> each.name().startsWith("set")).orElse(false);
                use(isBirth() || !(handed && setter) ? Kind.BORN : Kind.SET, field, assignment);
            });
            return super.visitAssignment(assignment);
        }

        @Override
        public Void visitCall(Call call) {
            call.receiver().ifPresent(each -> needed(each, call));
            if (call.receiver().isEmpty() && COUNTING.contains(call.name()) && file.file().language().isDuckTyped()) {
                call.arguments().forEach(each -> needed(each, call));
            }
            return super.visitCall(call);
        }

        private void needed(Node value, Node at) {
            own(value).filter(field -> !guarded.contains(field) && !isBirth())
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
            if (!fields.isEmpty() && !logical && !isBirth()) {
                for (Node side : List.of(binary.left(), binary.right())) {
                    own(side).ifPresent(field -> use(Kind.NEEDED, field, binary));
                }
            }
            return super.visitBinary(binary);
        }

        @Override
        public Void visitIf(If branch) {
            if (branch.condition() instanceof NullTest test && !test.negated() && !isBirth()) {
                List<Node> body = Search.statements(branch.then());
                boolean demands = !body.isEmpty() && body.get(body.size() - 1) instanceof Throw;
                own(test.subject()).filter(field -> demands).ifPresent(field -> use(Kind.DEMANDED, field, branch));
            }
            return super.visitIf(branch);
        }
    }
}
