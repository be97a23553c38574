package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for what the language leaves unsaid.
 *
 * <pre>{@code
 * the subject in  case Tug t ->   // Java
 * }</pre>
 */
public record Absent(int start, int end) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitAbsent(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
    }
}
