package driftwood.smell.chain;

import driftwood.tree.Block;
import driftwood.tree.If;
import driftwood.tree.Jump;
import driftwood.tree.JumpKind;
import driftwood.tree.Node;
import driftwood.tree.Return;
import driftwood.tree.Throw;
import driftwood.tree.TreeVisitor;

/** Whether control never runs past the end of a body. */
public final class Exits implements TreeVisitor<Boolean> {
    private static final Exits INSTANCE = new Exits();

    private Exits() {
    }

    public static boolean leaves(Node body) {
        return body.accept(INSTANCE);
    }

    @Override
    public Boolean visitNode(Node node) {
        return false;
    }

    @Override
    public Boolean visitBlock(Block block) {
        return !block.statements().isEmpty() && leaves(block.statements().get(block.statements().size() - 1));
    }

    @Override
    public Boolean visitIf(If branch) {
        return branch.otherwise().isPresent() && leaves(branch.then()) && leaves(branch.otherwise().get());
    }

    @Override
    public Boolean visitReturn(Return back) {
        return true;
    }

    @Override
    public Boolean visitThrow(Throw error) {
        return true;
    }

    @Override
    public Boolean visitJump(Jump jump) {
        return jump.kind() == JumpKind.CONTINUE;
    }
}
