package driftwood.tree;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for a protected block.
 *
 * <pre>{@code
 * try { enter(); } catch (GroundedException e) { ... }   // Java
 * try: enter()   # Python
 * }</pre>
 *
 * @param handlers catch blocks, each a Block that begins with the Local it binds
 * @param last the finally block
 */
public record Try(
        int start, int end, List<Node> resources, Block body, List<Node> handlers, Optional<Block> last) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitTry(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        resources.forEach(visit);
        visit.accept(body);
        handlers.forEach(visit);
        last.ifPresent(visit);
    }
}
