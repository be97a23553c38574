package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a conditional statement.
 *
 * <pre>{@code
 * if (tide.isHigh()) enter(); else wait();   // Java
 * if tide.is_high(): enter()   # Python
 * }</pre>
 *
 */
public record If(int start, int end, Node condition, Node then, Optional<Node> otherwise) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitIf(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(condition);
        visit.accept(then);
        otherwise.ifPresent(visit);
    }
}
