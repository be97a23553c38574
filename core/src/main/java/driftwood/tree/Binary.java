package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for an operation on two operands.
 *
 * <pre>{@code
 * length * beam   // Java and Python
 * }</pre>
 *
 * @param operator as written in Java
 */
public record Binary(int start, int end, String operator, Node left, Node right) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitBinary(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(left);
        visit.accept(right);
    }
}
