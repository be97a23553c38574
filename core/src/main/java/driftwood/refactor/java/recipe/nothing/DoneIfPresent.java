package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A local that is asked at once whether it is there, for one thing that is done with it then: the optional value does that
 * itself, {@code pilotFor(ship).ifPresent(pilot -> pilot.board(ship))}.
 *
 * @param call   what gives the value
 * @param local  its declaration
 * @param choice the if statement behind it
 * @param done   the statement in it
 */
record DoneIfPresent(Workspace workspace, Call call, TreePath local, TreePath choice, TreePath done) {
    /** Of a call whose result goes into such a local; empty where more is done, or what could not be done in a function. */
    static Optional<DoneIfPresent> of(Workspace workspace, Call call) {
        TreePath local = call.path().getParentPath();
        if (!(local.getLeaf() instanceof VariableTree) || !(local.getParentPath().getLeaf() instanceof BlockTree block)) {
            return Optional.empty();
        }
        int next = block.getStatements().indexOf(local.getLeaf()) + 1;
        if (next == 0 || next == block.getStatements().size() || !(block.getStatements().get(next) instanceof IfTree question) || question.getElseStatement() != null) {
            return Optional.empty();
        }
        TreePath choice = new TreePath(local.getParentPath(), question);
        TreePath then = new TreePath(choice, question.getThenStatement());
        List<? extends StatementTree> statements = then.getLeaf() instanceof BlockTree inner ? inner.getStatements() : List.of(question.getThenStatement());
        if (statements.size() != 1 || !(statements.get(0) instanceof ExpressionStatementTree only)) {
            return Optional.empty();
        }
        DoneIfPresent made = new DoneIfPresent(workspace, call, local, choice, new TreePath(then.getLeaf() instanceof BlockTree ? then : choice, only));
        return made.asks(question) && made.isAlone() && new AsFunction(workspace, workspace.element(local)).canBe(made.done) ? Optional.of(made) : Optional.empty();
    }

    private boolean asks(IfTree question) {
        Tree condition = question.getCondition();
        while (condition instanceof ParenthesizedTree inside) {
            condition = inside.getExpression();
        }
        String name = ((VariableTree) local.getLeaf()).getName().toString();
        return condition instanceof BinaryTree asked && asked.getKind() == Tree.Kind.NOT_EQUAL_TO
                && Set.of(asked.getLeftOperand().toString(), asked.getRightOperand().toString()).equals(Set.of(name, "null"));
    }

    /** Nobody else uses it, and nothing stands between the two that would be lost. */
    private boolean isAlone() {
        Unit unit = workspace.unit(local);
        String before = unit.text().substring(workspace.to(local), workspace.from(choice));
        String around = unit.text().substring(workspace.from(new TreePath(choice, ((IfTree) choice.getLeaf()).getThenStatement())), workspace.from(done))
                + unit.text().substring(workspace.to(done), workspace.to(choice));
        List<TreePath> uses = workspace.uses().of(workspace.element(local));
        return before.isBlank() && around.matches("[\\s{}]*") && uses.size() > 1 && uses.stream().allMatch(each -> Uses.isWithin(each, choice))
                && uses.stream().filter(each -> !Uses.isWithin(each, done)).count() == 1;
    }

    /** Whether some other call is in what is written anew. */
    boolean holds(Call other) {
        return other != call && (Uses.isWithin(other.path(), local) || Uses.isWithin(other.path(), choice));
    }

    void write(Drafting drafting) {
        Unit unit = workspace.unit(local);
        String statement = workspace.text(done);
        drafting.script().replace(unit.file(), workspace.from(local), workspace.to(choice), workspace.text(call.path()) + ".ifPresent("
                + ((VariableTree) local.getLeaf()).getName() + " -> " + statement.substring(0, statement.lastIndexOf(';')) + ");");
    }
}
