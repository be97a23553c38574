package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a literal.
 *
 * <pre>{@code
 * "TUG", 'x', 80, 4.5, true, null   // Java
 * }</pre>
 *
 * @param text strings without quotes and escapes, the rest as written
 */
public record Literal(int start, int end, LiteralKind kind, String text) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitLiteral(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
    }
}
