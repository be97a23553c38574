package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for raising an error.
 *
 * <pre>{@code
 * throw new IllegalStateException("closed");   // Java
 * raise ValueError("closed")   # Python
 * }</pre>
 *
 * @param value absent where the language can rethrow without naming
 */
public record Throw(int start, int end, Optional<Node> value) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitThrow(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        value.ifPresent(visit);
    }
}
