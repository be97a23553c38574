package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for an element by its position or key.
 *
 * <pre>{@code
 * berths[4]   // Java
 * berths[4]   # Python
 * }</pre>
 *
 */
public record Index(int start, int end, Node receiver, Node index) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitIndex(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(receiver);
        visit.accept(index);
    }
}
