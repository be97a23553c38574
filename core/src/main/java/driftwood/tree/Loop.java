package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for a loop.
 *
 * <pre>{@code
 * for (Leg leg : voyage.legs()) { ... }   // Java
 * for leg in voyage.legs: ...   # Python
 * }</pre>
 *
 * @param header start, condition and step; for EACH the variable (a Local), then the collection
 */
public record Loop(int start, int end, LoopKind kind, List<Node> header, Node body) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitLoop(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        header.forEach(visit);
        visit.accept(body);
    }
}
