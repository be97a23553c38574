package driftwood.smell.detect.nothing;

import driftwood.tree.*;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The locals of a routine that begin as null and are given a value only on some ways through it: inside a loop, an if
 * without else, or a protected block. One that is assigned on every way, as far as can be seen, is not among them. A field
 * that is found null and then given a value only on some ways, or null again, stays so.
 */
final class MaybeEmptyLocals extends TreeScanner {
    private final Set<String> empty = new HashSet<>();
    private final Set<String> fields = new HashSet<>();
    private final Set<String> filled = new HashSet<>();
    private int sure = 1;

    MaybeEmptyLocals(Routine routine) {
        routine.body().ifPresent(this::scan);
    }

    boolean mayBeEmpty(String local) {
        return empty.contains(local) && !filled.contains(local);
    }

    @Override
    public Void visitLocal(Local local) {
        if (local.initial().isPresent() && local.initial().get() instanceof Literal literal
                && literal.kind() == LiteralKind.NULL) {
            empty.add(local.name());
        }
        return visitNode(local);
    }

    @Override
    public Void visitAssignment(Assignment assignment) {
        if (sure > 0 && assignment.target() instanceof Name name) {
            filled.add(name.name());
        }
        return visitNode(assignment);
    }

    /** A field that is filled when it is asked for, and may have nothing to be filled with. */
    private void field(If branch) {
        if (!(branch.condition() instanceof NullTest test) || test.negated() || branch.otherwise().isPresent()) {
            return;
        }
        String name = test.subject() instanceof Name bare ? bare.name() : test.subject() instanceof Member member
                && member.receiver() instanceof Name self && self.isSelf() ? member.name() : "";
        List<Assignment> given = Search.all(branch.then(), Assignment.class).stream().filter(each -> isOf(each, name)).toList();
        boolean surely = Search.statements(branch.then()).stream().anyMatch(each -> each instanceof Evaluate evaluate
                && evaluate.expression() instanceof Assignment assignment && isOf(assignment, name) && !mayGiveNothing(assignment.value()));
        boolean onlySome = Search.statements(branch.then()).stream().anyMatch(each -> each instanceof If some && some.otherwise().isEmpty()
                && given.stream().allMatch(one -> Search.all(some.then(), Assignment.class).contains(one)));
        if (!given.isEmpty() && !surely && (onlySome || given.stream().anyMatch(each -> mayGiveNothing(each.value())))) {
            fields.add(name);
        }
    }

    private static boolean isOf(Assignment assignment, String field) {
        return assignment.target() instanceof Name bare && bare.name().equals(field) || assignment.target() instanceof Member member
                && member.receiver() instanceof Name self && self.isSelf() && member.name().equals(field);
    }

    private static boolean mayGiveNothing(Node value) {
        return Outcome.isNull(value) || value instanceof Conditional choice && (mayGiveNothing(choice.then()) || mayGiveNothing(choice.otherwise()));
    }

    /** Whether the routine may leave a field of its object null that it is asked for. */
    boolean mayStayEmpty(String field) {
        return fields.contains(field);
    }

    /** Both branches of an if with an else are taken as sure: better to miss a null than to invent one. */
    @Override
    public Void visitIf(If branch) {
        field(branch);
        if (branch.otherwise().isPresent()) {
            return visitNode(branch);
        }
        return unsure(() -> visitNode(branch));
    }

    @Override
    public Void visitLoop(Loop loop) {
        return unsure(() -> visitNode(loop));
    }

    @Override
    public Void visitMatch(Match match) {
        return match.arms().stream().anyMatch(Arm::isDefault) ? visitNode(match)
                : unsure(() -> visitNode(match));
    }

    /** What a try assigns is sure unless a handler lets control go on. */
    @Override
    public Void visitTry(Try protectedBlock) {
        boolean goesOn = protectedBlock.handlers().stream().anyMatch(handler -> !leaves((Block) handler));
        return goesOn ? unsure(() -> visitNode(protectedBlock)) : visitNode(protectedBlock);
    }

    private static boolean leaves(Block block) {
        if (block.statements().isEmpty()) {
            return false;
        }
        Node last = block.statements().get(block.statements().size() - 1);
        return last instanceof Throw || last instanceof Return
                || last instanceof Block inner && leaves(inner);
    }

    @Override
    public Void visitLambda(Lambda lambda) {
        return null;
    }

    private Void unsure(Runnable inside) {
        int outer = sure;
        sure = 0;
        inside.run();
        sure = outer;
        return null;
    }
}
