package driftwood.refactor.java.decision;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Reads a switch, whether it is a statement or a value, with colons or arrows. */
record SwitchReader(DecisionReader reader) {

    /** @throws Refused where an arm falls through to the next */
    Decision of(TreePath path, ExpressionTree asked, List<? extends CaseTree> cases, boolean isValue) {
        TreePath subject = DecisionReader.bare(new TreePath(path, asked));
        List<Arm> arms = new ArrayList<>();
        Arm otherwise = null;
        List<TreePath> waiting = new ArrayList<>();
        boolean waitingDefault = false;
        for (int i = 0; i < cases.size(); i++) {
            CaseTree each = cases.get(i);
            TreePath one = new TreePath(path, each);
            each.getExpressions().forEach(label -> waiting.add(new TreePath(one, label)));
            waitingDefault |= each.getExpressions().isEmpty();
            if (each.getCaseKind() == CaseTree.CaseKind.STATEMENT && each.getStatements().isEmpty() && i < cases.size() - 1) {
                continue;
            }
            Arm arm = ofCase(one, each, List.copyOf(waiting), i == cases.size() - 1);
            if (waitingDefault) {
                otherwise = arm;
            } else {
                arms.add(arm);
            }
            if (waitingDefault && !waiting.isEmpty()) {
                arms.add(arm);
            }
            waiting.clear();
            waitingDefault = false;
        }
        return new Decision(path, reader.workspace().from(path), reader.workspace().to(path), subject, arms, Optional.ofNullable(otherwise), isValue, false, false, false);
    }

    private Arm ofCase(TreePath path, CaseTree each, List<TreePath> labels, boolean last) {
        if (each.getCaseKind() == CaseTree.CaseKind.RULE) {
            TreePath body = new TreePath(path, each.getBody());
            return new Arm(labels, null, reader.body(body), reader.whole(body));
        }
        List<TreePath> body = new ArrayList<>();
        for (StatementTree statement : each.getStatements()) {
            body.add(new TreePath(path, statement));
        }
        boolean breaks = isBreak(body);
        if (breaks) {
            body.remove(body.size() - 1);
        }
        if (body.size() == 1 && body.get(0).getLeaf() instanceof BlockTree) {
            body = new ArrayList<>(reader.body(body.get(0)));
            if (!breaks && isBreak(body)) {
                body.remove(body.size() - 1);
                breaks = true;
            }
        }
        if (!breaks && !last && Completion.canComplete(body)) {
            throw new Refused("an arm falls through to the next at line " + reader.workspace().unit(path).line(reader.workspace().from(path)));
        }
        return new Arm(labels, null, List.copyOf(body), body.isEmpty() ? new int[] {0, 0} : new int[] {reader.begin(body.get(0)), reader.workspace().to(body.get(body.size() - 1))},
                remark(new TreePath(path, each), body.isEmpty()));
    }

    private static boolean isBreak(List<TreePath> body) {
        return !body.isEmpty() && body.get(body.size() - 1).getLeaf() instanceof BreakTree leave && leave.getLabel() == null;
    }

    /** The comments before a label, and those in place of statements, each on a line. */
    private String remark(TreePath arm, boolean empty) {
        Unit unit = reader.workspace().unit(arm);
        String text = unit.text().substring(reader.begin(arm), empty ? reader.workspace().to(arm) : reader.workspace().from(arm));
        return Comments.remarks(text).stream().map(each -> text.substring(each[0], each[1]).strip() + "\n").collect(Collectors.joining());
    }
}
