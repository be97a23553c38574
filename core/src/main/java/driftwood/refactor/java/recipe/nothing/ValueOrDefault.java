package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A local of which one value is given back where it is there, and a constant where not: the optional value does both,
 * {@code find(title).map(item -> item.period()).orElse(0)}. Only where that value is never nothing itself.
 *
 * @param call    what gives the local its value
 * @param local   its declaration
 * @param last    the last statement that is replaced
 * @param value   what is given back where there is one
 * @param instead what is given back else
 */
record ValueOrDefault(Workspace workspace, Call call, TreePath local, TreePath last, TreePath value, TreePath instead) {

    /** Of a call whose result goes into such a local. */
    static Optional<ValueOrDefault> of(Workspace workspace, Call call) {
        TreePath local = call.path().getParentPath();
        if (!(local.getLeaf() instanceof VariableTree declared) || !(local.getParentPath().getLeaf() instanceof BlockTree block)) {
            return Optional.empty();
        }
        List<? extends StatementTree> behind = block.getStatements().subList(block.getStatements().indexOf(declared) + 1, block.getStatements().size());
        Optional<ValueOrDefault> found = Optional.empty();
        if (behind.size() == 1 && behind.get(0) instanceof ReturnTree back && back.getExpression() != null) {
            found = ofChoice(workspace, call, local, new TreePath(local.getParentPath(), back));
        } else if (behind.size() == 2 && behind.get(0) instanceof IfTree question && question.getElseStatement() == null && behind.get(1) instanceof ReturnTree back && back.getExpression() != null) {
            found = ofGuard(workspace, call, local, new TreePath(local.getParentPath(), question), new TreePath(local.getParentPath(), back));
        }
        return found.filter(ValueOrDefault::isWhole);
    }

    private static Optional<ValueOrDefault> ofChoice(Workspace workspace, Call call, TreePath local, TreePath back) {
        TreePath given = bare(new TreePath(back, ((ReturnTree) back.getLeaf()).getExpression()));
        if (!(given.getLeaf() instanceof ConditionalExpressionTree choice)) {
            return Optional.empty();
        }
        TreePath yes = new TreePath(given, choice.getTrueExpression());
        TreePath no = new TreePath(given, choice.getFalseExpression());
        return asks(choice.getCondition(), local).map(there -> new ValueOrDefault(workspace, call, local, back, there ? yes : no, there ? no : yes));
    }

    private static Optional<ValueOrDefault> ofGuard(Workspace workspace, Call call, TreePath local, TreePath question, TreePath back) {
        IfTree asked = (IfTree) question.getLeaf();
        TreePath then = new TreePath(question, asked.getThenStatement());
        if (then.getLeaf() instanceof BlockTree block && block.getStatements().size() == 1) {
            then = new TreePath(then, block.getStatements().get(0));
        }
        if (!(then.getLeaf() instanceof ReturnTree early) || early.getExpression() == null) {
            return Optional.empty();
        }
        TreePath first = new TreePath(then, early.getExpression());
        TreePath second = new TreePath(back, ((ReturnTree) back.getLeaf()).getExpression());
        return asks(asked.getCondition(), local).map(there -> new ValueOrDefault(workspace, call, local, back, there ? first : second, there ? second : first));
    }

    /** Whether a condition asks for the local to be there; false where it asks for nothing, empty where for anything else. */
    private static Optional<Boolean> asks(ExpressionTree condition, TreePath local) {
        Tree inner = condition;
        while (inner instanceof ParenthesizedTree inside) {
            inner = inside.getExpression();
        }
        boolean asked = inner instanceof BinaryTree compared && Guards.isComparison(inner)
                && Set.of(compared.getLeftOperand().toString(), compared.getRightOperand().toString()).equals(Set.of(((VariableTree) local.getLeaf()).getName().toString(), "null"));
        return asked ? Optional.of(inner.getKind() == Tree.Kind.NOT_EQUAL_TO) : Optional.empty();
    }

    private static TreePath bare(TreePath path) {
        return path.getLeaf() instanceof ParenthesizedTree inside ? bare(new TreePath(path, inside.getExpression())) : path;
    }

    /** Its value is never nothing, of the constant's very type and can be worked out in a function; nothing else is said or done. */
    private boolean isWhole() {
        var type = workspace.trees().getTypeMirror(value);
        boolean constant = instead.getLeaf().getKind().name().endsWith("_LITERAL") && instead.getLeaf().getKind() != Tree.Kind.NULL_LITERAL;
        boolean there = type != null && (type.getKind().isPrimitive() || Present.is(workspace, value));
        var own = workspace.element(local);
        boolean asked = workspace.uses().of(own).stream().anyMatch(each -> Uses.isWithin(each, value)) && value.getLeaf().getKind() != Tree.Kind.IDENTIFIER;
        String text = workspace.unit(local).text().substring(workspace.from(local), workspace.to(last));
        return constant && there && asked && workspace.types().isSameType(type, workspace.trees().getTypeMirror(instead))
                && new AsFunction(workspace, own).canBe(value) && !text.contains("//") && !text.contains("/*") && !workspace.text(value).contains("\n");
    }

    /** Whether some other call is in what is written anew. */
    boolean holds(Call other) {
        return other != call && workspace.unit(other.path()) == workspace.unit(local) && workspace.from(local) <= workspace.from(other.path()) && workspace.to(other.path()) <= workspace.to(last);
    }

    void write(Drafting drafting) {
        drafting.script().replace(workspace.unit(local).file(), workspace.from(local), workspace.to(last), "return " + workspace.text(call.path()) + ".map("
                + ((VariableTree) local.getLeaf()).getName() + " -> " + workspace.text(value) + ").orElse(" + workspace.text(instead) + ");");
    }
}
