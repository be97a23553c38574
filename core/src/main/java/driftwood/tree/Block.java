package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for statements in order.
 *
 * <pre>{@code
 * { moor(); pay(); }   // Java
 * an indented suite   # Python
 * }</pre>
 *
 */
public record Block(int start, int end, List<Node> statements) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitBlock(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        statements.forEach(visit);
    }
}
