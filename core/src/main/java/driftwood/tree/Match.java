package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for a switch, match or case.
 *
 * <pre>{@code
 * switch (vessel.kind()) { case TUG -> tow(); }   // Java
 * match vessel.kind: ...   # Python
 * }</pre>
 *
 * @param expression whether its value is used
 */
public record Match(int start, int end, Node subject, List<Arm> arms, boolean expression) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitMatch(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        visit.accept(subject);
        arms.forEach(visit);
    }
}
