package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for an expression as a statement.
 *
 * <pre>{@code
 * signal.announce(vessel);   // Java
 * signal.announce(vessel)   # Python
 * }</pre>
 *
 */
public record Evaluate(int start, int end, Node expression) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitEvaluate(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(expression);
    }
}
