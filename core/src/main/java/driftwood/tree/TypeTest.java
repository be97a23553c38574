package driftwood.tree;

import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a run-time type test.
 *
 * <pre>{@code
 * v instanceof Tug t, v.getClass() == Tug.class, case Tug t ->   // Java
 * isinstance(v, Tug), case Tug() as t:   # Python
 * }</pre>
 *
 * @param subject the matched value; an Absent inside match labels
 * @param exact the very class, not a subtype
 * @param binding the name a pattern gives the value
 */
public record TypeTest(
        int start, int end, Node subject, TypeRef type, boolean exact, Optional<String> binding) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitTypeTest(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(subject);
    }
}
