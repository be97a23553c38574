package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a local variable.
 *
 * <pre>{@code
 * var berth = pick(vessel);   // Java
 * berth = pick(vessel)   # Python, first assignment in a routine
 * }</pre>
 *
 * @param type TypeRef.NONE where it is inferred
 */
public record Local(int start, int end, String name, TypeRef type, Optional<Node> initial) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitLocal(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        initial.ifPresent(visit);
    }
}
