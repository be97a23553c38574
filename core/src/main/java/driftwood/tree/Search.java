package driftwood.tree;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** Looking for nodes below a node. */
public final class Search {
    private Search() {
    }

    /** Whether a node or one below it is what is looked for. */
    public static boolean any(Node from, Predicate<Node> wanted) {
        if (wanted.test(from)) {
            return true;
        }
        boolean[] found = {false};
        from.eachChild(child -> found[0] = found[0] || any(child, wanted));
        return found[0];
    }

    /** All nodes of a kind at and below a node, outer ones first. */
    public static <N extends Node> List<N> all(Node from, Class<N> kind) {
        List<N> found = new ArrayList<>();
        collect(from, kind, found);
        return found;
    }

    private static <N extends Node> void collect(Node from, Class<N> kind, List<N> found) {
        if (kind.isInstance(from)) {
            found.add(kind.cast(from));
        }
        from.eachChild(child -> collect(child, kind, found));
    }

    /** Whether a name occurs at or below a node. */
    public static boolean mentions(Node from, String name) {
        return any(from, node -> node instanceof Name each && each.name().equals(name));
    }

    /** The statements of a body, blocks opened. */
    public static List<Node> statements(Node body) {
        if (!(body instanceof Block block)) {
            return List.of(body);
        }
        List<Node> flat = new ArrayList<>();
        for (Node each : block.statements()) {
            if (each instanceof Block) {
                flat.addAll(statements(each));
            } else {
                flat.add(each);
            }
        }
        return flat;
    }
}
