package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a return from the routine.
 *
 * <pre>{@code
 * return dues;   // Java
 * return dues   # Python
 * }</pre>
 *
 */
public record Return(int start, int end, Optional<Node> value) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitReturn(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        value.ifPresent(visit);
    }
}
