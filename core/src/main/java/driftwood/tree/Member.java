package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a member taken from a receiver, not called.
 *
 * <pre>{@code
 * vessel.tonnage   // Java and Python
 * }</pre>
 *
 */
public record Member(int start, int end, Node receiver, String name) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitMember(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(receiver);
    }
}
