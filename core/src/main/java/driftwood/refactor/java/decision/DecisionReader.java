package driftwood.refactor.java.decision;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BindingPatternTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Declarations;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;

/**
 * Reads decisions of all forms.
 *
 * @param asking what the conditions may ask
 */
record DecisionReader(Workspace workspace, Asking asking) {

    Decision of(TreePath path) {
        Tree tree = path.getLeaf();
        if (tree instanceof SwitchTree choice) {
            return new SwitchReader(this).of(path, choice.getExpression(), choice.getCases(), false);
        }
        if (tree instanceof SwitchExpressionTree choice) {
            return new SwitchReader(this).of(path, choice.getExpression(), choice.getCases(), true);
        }
        return tree instanceof ConditionalExpressionTree ? ofConditional(path) : Inverted.isOne((IfTree) tree) ? new Inverted(this).of(path) : ofIf(path);
    }

    /** Where a statement's own comments begin. */
    int begin(TreePath statement) {
        return Declarations.fromComments(workspace.unit(statement), workspace.from(statement));
    }

    private List<TreePath> statements(TreePath block) {
        return ((BlockTree) block.getLeaf()).getStatements().stream().map(each -> new TreePath(block, each)).toList();
    }

    int[] whole(TreePath body) {
        if (body.getLeaf() instanceof BlockTree block && !block.getStatements().isEmpty()) {
            List<TreePath> all = statements(body);
            return new int[] {begin(all.get(0)), workspace.to(all.get(all.size() - 1))};
        }
        return body.getLeaf() instanceof BlockTree ? new int[] {0, 0} : new int[] {workspace.from(body), workspace.to(body)};
    }

    private Decision ofConditional(TreePath path) {
        List<Arm> arms = new ArrayList<>();
        TreePath at = path;
        Test first = null;
        while (bare(at).getLeaf() instanceof ConditionalExpressionTree choice) {
            TreePath here = bare(at);
            Test test = test(bare(new TreePath(here, choice.getCondition())));
            first = sameAs(first, test);
            TreePath value = new TreePath(here, choice.getTrueExpression());
            arms.add(new Arm(test.labels(), test.binding(), List.of(value), whole(value)));
            at = new TreePath(here, choice.getFalseExpression());
        }
        Arm otherwise = new Arm(List.of(), null, List.of(at), whole(at));
        return new Decision(path, workspace.from(path), workspace.to(path), first.subject(), arms, Optional.of(otherwise), true, false, first.takesNull(), first.foldsCase());
    }

    private Decision ofIf(TreePath path) {
        List<Arm> arms = new ArrayList<>();
        Test first = null;
        TreePath at = path;
        Arm otherwise = null;
        while (true) {
            IfTree choice = (IfTree) at.getLeaf();
            Test test = test(bare(new TreePath(at, choice.getCondition())));
            first = sameAs(first, test);
            arms.add(arm(test, new TreePath(at, choice.getThenStatement())));
            if (choice.getElseStatement() == null) {
                break;
            }
            TreePath next = new TreePath(at, choice.getElseStatement());
            if (!(next.getLeaf() instanceof IfTree)) {
                otherwise = new Arm(List.of(), null, body(next), whole(next));
                break;
            }
            at = next;
        }
        boolean leaving = arms.stream().noneMatch(each -> Completion.canComplete(each.body()));
        if (otherwise == null && leaving && path.getParentPath().getLeaf() instanceof BlockTree block) {
            return guards(path, block, arms, first);
        }
        return new Decision(path, workspace.from(path), workspace.to(path), first.subject(), arms, Optional.ofNullable(otherwise), false, false, first.takesNull(), first.foldsCase());
    }

    private Arm arm(Test test, TreePath body) {
        return new Arm(test.labels(), test.binding(), body(body), whole(body));
    }

    List<TreePath> body(TreePath statement) {
        return statement.getLeaf() instanceof BlockTree ? statements(statement) : List.of(statement);
    }

    /** Guards in a row on the same subject, and all that stands behind them. */
    private Decision guards(TreePath path, BlockTree block, List<Arm> arms, Test first) {
        int at = block.getStatements().indexOf(path.getLeaf()) + 1;
        Arm last = null;
        while (last == null && at < block.getStatements().size() && block.getStatements().get(at) instanceof IfTree next) {
            List<Arm> more = new ArrayList<>();
            try {
                last = chain(new TreePath(path.getParentPath(), next), first, more);
            } catch (Refused other) {
                break;
            }
            if (more.stream().anyMatch(each -> Completion.canComplete(each.body())) || last != null && Completion.canComplete(last.body())) {
                last = null;
                break;
            }
            arms.addAll(more);
            at++;
        }
        List<TreePath> rest = behind(new TreePath(path.getParentPath(), block.getStatements().get(at - 1)));
        int end = workspace.to(rest.isEmpty() ? new TreePath(path.getParentPath(), block.getStatements().get(at - 1)) : rest.get(rest.size() - 1));
        Optional<Arm> otherwise = rest.isEmpty() ? Optional.ofNullable(last) : Optional.of(new Arm(List.of(), null, rest, new int[] {begin(rest.get(0)), end}));
        return new Decision(path, workspace.from(path), end, first.subject(), arms, otherwise, false, true, first.takesNull(), first.foldsCase());
    }

    /** The statements of its block behind one. */
    List<TreePath> behind(TreePath statement) {
        List<? extends StatementTree> all = ((BlockTree) statement.getParentPath().getLeaf()).getStatements();
        return all.subList(all.indexOf(statement.getLeaf()) + 1, all.size()).stream().map(each -> new TreePath(statement.getParentPath(), each)).toList();
    }

    int to(TreePath tree) {
        return workspace.to(tree);
    }

    /** The arms of one if with its else-ifs. @return what its last else does; null where it has none */
    private Arm chain(TreePath path, Test first, List<Arm> arms) {
        TreePath at = path;
        while (true) {
            IfTree choice = (IfTree) at.getLeaf();
            Test test = test(bare(new TreePath(at, choice.getCondition())));
            sameAs(first, test);
            arms.add(arm(test, new TreePath(at, choice.getThenStatement())));
            if (choice.getElseStatement() == null) {
                return null;
            }
            TreePath next = new TreePath(at, choice.getElseStatement());
            if (!(next.getLeaf() instanceof IfTree)) {
                return new Arm(List.of(), null, body(next), whole(next));
            }
            at = next;
        }
    }

    /** A condition: what it asks about and what it compares that with. */
    private record Test(TreePath subject, List<TreePath> labels, Element binding, boolean takesNull, boolean foldsCase) {

        Test(TreePath subject, List<TreePath> labels, Element binding, boolean takesNull) {
            this(subject, labels, binding, takesNull, false);
        }
    }

    private Test sameAs(Test first, Test next) {
        if (asking != Asking.ANYTHING && first != null && !workspace.text(first.subject()).equals(workspace.text(next.subject()))) {
            throw new Refused("the arms ask about different things: " + workspace.text(first.subject()) + " and " + workspace.text(next.subject()));
        }
        if (first != null && first.foldsCase() != next.foldsCase()) {
            throw new Refused("some of the arms regard case, and others do not");
        }
        return first == null ? next : new Test(first.subject(), List.of(), null, first.takesNull() && next.takesNull(), first.foldsCase());
    }

    private Test test(TreePath condition) {
        if (asking == Asking.ANYTHING) {
            return new Test(condition, List.of(condition), null, false);
        }
        Tree tree = condition.getLeaf();
        if (tree instanceof InstanceOfTree asks) {
            Element binding = asks.getPattern() instanceof BindingPatternTree named
                    ? workspace.element(new TreePath(new TreePath(condition, named), named.getVariable())) : null;
            if (asks.getPattern() != null && binding == null) {
                throw new Refused("a pattern takes its value apart: " + workspace.text(condition));
            }
            return new Test(bare(new TreePath(condition, asks.getExpression())), List.of(new TreePath(condition, asks.getType())), binding, true);
        }
        if (tree instanceof BinaryTree both && tree.getKind() == Tree.Kind.CONDITIONAL_OR) {
            Test left = test(bare(new TreePath(condition, both.getLeftOperand())));
            Test right = test(bare(new TreePath(condition, both.getRightOperand())));
            sameAs(left, right);
            List<TreePath> labels = new ArrayList<>(left.labels());
            labels.addAll(right.labels());
            return new Test(left.subject(), labels, null, left.takesNull() && right.takesNull(), left.foldsCase());
        }
        if (tree instanceof BinaryTree both && tree.getKind() == Tree.Kind.EQUAL_TO) {
            TreePath left = bare(new TreePath(condition, both.getLeftOperand()));
            TreePath right = bare(new TreePath(condition, both.getRightOperand()));
            return isConstant(right) ? new Test(left, List.of(right), null, true) : isConstant(left) ? new Test(right, List.of(left), null, true) : refuse(condition);
        }
        if (tree instanceof MethodInvocationTree call && call.getArguments().size() == 1 && call.getMethodSelect() instanceof MemberSelectTree select
                && (select.getIdentifier().contentEquals("equals") || asking == Asking.FOLDED && select.getIdentifier().contentEquals("equalsIgnoreCase"))) {
            boolean folds = !select.getIdentifier().contentEquals("equals");
            TreePath on = bare(new TreePath(new TreePath(condition, select), select.getExpression()));
            TreePath with = bare(new TreePath(condition, call.getArguments().get(0)));
            return isConstant(on) ? new Test(with, List.of(on), null, true, folds) : isConstant(with) ? new Test(on, List.of(with), null, false, folds) : refuse(condition);
        }
        return refuse(condition);
    }

    private Test refuse(TreePath condition) {
        throw refused(condition);
    }

    Refused refused(TreePath condition) {
        boolean joined = condition.getLeaf() instanceof BinaryTree;
        return new Refused((joined ? "a condition asks more than one thing: " : "a condition is no plain comparison with a constant: ") + workspace.text(condition));
    }

    boolean isConstant(TreePath path) {
        if (path.getLeaf() instanceof LiteralTree literal) {
            return literal.getKind() != Tree.Kind.NULL_LITERAL;
        }
        Element element = workspace.element(path);
        return element != null && (element.getKind().name().equals("ENUM_CONSTANT") || element.getKind().isField()
                && element.getModifiers().contains(Modifier.STATIC) && element.getModifiers().contains(Modifier.FINAL));
    }

    static TreePath bare(TreePath path) {
        return path.getLeaf() instanceof ParenthesizedTree inside ? bare(new TreePath(path, inside.getExpression())) : path;
    }
}
