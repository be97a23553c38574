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
 * @param subject a child, unless it is told
 * @param negated true for "is not nothing"
 * @param told    whether the subject stands in what is done for something as well, as in {@code v?.name}: it is a child there, and only once
 */
public record NullTest(int start, int end, Node subject, boolean negated, boolean told) implements Node {

    /** A test whose subject stands nowhere else. */
    public NullTest(int start, int end, Node subject, boolean negated) {
        this(start, end, subject, negated, false);
    }

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitNullTest(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        if (!told) {
            visit.accept(subject);
        }
    }
}
