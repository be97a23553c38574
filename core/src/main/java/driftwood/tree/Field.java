package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a field.
 *
 * <pre>{@code
 * private final Berth berth = new Berth(4);   // Java
 * self.berth = Berth(4)   # Python, first seen in __init__
 * }</pre>
 *
 * @param type TypeRef.NONE where none is declared
 */
public record Field(
        int start, int end, String name, TypeRef type, Traits traits, Optional<Node> initial) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitField(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        initial.ifPresent(visit);
    }
}
