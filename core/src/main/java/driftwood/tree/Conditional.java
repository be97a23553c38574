package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a conditional expression.
 *
 * <pre>{@code
 * high ? deep : shallow   // Java
 * deep if high else shallow   # Python
 * }</pre>
 *
 */
public record Conditional(int start, int end, Node condition, Node then, Node otherwise) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitConditional(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(condition);
        visit.accept(then);
        visit.accept(otherwise);
    }
}
