package driftwood.read.java;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Where a file writes annotations, and imports what it writes nowhere else. A library of annotations that is not at
 * hand leaves errors there; who calls whom and of which type things are is known all the same.
 */
final class MarkPlaces {
    private final List<long[]> ranges = new ArrayList<>();

    private MarkPlaces() {
    }

    static MarkPlaces of(CompilationUnitTree unit, SourcePositions positions) {
        MarkPlaces places = new MarkPlaces();
        Set<String> meant = new HashSet<>();
        new TreeScanner<Void, Void>() {
            @Override
            public Void visitImport(ImportTree tree, Void none) {
                return null;
            }

            @Override
            public Void visitAnnotation(AnnotationTree tree, Void none) {
                places.add(unit, tree, positions);
                return null;
            }

            @Override
            public Void visitIdentifier(IdentifierTree tree, Void none) {
                meant.add(tree.getName().toString());
                return super.visitIdentifier(tree, none);
            }
        }.scan(unit, null);
        for (ImportTree each : unit.getImports()) {
            // What a name of an unknown import stands for would be looked for elsewhere, and might be found.
            if (!(each.getQualifiedIdentifier() instanceof MemberSelectTree name) || !meant.contains(name.getIdentifier().toString())) {
                places.add(unit, each, positions);
            }
        }
        return places;
    }

    private void add(CompilationUnitTree unit, Tree tree, SourcePositions positions) {
        ranges.add(new long[] {positions.getStartPosition(unit, tree), positions.getEndPosition(unit, tree)});
    }

    /** @param offset from 0, in the text of the file */
    boolean holds(long offset) {
        return ranges.stream().anyMatch(each -> each[0] <= offset && offset < each[1]);
    }
}
