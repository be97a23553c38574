package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a test for nothing.
 *
 * <pre>{@code
 * v == null, Objects.nonNull(v)   // Java
 * v is None, v is not None   # Python
 * }</pre>
 *
 * @param negated true for "is not nothing"
 */
public record NullTest(int start, int end, Node subject, boolean negated) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitNullTest(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(subject);
    }
}
