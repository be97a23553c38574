package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for an import.
 *
 * <pre>{@code
 * import static quay.Tide.*;   // Java
 * from quay.tide import *   # Python
 * }</pre>
 *
 * @param name qualified name as written, without the star
 * @param onDemand whether it ends in a star
 * @param isStatic whether it imports members, not types
 * @param alias the name it has in this file; empty with a star
 */
public record Import(int start, int end, String name, boolean onDemand, boolean isStatic, String alias) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitImport(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
    }
}
