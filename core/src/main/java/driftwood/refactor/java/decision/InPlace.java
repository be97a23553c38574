package driftwood.refactor.java.decision;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.Optional;

/** Puts a call in the place of a decision: as its value, as what is returned, or as what a local or field becomes. */
public record InPlace(Drafting drafting, Decision decision, Outcome outcome) {

    /** @param call without a semicolon; its lines have four blanks a level */
    public void put(String call) {
        Unit unit = drafting.workspace().unit(decision.around());
        Optional<TreePath> declared = declaredBefore(unit);
        if (declared.isPresent()) {
            int end = unit.text().substring(0, valueOf(declared.get())).stripTrailing().length();
            drafting.script().replace(unit.file(), end, decision.to(), " = " + styled(unit, call + ";"));
        } else {
            drafting.script().replace(unit.file(), decision.from(), end(), styled(unit, outcome.use(call)));
        }
    }

    /** Where the value of a declaration begins, with its sign; its end, where it has none. */
    private int valueOf(TreePath declared) {
        Workspace workspace = drafting.workspace();
        ExpressionTree value = ((VariableTree) declared.getLeaf()).getInitializer();
        return value == null ? workspace.to(declared) - 1 : workspace.unit(declared).text().lastIndexOf('=', workspace.from(new TreePath(declared, value)));
    }

    /** Behind a choice that leaves whatever the kind is stands what is never reached: it goes with it. */
    private int end() {
        boolean leaves = outcome.kind() == OutcomeKind.RETURNS && decision.otherwise().isEmpty() && !decision.toEnd() && !decision.takesNull();
        if (!leaves || !(decision.around().getParentPath().getLeaf() instanceof BlockTree block)) {
            return decision.to();
        }
        StatementTree last = block.getStatements().get(block.getStatements().size() - 1);
        return drafting.workspace().to(new TreePath(decision.around().getParentPath(), last));
    }

    /** The same for a call of what the decision asks about: where that may be nothing, what is done for it stays. @param call on it */
    public void ask(String call) {
        Workspace workspace = drafting.workspace();
        if (decision.takesNull() && Nulls.mayBe(workspace, decision)) {
            Unit unit = workspace.unit(decision.around());
            String guarded = new Nulls(workspace, decision, outcome).guarded(workspace.text(decision.subject()), call);
            drafting.script().replace(unit.file(), decision.from(), decision.to(), styled(unit, guarded));
        } else {
            put(call);
        }
    }

    /** The declaration of the local that the arms set, where nothing but it stands before the decision. */
    private Optional<TreePath> declaredBefore(Unit unit) {
        return outcome.declaredBefore(drafting.workspace(), decision)
                .filter(each -> unit.text().substring(drafting.workspace().to(each), decision.from()).isBlank());
    }

    private String styled(Unit unit, String code) {
        String indent = unit.indentAt(decision.from());
        return unit.styled(code, indent).substring(indent.length());
    }
}
