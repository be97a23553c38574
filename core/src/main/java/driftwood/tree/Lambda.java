package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for an anonymous function or a routine reference.
 *
 * <pre>{@code
 * v -> v.dues(), Vessel::dues   // Java
 * lambda v: v.dues()   # Python
 * }</pre>
 *
 * @param body a Block or an expression; for a routine reference the Member it names
 */
public record Lambda(int start, int end, List<Parameter> parameters, Node body) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitLambda(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        parameters.forEach(visit);
        visit.accept(body);
    }
}
