package driftwood.refactor.java.decision;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/** Routines of a type that do nothing but decide by one of its fields, be it by one value of it only. */
public final class WholeDecisions {
    private WholeDecisions() {
    }

    /** In the order of the file. */
    public static List<DecisionPlace> on(Workspace workspace, TypeElement home, Element field) {
        List<DecisionPlace> all = new ArrayList<>();
        for (ExecutableElement routine : ElementFilter.methodsIn(home.getEnclosedElements())) {
            TreePath path = workspace.written(routine).orElse(null);
            BlockTree body = path == null || routine.getModifiers().contains(Modifier.STATIC) ? null : ((MethodTree) path.getLeaf()).getBody();
            if (body == null || body.getStatements().isEmpty()) {
                continue;
            }
            StatementTree first = body.getStatements().get(0);
            if (first instanceof IfTree || first instanceof SwitchTree) {
                TreePath decided = new TreePath(new TreePath(path, body), first);
                try {
                    Decision decision = new DecisionReader(workspace, Asking.CONSTANTS).of(decided);
                    boolean whole = decision.toEnd() || body.getStatements().size() == 1;
                    if (whole && field.equals(workspace.element(decision.subject()))) {
                        TreePath around = workspace.path(home).orElseThrow();
                        all.add(new DecisionPlace(routine, home, around, workspace.unit(around), decision));
                    }
                } catch (Refused other) {
                    // What it asks is something else, or more: it stays.
                    continue;
                }
            }
        }
        return all;
    }
}
