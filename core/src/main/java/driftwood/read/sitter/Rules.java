package driftwood.read.sitter;

import driftwood.tree.Node;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What becomes of each kind of a grammar's nodes. A test names every kind that nothing is said of.
 *
 * @param <R> who makes nodes
 */
public final class Rules<R> {
    private final Map<String, Maker<R>> makers = new HashMap<>();
    private final Set<String> others = new TreeSet<>();

    /** Makes a node of one kind. */
    public interface Maker<R> {
        Node of(R reader, Cst node);
    }

    /** Nodes of these kinds are made like that. */
    public Rules<R> on(Maker<R> maker, String... kinds) {
        for (String kind : kinds) {
            if (makers.put(kind, maker) != null) {
                throw new IllegalStateException("two rules for " + kind);
            }
        }
        return this;
    }

    /** Kinds that only occur in others, which read them. */
    public Rules<R> within(String... kinds) {
        others.addAll(List.of(kinds));
        return this;
    }

    /** Kinds without a common meaning: their parts are kept and no more. */
    public Rules<R> plain(String... kinds) {
        others.addAll(List.of(kinds));
        return this;
    }

    /** What makes nodes of a kind. @param otherwise what makes those that only keep their parts */
    public Maker<R> of(String kind, Maker<R> otherwise) {
        return makers.getOrDefault(kind, otherwise);
    }

    /** All kinds that something is said of. */
    public Set<String> kinds() {
        Set<String> kinds = new TreeSet<>(others);
        kinds.addAll(makers.keySet());
        return kinds;
    }
}
