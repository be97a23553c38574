package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a break, continue or yield.
 *
 * <pre>{@code
 * continue;   // Java
 * continue   # Python
 * }</pre>
 *
 * @param value of a yield
 */
public record Jump(int start, int end, JumpKind kind, Optional<Node> value) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitJump(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        value.ifPresent(visit);
    }
}
