package driftwood.tree;

import java.util.function.Consumer;

/**
 * Visits a whole tree, each node before its children. Override a kind to see it; call {@link #visitNode} to go on
 * into its children.
 *
 * <pre>{@code
 * class CreationCounter extends TreeScanner {
 *     int count;
 *
 *     @Override
 *     public Void visitCreation(Creation creation) {
 *         count++;
 *         return visitNode(creation);
 *     }
 * }
 * }</pre>
 */
public class TreeScanner implements TreeVisitor<Void> {

    private final Consumer<Node> each = this::scan;

    /** Visits a node and what is below it. */
    public final void scan(Node node) {
        node.accept(this);
    }

    /** Goes on into the children. */
    @Override
    public Void visitNode(Node node) {
        node.eachChild(each);
        return null;
    }
}
