package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * Several names that are given their values at once.
 *
 * <pre>{@code
 * low, high = tides()   # Python
 * }</pre>
 *
 * @param parts the value first where there is one, then the names
 */
public record Unpacked(int start, int end, List<Node> parts) implements Node {
    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitUnpacked(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parts.forEach(visit);
    }
}
