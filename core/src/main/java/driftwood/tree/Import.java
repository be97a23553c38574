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

    /** The name of the member that a bare name means by it: its own, where the file calls it otherwise; empty where it means none. */
    public String member(String bare) {
        boolean meant = onDemand || (alias.isEmpty() ? name.endsWith("." + bare) : alias.equals(bare));
        return !isStatic || !meant ? "" : onDemand ? bare : name.substring(name.lastIndexOf('.') + 1);
    }

    /** Qualified name of what a member is imported from. */
    public String owner() {
        return onDemand ? name : name.substring(0, Math.max(0, name.lastIndexOf('.')));
    }

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitImport(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
    }
}
