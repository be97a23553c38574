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
 * @param body   of an anonymous type
 * @param filled what it is given right after it was made, in braces behind: members by their names, or elements
 */
public record Creation(
        int start, int end, TypeRef type, List<Node> arguments, Optional<TypeDeclaration> body, boolean array, List<Node> filled) implements Node {

    /** One that is given nothing more than its arguments. */
    public Creation(int start, int end, TypeRef type, List<Node> arguments, Optional<TypeDeclaration> body, boolean array) {
        this(start, end, type, arguments, body, array, List.of());
    }

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitCreation(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        arguments.forEach(visit);
        body.ifPresent(visit);
        filled.forEach(visit);
    }
}
