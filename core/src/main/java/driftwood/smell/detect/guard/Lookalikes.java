package driftwood.smell.detect.guard;

import driftwood.smell.detect.guard.Guarding.Role;
import driftwood.tree.*;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Routines that look like guards around some work, and are something else. */
final class Lookalikes {
    private static final int INITIALISES = 2;

    private Lookalikes() {
    }

    /** Whether the statements put an object in order, decide, check, or sort two values. */
    static boolean are(List<Node> statements, List<Role> roles) {
        return initialises(statements, roles) || decides(statements, roles) || validates(statements, roles) || roles.contains(Role.CLAMP) && orders(statements);
    }

    /** The smaller and the larger of the same two are put in order, not limited. */
    private static boolean orders(List<Node> statements) {
        Set<String> asked = new HashSet<>();
        return statements.stream().flatMap(each -> Search.all(each, Call.class).stream()).filter(call -> call.name().matches("[mM]in|[mM]ax")
                && call.arguments().size() == 2).anyMatch(call -> {
                    String pair = answer(call.arguments().get(0)) + "," + answer(call.arguments().get(1));
                    return asked.contains((call.name().equalsIgnoreCase("min") ? "max" : "min") + pair) | !asked.add(call.name().toLowerCase(Locale.ROOT) + pair);
                });
    }

    /** Only errors, and no call behind them that could be the work. */
    private static boolean validates(List<Node> statements, List<Role> roles) {
        boolean errors = true;
        boolean works = false;
        for (int i = 0; i < roles.size(); i++) {
            errors &= roles.get(i) != Role.GUARD || statements.get(i) instanceof If branch && Search.any(branch.then(), Throw.class::isInstance)
                    || statements.get(i) instanceof Evaluate;
            works |= roles.get(i) == Role.CORE && (statements.get(i) instanceof Evaluate work && work.expression() instanceof Call
                    || statements.get(i) instanceof Return || statements.get(i) instanceof Local);
        }
        return errors && !works && roles.contains(Role.GUARD);
    }

    /** Exits with different answers are a table of decisions; exits with yes or no before a last answer are a question. */
    private static boolean decides(List<Node> statements, List<Role> roles) {
        Set<String> answers = new HashSet<>();
        boolean yesOrNo = true;
        for (int i = 0; i < roles.size(); i++) {
            if (roles.get(i) == Role.GUARD && statements.get(i) instanceof If branch) {
                for (Return each : Search.all(branch.then(), Return.class)) {
                    each.value().ifPresent(value -> answers.add(answer(value)));
                    yesOrNo &= each.value().filter(Lookalikes::isTruth).isPresent();
                }
            }
        }
        int core = roles.indexOf(Role.CORE);
        Node last = statements.isEmpty() ? null : statements.get(statements.size() - 1);
        boolean answered = core >= 0 && statements.get(core) instanceof Return || last instanceof Return back && back.value().filter(Lookalikes::isTruth).isPresent();
        boolean question = answered && !answers.isEmpty() && yesOrNo;
        return answers.size() > 1 || question;
    }

    private static boolean isTruth(Node value) {
        return value instanceof Literal literal && literal.kind() == LiteralKind.BOOLEAN;
    }

    private static String answer(Node value) {
        return value instanceof Literal literal ? literal.text() : Guarding.name(value);
    }

    /** One field is worked out and others are set beside it: that makes an object ready, it guards nothing. */
    private static boolean initialises(List<Node> statements, List<Role> roles) {
        int core = roles.indexOf(Role.CORE);
        long set = 0;
        for (int i = 0; i < roles.size(); i++) {
            set += roles.get(i) == Role.BOOKKEEPING && isStored(statements.get(i)) ? 1 : 0;
        }
        return core >= 0 && isAssignment(statements.get(core)) && set >= INITIALISES;
    }

    private static boolean isStored(Node statement) {
        return statement instanceof Evaluate evaluate && evaluate.expression() instanceof Assignment assignment
                && assignment.operator().equals("=");
    }

    private static boolean isAssignment(Node statement) {
        return statement instanceof Evaluate evaluate && evaluate.expression() instanceof Assignment;
    }
}
