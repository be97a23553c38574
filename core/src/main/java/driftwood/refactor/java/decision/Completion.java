package driftwood.refactor.java.decision;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.SynchronizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.WhileLoopTree;
import com.sun.source.util.TreePath;
import java.util.List;

/** Whether code goes on behind its last statement, as the language defines it, for the usual statements; others may. */
public final class Completion {
    private Completion() {
    }

    /** Statements in a row; an expression goes on. */
    public static boolean canComplete(List<TreePath> statements) {
        return statements.isEmpty() || canComplete(statements.get(statements.size() - 1).getLeaf());
    }

    static boolean canComplete(Tree statement) {
        if (statement == null) {
            return true;
        }
        return switch (statement.getKind()) {
            case RETURN, THROW, CONTINUE, BREAK, YIELD -> false;
            case BLOCK -> ((BlockTree) statement).getStatements().isEmpty() || canComplete(((BlockTree) statement).getStatements()
                    .get(((BlockTree) statement).getStatements().size() - 1));
            case IF -> ((IfTree) statement).getElseStatement() == null || canComplete(((IfTree) statement).getThenStatement())
                    || canComplete(((IfTree) statement).getElseStatement());
            case SYNCHRONIZED -> canComplete(((SynchronizedTree) statement).getBlock());
            case WHILE_LOOP -> !((WhileLoopTree) statement).getCondition().toString().equals("(true)");
            case TRY -> ((TryTree) statement).getFinallyBlock() == null || canComplete(((TryTree) statement).getFinallyBlock())
                    ? canComplete(((TryTree) statement).getBlock()) || ((TryTree) statement).getCatches().stream().anyMatch(each -> canComplete(each.getBlock())) : false;
            default -> true;
        };
    }
}
