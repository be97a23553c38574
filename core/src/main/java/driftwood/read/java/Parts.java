package driftwood.read.java;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.List;

/** The direct parts of any compiler tree, also of kinds that the API of the floor version cannot name. */
final class Parts extends TreeScanner<Void, Void> {
    private final List<Tree> parts = new ArrayList<>();

    private Parts() {
    }

    static List<Tree> of(Tree tree) {
        Parts collector = new Parts();
        tree.accept(collector, null);
        return collector.parts;
    }

    @Override
    public Void scan(Tree tree, Void unused) {
        if (tree != null) {
            parts.add(tree);
        }
        return null;
    }
}
