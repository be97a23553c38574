package driftwood.read.java;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.List;

/**
 * The direct parts of any compiler tree. Also reaches what newer JDKs put into their trees and the API of the
 * floor version cannot name (labels and guards of a case, record patterns).
 */
final class Parts extends TreeScanner<Void, Void> {
    private final List<Tree> parts = new ArrayList<>();

    private Parts() {
    }

    static List<Tree> of(Tree tree) {
        Parts collector = new Parts();
        tree.accept(collector, null);
        return collector.parts;
    }

    static boolean isPattern(Tree tree) {
        return tree.getKind().name().endsWith("_PATTERN");
    }

    static boolean isLabel(Tree tree) {
        return tree.getKind().name().endsWith("_CASE_LABEL");
    }

    @Override
    public Void scan(Tree tree, Void unused) {
        if (tree != null) {
            parts.add(tree);
        }
        return null;
    }
}
