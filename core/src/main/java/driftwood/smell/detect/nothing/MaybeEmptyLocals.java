package driftwood.smell.detect.nothing;

import driftwood.tree.Arm;
import driftwood.tree.Assignment;
import driftwood.tree.Block;
import driftwood.tree.If;
import driftwood.tree.Lambda;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import driftwood.tree.Local;
import driftwood.tree.Loop;
import driftwood.tree.Match;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Return;
import driftwood.tree.Routine;
import driftwood.tree.Throw;
import driftwood.tree.TreeScanner;
import driftwood.tree.Try;
import java.util.HashSet;
import java.util.Set;

/**
 * The locals of a routine that begin as null and are given a value only on some ways through it: inside a loop, an if
 * without else, or a protected block. One that is assigned on every way, as far as can be seen, is not among them.
 */
final class MaybeEmptyLocals extends TreeScanner {
    private final Set<String> empty = new HashSet<>();
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

    /** Both branches of an if with an else are taken as sure: better to miss a null than to invent one. */
    @Override
    public Void visitIf(If branch) {
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
