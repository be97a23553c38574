package driftwood.refactor.java.decision;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Workspace;
import java.util.List;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;

/** Fields that a constructor alone may give a value to: code that does so has no other place. */
final class FinalFields extends TreePathScanner<Void, Void> {
    private final Workspace workspace;

    private FinalFields(Workspace workspace) {
        this.workspace = workspace;
    }

    /** @throws Refused where one of them is set by code that is to move into a routine */
    static void refuse(Workspace workspace, List<TreePath> code) {
        code.forEach(each -> new FinalFields(workspace).scan(each, null));
    }

    @Override
    public Void visitAssignment(AssignmentTree set, Void nothing) {
        Element target = workspace.element(new TreePath(getCurrentPath(), set.getVariable()));
        if (target != null && target.getKind().isField() && target.getModifiers().contains(Modifier.FINAL)) {
            throw new Refused("an arm sets the final field " + target.getSimpleName() + ", which only a constructor may");
        }
        return super.visitAssignment(set, nothing);
    }
}
