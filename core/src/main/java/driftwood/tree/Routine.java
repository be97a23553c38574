package driftwood.tree;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a method, constructor or initialiser.
 *
 * <pre>{@code
 * int dues(Vessel v) { ... }   // Java
 * def dues(self, v): ...   # Python
 * }</pre>
 *
 * @param name that of the type for a constructor
 * @param generics type parameters, with their first bounds: {@code B extends Appendable}
 * @param returns TypeRef.NONE where none is declared
 * @param body absent for abstract routines
 */
public record Routine(
        int start, int end, String name, RoutineKind kind, Traits traits, List<String> generics, TypeRef returns, List<Parameter> parameters, Optional<Block> body) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitRoutine(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parameters.forEach(visit);
        body.ifPresent(visit);
    }
}
