package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A value that a generator hands out before it goes on.
 *
 * <pre>{@code
 * yield berth   # Python
 * }</pre>
 *
 * @param parts what is handed out
 */
public record Yield(int start, int end, List<Node> parts) implements Node {
    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitYield(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parts.forEach(visit);
    }
}
