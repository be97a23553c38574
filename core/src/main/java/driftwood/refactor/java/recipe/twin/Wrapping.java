package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javax.lang.model.element.ExecutableElement;

/**
 * How one routine does what another does, and more: before it, after it, or around its result.
 *
 * @param workspace of both
 * @param plain     the routine that does less
 * @param more      the routine that does all of it
 */
record Wrapping(Workspace workspace, ExecutableElement plain, ExecutableElement more) {

    /**
     * The body of the second, with a call in the place of what the first does, without indentation; empty where it does not
     * do all of it, in one place.
     *
     * @param wrapped the object that the call is made on
     */
    Optional<String> around(String wrapped) {
        List<TreePath> inner = statements(plain);
        List<TreePath> outer = statements(more);
        if (writes(inner) || writes(outer)) {
            return Optional.empty();
        }
        String call = wrapped + "." + more.getSimpleName() + "(" + Imports.arguments(more.getParameters()) + ")";
        TreePath result = inner.isEmpty() ? null : value(inner.get(inner.size() - 1));
        List<TreePath> first = result == null ? inner : inner.subList(0, inner.size() - 1);
        Optional<String> found = Optional.empty();
        int all = 0;
        for (int at = 0; at + first.size() <= outer.size(); at++) {
            if (!isSame(first, outer.subList(at, at + first.size()))) {
                continue;
            }
            Optional<String> body = result == null ? first.isEmpty() ? Optional.empty() : Optional.of(told(outer, at, at + first.size(), call + ";"))
                    : at + first.size() < outer.size() ? withResult(outer, at, first.size(), result, call) : Optional.empty();
            all += body.isPresent() ? 1 : 0;
            found = found.or(() -> body);
        }
        return all == 1 ? found : Optional.empty();
    }

    private boolean writes(List<TreePath> statements) {
        Captures captures = Captures.of(workspace, statements);
        return captures.written().stream().anyMatch(each -> plain.getParameters().contains(each) || more.getParameters().contains(each))
                || captures.returns().size() > (statements.isEmpty() || value(statements.get(statements.size() - 1)) == null ? 0 : 1);
    }

    private List<TreePath> statements(ExecutableElement routine) {
        TreePath path = workspace.path(routine).orElseThrow();
        BlockTree block = ((MethodTree) path.getLeaf()).getBody();
        TreePath body = new TreePath(path, block);
        return block.getStatements().stream().map(each -> new TreePath(body, (StatementTree) each)).toList();
    }

    /** What a statement returns; null where it is no such statement. */
    private static TreePath value(TreePath statement) {
        return statement.getLeaf() instanceof ReturnTree given && given.getExpression() != null ? new TreePath(statement, given.getExpression()) : null;
    }

    private boolean isSame(List<TreePath> one, List<TreePath> other) {
        for (int i = 0; i < one.size(); i++) {
            if (!text(one.get(i)).equals(text(other.get(i)))) {
                return false;
            }
        }
        return true;
    }

    private String text(TreePath path) {
        return Code.compact(workspace.text(path));
    }

    /** Statements, some of them replaced. */
    private String told(List<TreePath> all, int from, int to, String by) {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (i == from) {
                lines.add(by);
            }
            if (i < from || i >= to) {
                lines.add(bare(all.get(i)));
            }
        }
        if (from == all.size()) {
            lines.add(by);
        }
        return String.join("\n", lines);
    }

    private String bare(TreePath statement) {
        Unit unit = workspace.unit(statement);
        return unit.bare(workspace.text(statement), unit.indentAt(workspace.from(statement)));
    }

    /** The statement behind the same ones holds the same result, once, and does nothing else before it where those did something. */
    private Optional<String> withResult(List<TreePath> all, int at, int length, TreePath result, String call) {
        TreePath last = all.get(at + length);
        List<TreePath> same = trees(last, each -> text(each).equals(text(result)));
        boolean acts = length > 0 && trees(last, each -> each.getLeaf() instanceof MethodInvocationTree || each.getLeaf() instanceof NewClassTree).stream()
                .anyMatch(each -> same.isEmpty() || workspace.from(each) < workspace.from(same.get(0)) || workspace.to(each) > workspace.to(same.get(0)));
        if (same.size() != 1 || acts) {
            return Optional.empty();
        }
        int from = workspace.from(last);
        String text = workspace.text(last);
        TreePath place = same.get(0);
        while (place.getParentPath().getLeaf() instanceof ParenthesizedTree) {
            place = place.getParentPath();
        }
        String replaced = text.substring(0, workspace.from(place) - from) + call + text.substring(workspace.to(place) - from);
        Unit unit = workspace.unit(last);
        return Optional.of(told(all, at, at + length + 1, unit.bare(replaced, unit.indentAt(from))));
    }

    /** The outermost expressions of a kind. */
    private static List<TreePath> trees(TreePath from, Predicate<TreePath> wanted) {
        List<TreePath> found = new ArrayList<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void scan(Tree tree, Void nothing) {
                if (tree instanceof ExpressionTree && wanted.test(new TreePath(getCurrentPath(), tree))) {
                    found.add(new TreePath(getCurrentPath(), tree));
                    return null;
                }
                return super.scan(tree, nothing);
            }
        }.scan(from, null);
        return found;
    }
}
