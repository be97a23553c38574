package driftwood.tree;

import java.util.function.Consumer;

/**
 * A value passed by the name of a parameter.
 *
 * <pre>{@code
 * moor(depth=4)   # Python: depth=4
 * }</pre>
 *
 * @param name of the parameter
 */
public record Named(int start, int end, String name, Node value) implements Node {
    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitNamed(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(value);
    }
}
