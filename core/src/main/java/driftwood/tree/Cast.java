package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a cast.
 *
 * <pre>{@code
 * (Tug) vessel   // Java
 * }</pre>
 *
 */
public record Cast(int start, int end, TypeRef type, Node value) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitCast(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(value);
    }
}
