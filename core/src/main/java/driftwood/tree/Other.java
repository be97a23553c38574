package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for anything without a common meaning; its parts are kept, so that nothing is lost.
 *
 * <pre>{@code
 * synchronized (lock) { ... }   // Java
 * await tide       # Python
 * }</pre>
 *
 * @param what the grammar's own name for it
 */
public record Other(int start, int end, String what, List<Node> parts) implements Node {
    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitOther(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parts.forEach(visit);
    }
}
