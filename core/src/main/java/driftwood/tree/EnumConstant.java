package driftwood.tree;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a constant of an enum.
 *
 * <pre>{@code
 * TUG(4) { ... }   // Java
 * TUG = 4   # Python, in a class derived from Enum
 * }</pre>
 *
 * @param body present where the constant has members of its own
 */
public record EnumConstant(
        int start, int end, String name, List<Node> arguments, Optional<TypeDeclaration> body) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitEnumConstant(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        arguments.forEach(visit);
        body.ifPresent(visit);
    }
}
