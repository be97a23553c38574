package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for a type declaration.
 *
 * <pre>{@code
 * final class Tug extends Vessel implements Towing { ... }   // Java
 * class Tug(Vessel, Towing): ...   # Python
 * }</pre>
 *
 * @param name simple name; empty for an anonymous type
 * @param traits modifiers and annotations
 * @param typeParameters names only
 * @param supertypes class first, then interfaces
 * @param components of a record; else empty
 * @param permitted of a sealed type; else empty
 * @param members in source order
 */
public record TypeDeclaration(
        int start, int end, String name, TypeKind kind, Traits traits, List<String> typeParameters, List<TypeRef> supertypes, List<Parameter> components, List<TypeRef> permitted, List<Node> members) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitTypeDeclaration(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        components.forEach(visit);
        members.forEach(visit);
    }
}
