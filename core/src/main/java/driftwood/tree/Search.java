package driftwood.tree;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Predicate;

/** Looking for nodes below a node. */
public final class Search {
    private Search() {
    }

    /** Whether a node or one below it is what is looked for. */
    public static boolean any(Node from, Predicate<Node> wanted) {
        Seeking seeking = new Seeking(wanted);
        seeking.accept(from);
        return seeking.found;
    }

    /** All nodes of a kind at and below a node, outer ones first. */
    public static <N extends Node> List<N> all(Node from, Class<N> kind) {
        Collecting<N> collecting = new Collecting<>(kind);
        collecting.accept(from);
        return collecting.found;
    }

    /** One object for a whole search: it is handed on to the children of each node, and there are millions. */
    private static final class Seeking implements Consumer<Node> {
        private final Predicate<Node> wanted;
        private boolean found;

        Seeking(Predicate<Node> wanted) {
            this.wanted = wanted;
        }

        @Override
        public void accept(Node node) {
            if (!found) {
                found = wanted.test(node);
            }
            if (!found) {
                node.eachChild(this);
            }
        }
    }

    private static final class Collecting<N extends Node> implements Consumer<Node> {
        private final Class<N> kind;
        private final List<N> found = new ArrayList<>();

        Collecting(Class<N> kind) {
            this.kind = kind;
        }

        @Override
        public void accept(Node node) {
            if (kind.isInstance(node)) {
                found.add(kind.cast(node));
            }
            node.eachChild(this);
        }
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
