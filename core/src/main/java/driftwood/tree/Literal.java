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

    /** Whether it is a text that is written without quotes, with a colon before it. */
    public boolean isSymbol() {
        return kind == LiteralKind.STRING && text.startsWith(":") && end - start == text.length();
    }

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitLiteral(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
    }
}
