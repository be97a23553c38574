package driftwood.refactor.java.decision;

import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;

/**
 * A decision as it is written: what is asked, and what is done for each answer.
 *
 * @param around    the tree that holds it: the statement, the block of guards, or the expression
 * @param from      offset where it begins
 * @param to        offset behind its end
 * @param subject   what is asked about; the first of several times
 * @param arms      in order
 * @param otherwise what happens for all others; empty where nothing does
 * @param isValue   whether it is an expression
 * @param toEnd     whether it goes to the end of the routine: guards in a row, and what stands behind them
 * @param takesNull whether a subject that is null comes to the otherwise arm instead of failing
 * @param foldsCase whether texts are compared without regard to case
 */
public record Decision(TreePath around, int from, int to, TreePath subject, List<Arm> arms, Optional<Arm> otherwise, boolean isValue,
        boolean toEnd, boolean takesNull, boolean foldsCase) {

    /**
     * One arm.
     *
     * @param labels  types or constants that the subject is compared with
     * @param binding the name that a pattern gives the subject; null where there is none
     * @param body    statements, or the one expression
     * @param whole   offsets of the body, with the comments in it
     * @param remark  comments before its label, or in its place where it does nothing; empty where there are none
     */
    public record Arm(List<TreePath> labels, Element binding, List<TreePath> body, int[] whole, String remark) {

        public Arm(List<TreePath> labels, Element binding, List<TreePath> body, int[] whole) {
            this(labels, binding, body, whole, "");
        }
    }

    /** What the conditions of a decision may ask. */
    public enum Asking {
        /** Whether one value is of a type, or equal to a constant. */
        CONSTANTS,
        /** The same, or whether a text is equal to a constant but for case. */
        FOLDED,
        /** Anything: the labels of an arm are its conditions then. */
        ANYTHING
    }

    /**
     * The decision that begins at a line of a routine, or has an arm that does.
     *
     * @throws Refused where there is none that can be taken apart
     */
    public static Decision at(Workspace workspace, TreePath routine, int line, Asking asking) {
        Decision[] found = new Decision[1];
        Refused[] why = new Refused[1];
        new TreePathScanner<Void, Void>() {
            @Override
            public Void scan(Tree tree, Void nothing) {
                if (tree != null && found[0] == null && isDecision(tree)) {
                    TreePath path = new TreePath(getCurrentPath(), tree);
                    if (begins(workspace, path, line)) {
                        try {
                            found[0] = new DecisionReader(workspace, asking).of(path);
                            return null;
                        } catch (Refused e) {
                            why[0] = e;
                        }
                    }
                }
                return super.scan(tree, nothing);
            }
        }.scan(routine, null);
        if (found[0] == null) {
            throw why[0] != null ? why[0] : new Refused("the decision at line " + line + " is written in a way that cannot be taken apart");
        }
        return found[0];
    }

    /** Whether it begins at a line, or one of the arms of a ladder does. */
    private static boolean begins(Workspace workspace, TreePath path, int line) {
        TreePath at = path;
        while (workspace.unit(at).line(workspace.from(at)) != line) {
            if (!(at.getLeaf() instanceof IfTree choice) || !(choice.getElseStatement() instanceof IfTree further)) {
                return false;
            }
            at = new TreePath(at, further);
        }
        return true;
    }

    private static boolean isDecision(Tree tree) {
        return tree instanceof IfTree || tree instanceof SwitchTree || tree instanceof SwitchExpressionTree || tree instanceof ConditionalExpressionTree;
    }

    /** All arms, that for all others included. */
    public List<Arm> all() {
        List<Arm> all = new ArrayList<>(arms);
        otherwise.ifPresent(all::add);
        return all;
    }
}
