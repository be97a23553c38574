package driftwood.tree;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for the creation of an instance.
 *
 * <pre>{@code
 * new Tug("Ada", 80)   // Java
 * Tug("Ada", 80)   # Python
 * }</pre>
 *
 * @param body of an anonymous type
 */
public record Creation(
        int start, int end, TypeRef type, List<Node> arguments, Optional<TypeDeclaration> body, boolean array) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitCreation(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        arguments.forEach(visit);
        body.ifPresent(visit);
    }
}
