package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for anything without a common meaning; its parts are kept, so that nothing is lost.
 *
 * <pre>{@code
 * synchronized (lock) { ... }   // Java
 * with lock: ...   # Python
 * }</pre>
 *
 * @param what the grammar's own name for it
 */
public record Other(int start, int end, String what, List<Node> parts) implements Node {
    /** Begins the name of a node that passes its only part by the name of a parameter: {@code depth=4}. */
    public static final String NAMED = "named ";


    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitOther(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parts.forEach(visit);
    }
}
