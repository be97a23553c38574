package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for an operation on one operand.
 *
 * <pre>{@code
 * !open   // Java
 * not open   # Python
 * }</pre>
 *
 * @param operator as written in Java; ++ and -- both before and after
 */
public record Unary(int start, int end, String operator, Node operand) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitUnary(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(operand);
    }
}
