package driftwood.tree;

import java.util.List;
import java.util.function.Consumer;

/**
 * A tree node for a source file.
 *
 * <pre>{@code
 * package quay; import java.util.List; class Berth { }   // Java
 * import math; class Berth: ...   # Python
 * }</pre>
 *
 * @param packageName empty for the default package
 * @param members types, and whatever else stands at the top level
 */
public record Unit(int start, int end, String packageName, List<Import> imports, List<Node> members) implements Node {

    @Override
    public <R> R accept(TreeVisitor<R> visitor) {
        return visitor.visitUnit(this);
    }

    @Override
    public void eachChild(Consumer<? super Node> visit) {
        imports.forEach(visit);
        members.forEach(visit);
    }
}
