package driftwood.refactor.java.ground;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javax.lang.model.element.Element;

/** The text of code for one value of a flag: what the other value would do is gone. */
public final class Specialised {
    private final Workspace workspace;
    private final Element flag;
    private final boolean value;
    private final Function<TreePath, Optional<String>> also;

    public Specialised(Workspace workspace, Element flag, boolean value) {
        this(workspace, flag, value, path -> Optional.empty());
    }

    /** @param also what else trees become; asked first */
    public Specialised(Workspace workspace, Element flag, boolean value, Function<TreePath, Optional<String>> also) {
        this.workspace = workspace;
        this.flag = flag;
        this.value = value;
        this.also = also;
    }

    /** A body with its braces. */
    public String of(TreePath body) {
        return new Rewriting(workspace, this::anew).of(body);
    }

    private Optional<String> anew(TreePath path) {
        Tree tree = path.getLeaf();
        Optional<String> other = also.apply(path);
        if (other.isPresent()) {
            return other;
        }
        if (tree instanceof BlockTree block) {
            return block(path, block);
        }
        if (tree instanceof IfTree choice && known(new TreePath(path, choice.getCondition())).isPresent()) {
            return Optional.of(taken(path, choice));
        }
        if (tree instanceof ExpressionTree expression && !(tree instanceof ParenthesizedTree && path.getParentPath().getLeaf() instanceof IfTree)) {
            Optional<Boolean> known = known(path);
            if (known.isPresent()) {
                boolean head = tree instanceof ParenthesizedTree && !(path.getParentPath().getLeaf() instanceof ExpressionTree);
                return Optional.of(head ? "(" + known.get() + ")" : known.get().toString());
            }
            if (expression instanceof ConditionalExpressionTree choice) {
                return known(new TreePath(path, choice.getCondition())).map(yes -> of(new TreePath(path, yes ? choice.getTrueExpression() : choice.getFalseExpression())));
            }
            if (expression instanceof BinaryTree binary && (binary.getKind() == Tree.Kind.CONDITIONAL_AND || binary.getKind() == Tree.Kind.CONDITIONAL_OR)) {
                TreePath left = new TreePath(path, binary.getLeftOperand());
                TreePath right = new TreePath(path, binary.getRightOperand());
                return known(left).isPresent() ? Optional.of(of(right)) : known(right).isPresent() ? Optional.of(of(left)) : Optional.empty();
            }
        }
        return Optional.empty();
    }

    /** The value of a condition, where the flag alone decides it. */
    private Optional<Boolean> known(TreePath path) {
        Tree tree = path.getLeaf();
        if (tree instanceof ParenthesizedTree inside) {
            return known(new TreePath(path, inside.getExpression()));
        }
        if (tree instanceof IdentifierTree) {
            return flag.equals(workspace.element(path)) ? Optional.of(value) : Optional.empty();
        }
        if (tree instanceof UnaryTree not && not.getKind() == Tree.Kind.LOGICAL_COMPLEMENT) {
            return known(new TreePath(path, not.getExpression())).map(each -> !each);
        }
        if (tree instanceof BinaryTree binary) {
            Optional<Boolean> left = known(new TreePath(path, binary.getLeftOperand()));
            Optional<Boolean> right = known(new TreePath(path, binary.getRightOperand()));
            boolean and = binary.getKind() == Tree.Kind.CONDITIONAL_AND;
            boolean or = binary.getKind() == Tree.Kind.CONDITIONAL_OR;
            if (and && left.equals(Optional.of(false)) || or && left.equals(Optional.of(true))) {
                return left;
            }
            return (and || or) && left.isPresent() && right.isPresent() ? right : Optional.empty();
        }
        return Optional.empty();
    }

    /** The statements of a block; what can no longer be reached is left out. */
    private Optional<String> block(TreePath path, BlockTree block) {
        List<? extends StatementTree> statements = block.getStatements();
        if (statements.stream().noneMatch(each -> each instanceof IfTree choice && known(new TreePath(new TreePath(path, each), choice.getCondition())).isPresent())) {
            return Optional.empty();
        }
        Unit unit = workspace.unit(path);
        String text = unit.text();
        StringBuilder all = new StringBuilder();
        int at = workspace.from(path);
        for (StatementTree each : statements) {
            TreePath statement = new TreePath(path, each);
            int from = workspace.from(statement);
            String said = each instanceof IfTree ? anew(statement).orElseGet(() -> of(statement)) : of(statement);
            String before = text.substring(at, from);
            if (said.isEmpty()) {
                int line = before.lastIndexOf('\n');
                all.append(line > 0 && before.charAt(line - 1) == '\r' ? before.substring(0, line - 1) : line >= 0 ? before.substring(0, line) : before);
            } else {
                all.append(before).append(said);
            }
            at = workspace.to(statement);
            if (each instanceof IfTree choice && ends(statement, choice)) {
                break;
            }
        }
        boolean whole = at == workspace.to(new TreePath(path, statements.get(statements.size() - 1)));
        return Optional.of(all.append(whole ? text.substring(at, workspace.to(path)) : unit.newLine() + unit.indentAt(workspace.to(path) - 1) + "}").toString());
    }

    private boolean ends(TreePath path, IfTree choice) {
        Optional<Boolean> known = known(new TreePath(path, choice.getCondition()));
        StatementTree taken = known.isEmpty() ? null : known.get() ? choice.getThenStatement() : choice.getElseStatement();
        StatementTree last = taken;
        while (last instanceof BlockTree inside && !inside.getStatements().isEmpty()) {
            last = inside.getStatements().get(inside.getStatements().size() - 1);
        }
        return last != null && (last.getKind() == Tree.Kind.RETURN || last.getKind() == Tree.Kind.THROW);
    }

    private String taken(TreePath path, IfTree choice) {
        boolean yes = known(new TreePath(path, choice.getCondition())).orElseThrow();
        StatementTree taken = yes ? choice.getThenStatement() : choice.getElseStatement();
        if (taken == null) {
            return "";
        }
        TreePath statement = new TreePath(path, taken);
        if (!(taken instanceof BlockTree block)) {
            return taken instanceof IfTree ? anew(statement).orElseGet(() -> of(statement)) : of(statement);
        }
        if (block.getStatements().isEmpty()) {
            return "";
        }
        Unit unit = workspace.unit(path);
        String whole = of(statement);
        String inside = whole.substring(1, whole.length() - 1);
        int first = 0;
        while (first < inside.length() && Character.isWhitespace(inside.charAt(first))) {
            first++;
        }
        int line = inside.lastIndexOf('\n', first);
        String own = line < 0 ? "" : inside.substring(line + 1, first);
        String wanted = unit.indentAt(workspace.from(path));
        return inside.strip().replace("\n" + own, "\n" + wanted);
    }
}
