package driftwood.tree;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a call.
 *
 * <pre>{@code
 * tower.announce(vessel)   // Java and Python
 * }</pre>
 *
 * @param name "this" and "super" for calls of constructors
 */
public record Call(int start, int end, Optional<Node> receiver, String name, List<Node> arguments) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitCall(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        receiver.ifPresent(visit);
        arguments.forEach(visit);
    }
}
