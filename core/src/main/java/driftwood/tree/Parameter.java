package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a parameter.
 *
 * <pre>{@code
 * final Vessel vessel   // Java
 * vessel: Vessel = None   # Python
 * }</pre>
 *
 * @param variadic takes any number of arguments
 * @param fallback the default value, where the language has them
 */
public record Parameter(
        int start, int end, String name, TypeRef type, Traits traits, boolean variadic, Optional<Node> fallback) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitParameter(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        fallback.ifPresent(visit);
    }
}
