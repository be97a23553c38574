package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * What is only asserted.
 *
 * <pre>{@code
 * assert depth > 0;   // Java
 * }</pre>
 *
 * @param parts the condition, and what is said where it does not hold
 */
public record Assertion(int start, int end, List<Node> parts) implements Node {
    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitAssertion(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parts.forEach(visit);
    }
}
