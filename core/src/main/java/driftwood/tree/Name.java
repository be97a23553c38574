package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a simple name.
 *
 * <pre>{@code
 * vessel   // Java and Python
 * }</pre>
 *
 * @param name "this" and "super" included
 */
public record Name(int start, int end, String name) implements Node {

    /** Whether it is the object whose routine is run, whatever the language calls it: readers say "this" for all. */
    public boolean isSelf() {
        return name.equals("this");
    }

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitName(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
    }
}
