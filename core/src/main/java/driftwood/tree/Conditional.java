package driftwood.tree;

import java.util.function.Consumer;

/**
 * A tree node for a conditional expression.
 *
 * <pre>{@code
 * high ? deep : shallow   // Java
 * deep if high else shallow   # Python
 * }</pre>
 *
 * @param then may be the very value that the condition asks for ({@code deep ?? shallow}); it is a child once
 */
public record Conditional(int start, int end, Node condition, Node then, Node otherwise) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitConditional(this);
    }

    /** Whether it asks for nothing only to reach on: {@code a?.b}. */
    public boolean isSafe() {
        return condition instanceof NullTest test && test.negated() && otherwise instanceof Literal none
                && none.kind() == LiteralKind.NULL && none.start() == none.end();
    }

    /** Whether it is no more than a sign that asks for nothing: {@code a?.b} or {@code a ?? b}. */
    public boolean isSign() {
        return isSafe() || condition instanceof NullTest test && test.subject() == then;
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(condition);
        boolean asked = condition instanceof NullTest test && test.subject() == then;
        if (!asked) {
            visit.accept(then);
        }
        visit.accept(otherwise);
    }
}
