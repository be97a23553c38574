package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A collection written out: a list, a tuple, a set or a dictionary.
 *
 * <pre>{@code
 * [low, high]   # Python
 * }</pre>
 *
 * @param type  simple name of the collection, as the language calls it
 * @param parts elements, or entries
 */
public record Sequence(int start, int end, String type, List<Node> parts) implements Node {
    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitSequence(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parts.forEach(visit);
    }
}
