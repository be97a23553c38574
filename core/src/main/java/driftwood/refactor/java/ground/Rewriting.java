package driftwood.refactor.java.ground;

import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** The text of a tree with some of the trees in it written anew. */
public final class Rewriting {
    private final Workspace workspace;
    private final Function<TreePath, Optional<String>> anew;

    private record Piece(int from, int to, String text) {
    }

    /** @param anew what a tree becomes; what is in it is not asked then. Empty: as it is, but for what is in it */
    public Rewriting(Workspace workspace, Function<TreePath, Optional<String>> anew) {
        this.workspace = workspace;
        this.anew = anew;
    }

    /** A tree. */
    public String of(TreePath path) {
        return of(List.of(path), workspace.from(path), workspace.to(path));
    }

    /** A stretch of a file that holds some trees. @param paths the trees, in order, in one file */
    public String of(List<TreePath> paths, int from, int to) {
        List<Piece> pieces = new ArrayList<>();
        for (TreePath path : paths) {
            new TreePathScanner<Void, Void>() {
                @Override
                public Void scan(TreePath at, Void nothing) {
                    return piece(at) ? null : super.scan(at, nothing);
                }

                @Override
                public Void scan(Tree tree, Void nothing) {
                    return tree == null || piece(new TreePath(getCurrentPath(), tree)) ? null : super.scan(tree, nothing);
                }

                private boolean piece(TreePath at) {
                    int begin = workspace.from(at);
                    int end = workspace.to(at);
                    Optional<String> text = begin < 0 || end < begin ? Optional.empty() : anew.apply(at);
                    text.ifPresent(said -> pieces.add(new Piece(begin, end, said)));
                    return text.isPresent();
                }
            }.scan(path, null);
        }
        String whole = workspace.unit(paths.get(0)).text();
        StringBuilder text = new StringBuilder();
        int at = from;
        for (Piece each : pieces.stream().sorted((a, b) -> Integer.compare(a.from(), b.from())).toList()) {
            if (each.from() >= at) {
                text.append(whole, at, each.from()).append(each.text());
                at = each.to();
            }
        }
        return text.append(whole, at, to).toString();
    }
}
