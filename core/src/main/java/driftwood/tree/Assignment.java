package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for an assignment.
 *
 * <pre>{@code
 * dues += 4;   // Java
 * dues += 4   # Python
 * }</pre>
 *
 * @param operator "=", or the operator of a compound assignment such as "+"
 */
public record Assignment(int start, int end, Node target, String operator, Node value) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitAssignment(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(target);
        visit.accept(value);
    }
}
