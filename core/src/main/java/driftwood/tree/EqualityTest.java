package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a test for equal values or identity.
 *
 * <pre>{@code
 * kind == Kind.TUG, "TUG".equals(kind)   // Java
 * kind == "TUG"   # Python
 * }</pre>
 *
 */
public record EqualityTest(int start, int end, Node left, Node right, boolean negated) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitEqualityTest(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(left);
        visit.accept(right);
    }
}
