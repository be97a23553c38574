package driftwood.tree;

import java.util.function.Consumer;

/**
 * A statement that does nothing.
 *
 * <pre>{@code
 * ;      // Java
 * pass   # Python
 * }</pre>
 */
public record Empty(int start, int end) implements Node {
    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitEmpty(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        // It has none.
    }
}
