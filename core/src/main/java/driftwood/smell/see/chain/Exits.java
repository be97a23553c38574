package driftwood.smell.see.chain;

import driftwood.tree.Arm;
import driftwood.tree.Block;
import driftwood.tree.Call;
import driftwood.tree.Evaluate;
import driftwood.tree.If;
import driftwood.tree.Jump;
import driftwood.tree.JumpKind;
import driftwood.tree.Literal;
import driftwood.tree.Loop;
import driftwood.tree.LoopKind;
import driftwood.tree.Match;
import driftwood.tree.Node;
import driftwood.tree.Return;
import driftwood.tree.Routine;
import driftwood.tree.Search;
import driftwood.tree.Throw;
import driftwood.tree.TreeVisitor;
import driftwood.tree.Try;
import java.util.List;
import java.util.Optional;

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
    public Boolean visitTry(Try protectedBlock) {
        return protectedBlock.last().map(Exits::leaves).orElse(false)
                || leaves(protectedBlock.body()) && protectedBlock.handlers().stream().allMatch(Exits::leaves);
    }

    @Override
    public Boolean visitMatch(Match match) {
        return match.arms().stream().anyMatch(Arm::isDefault) && match.arms().stream().allMatch(arm -> arm.fallsThrough()
                || !arm.body().isEmpty() && leaves(arm.body().get(arm.body().size() - 1)));
    }

    /** A loop without end, unless something breaks out. */
    @Override
    public Boolean visitLoop(Loop loop) {
        return loop.kind() == LoopKind.WHILE && loop.header().stream().allMatch(each -> each instanceof Literal literal
                && (literal.text().equals("true") || literal.text().equals("1")))
                && !Search.any(loop.body(), node -> node instanceof Jump jump && jump.kind() == JumpKind.BREAK);
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

    /** Whether a value is an argument of what its statement does. @param around its routine */
    static boolean isHandedOn(Node value, Optional<Routine> around) {
        return around.flatMap(Routine::body).map(Block::statements).orElse(List.of()).stream().anyMatch(each -> each.start() <= value.start() && value.end() <= each.end()
                && each instanceof Evaluate evaluate && evaluate.expression() instanceof Call);
    }
}
