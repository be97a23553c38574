package driftwood.tree;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A tree node for one arm of a match.
 *
 * <pre>{@code
 * case TUG, PILOT -> tow();   // Java
 * case Tug() | Pilot(): tow()   # Python
 * }</pre>
 *
 * @param labels values, TypeTests for type patterns; empty for the default alone
 * @param isDefault also where default stands beside labels
 * @param fallsThrough whether control may run on into the next arm
 */
public record Arm(
        int start, int end, List<Node> labels, boolean isDefault, Optional<Node> guard, List<Node> body, boolean fallsThrough) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitArm(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        labels.forEach(visit);
        guard.ifPresent(visit);
        body.forEach(visit);
    }
}
