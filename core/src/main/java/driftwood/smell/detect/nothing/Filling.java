package driftwood.smell.detect.nothing;

import driftwood.tree.*;
import java.util.List;
import java.util.regex.Pattern;

/** Whether a branch for nothing puts something in its place: lazy initialisation. */
final class Filling {
    private static final Pattern OPENING = Pattern.compile("(?i:open|init|load|create|start|setup|ensure|build|make|prepare|connect|read|compute|lazy)"
            + "([A-Z_].*)?(ialize|ialise)?");

    private Filling() {
    }

    /** Whether a branch only has an own routine make ready what the guarded field is to hold. */
    static boolean opens(Node branch, Node subject, NothingWalk walk) {
        List<Node> body = Search.statements(branch);
        boolean field = subject instanceof Name name ? !walk.knows(name.name()) : subject instanceof Member member
                && member.receiver() instanceof Name self && self.isSelf();
        return field && body.size() == 1 && body.get(0) instanceof Evaluate evaluate && evaluate.expression() instanceof Call call
                && call.receiver().map(each -> each instanceof Name self && self.isSelf()).orElse(true) && OPENING.matcher(call.name()).matches();
    }

    /** Whether a branch gives the guarded field a value. */
    static boolean fills(Node branch, Node subject, NothingWalk walk) {
        String source = walk.source();
        String wanted = subject.text(source);
        boolean[] found = {false};
        new TreeScanner() {
            @Override
            public Void visitAssignment(Assignment assignment) {
                found[0] |= assignment.target().text(source).equals(wanted);
                return visitNode(assignment);
            }
        }.scan(branch);
        return found[0] && !(subject instanceof Name name && walk.knows(name.name()));
    }
}
