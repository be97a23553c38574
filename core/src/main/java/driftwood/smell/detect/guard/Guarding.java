package driftwood.smell.detect.guard;

import driftwood.pack.Line;
import driftwood.read.FileTree;
import driftwood.smell.see.chain.Exits;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** Tells the statements that guard a routine's work from the work. */
final class Guarding {
    private static final Pattern CHECK = Pattern.compile("(?i:check|require|validate|assert|verify|ensure(?!Capacity))([A-Z_].*)?");
    /** A value is asked to stay within its limits. */
    private static final Pattern FORCED = Pattern.compile("(?i)clamp|coerce\\w+");
    private static final Pattern LIMIT = Pattern.compile("(?i)min(Of)?|max(Of)?|clamp|abs|coerce(In|AtLeast|AtMost)");

    private static final Pattern REMARK = Pattern.compile("(?i)(log|warn|debug|info|trace|error|print|report).*");
    /** The last value seen is bookkeeping; any other value that is kept is what the routine is for. */
    private static final Pattern REMEMBERED = Pattern.compile("(?i).*(last|prev|seen|latest|recent|former).*");
    private static final Pattern CONSTANT = Pattern.compile("[A-Z][A-Z0-9_]*");
    /** A condition that changes something is the work, whatever hangs on it. */
    private static final Pattern CHANGES = Pattern.compile("(?i:remove|put|add|delete|offer|poll|pop|push|insert|set|swap|"
            + "compareAndSet|create|rename|move|write|mkdir)([A-Z_].*)?s?");
    private static final int LOOK_UP = 3;

    private Guarding() {
    }

    /** What a statement is there for. */
    enum Role {
        GUARD("guard"), CLAMP("limit"), BOOKKEEPING("bookkeeping"), CORE("the work"), PLAIN(""),
        /** A value kept in a field: bookkeeping beside a call that is the work, else the work itself. */
        KEPT("");

        private final String title;

        Role(String title) {
            this.title = title;
        }

        String title() {
            return title;
        }
    }

    /**
     * A top-level statement.
     *
     * @param role    what it is there for; PLAIN for declarations and a plain final return
     * @param text    shortened
     * @param line    first line
     * @param endLine last line
     */
    record Part(Role role, String text, @Line int line, @Line int endLine) {
    }

    /** The statements of a routine; a try body unfolded, an if counting as one. */
    static List<Node> statements(Routine routine) {
        List<Node> statements = new ArrayList<>();
        Search.statements(routine.body().orElseThrow()).forEach(each -> unfold(each, statements));
        return statements;
    }

    /** What each statement is there for; empty for a look-up, which asks the same thing again and again. */
    static List<Role> roles(List<Node> statements, Routine routine) {
        Set<String> locals = new HashSet<>();
        statements.forEach(statement -> Search.all(statement, Local.class).forEach(each -> locals.add(each.name())));
        Map<String, Integer> asked = new HashMap<>();
        List<Role> roles = settled(statements, statements.stream().map(each -> role(each, asked, locals)).toList());
        boolean looksUp = asked.values().stream().anyMatch(times -> times >= LOOK_UP);
        return looksUp || Lookalikes.are(statements, roles) ? List.of() : roles;
    }

    private static List<Role> settled(List<Node> statements, List<Role> roles) {
        int core = roles.indexOf(Role.CORE);
        boolean beside = core >= 0 && roles.lastIndexOf(Role.CORE) == core && statements.get(core) instanceof Evaluate work
                && work.expression() instanceof Call;
        int work = core < 0 && !roles.contains(Role.KEPT) ? workedOut(statements) : -1;
        List<Role> settled = new ArrayList<>(roles.stream().map(each -> each != Role.KEPT ? each : beside ? Role.BOOKKEEPING : Role.CORE).toList());
        if (work >= 0) {
            settled.set(work, Role.CORE);
        }
        return settled;
    }

    /** Where a call gives the value that is given back at the end: that call is the work. -1 where none does. */
    private static int workedOut(List<Node> statements) {
        if (!statements.isEmpty() && statements.get(statements.size() - 1) instanceof Return back && back.value().orElse(null) instanceof Name given) {
            for (int i = statements.size() - 2; i >= 0; i--) {
                if (statements.get(i) instanceof Local local && local.name().equals(given.name()) && local.initial().orElse(null) instanceof Call) {
                    return i;
                }
            }
        }
        return -1;
    }

    /** The statements with their roles. */
    static List<Part> parts(List<Node> statements, List<Role> roles, FileTree file) {
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < statements.size(); i++) {
            Node each = statements.get(i);
            parts.add(new Part(roles.get(i), withoutEnd(file.brief(each)), file.line(each), file.endLine(each)));
        }
        return parts;
    }

    private static String withoutEnd(String statement) {
        return statement.endsWith(";") ? statement.substring(0, statement.length() - 1) : statement;
    }

    private static void unfold(Node statement, List<Node> into) {
        if (statement instanceof Try attempt) {
            Search.statements(attempt.body()).forEach(each -> unfold(each, into));
        } else {
            into.add(statement);
        }
    }

    private static Role role(Node statement, Map<String, Integer> asked, Set<String> locals) {
        // driftwood: leave type-switch because four shapes are asked for, and any other statement is the work itself
        if (statement instanceof If branch) {
            return ofIf(branch, asked);
        }
        if (statement instanceof Evaluate evaluate) {
            return ofExpression(evaluate.expression(), locals);
        }
        if (statement instanceof Local local) {
            return local.initial().filter(Guarding::isLimit).filter(value -> !computes(value)).isPresent() ? Role.CLAMP
                    : local.initial().map(value -> Search.any(value, node -> node instanceof Creation || changes(node)))
                    .orElse(false) ? Role.CORE : Role.PLAIN;
        }
        if (statement instanceof Return back) {
            return back.value().map(value -> isPlain(value) ? Role.PLAIN : Role.CORE).orElse(Role.PLAIN);
        }
        return Role.CORE;
    }

    /** An early exit, an error, or a value forced into its limits. */
    private static Role ofIf(If branch, Map<String, Integer> asked) {
        if (branch.otherwise().isPresent() || Search.any(branch.condition(), Guarding::changes)) {
            return Role.CORE;
        }
        List<Node> body = Search.statements(branch.then());
        if (branch.condition() instanceof EqualityTest test && !test.negated()) {
            asked.merge(subject(test.left() instanceof Literal ? test.right() : test.left()), 1, Integer::sum);
        }
        if (body.isEmpty()) {
            return Role.PLAIN;
        }
        Node last = body.get(body.size() - 1);
        boolean quiet = body.subList(0, body.size() - 1).stream().allMatch(Guarding::isAside);
        if (Exits.leaves(branch.then()) && quiet && body.size() <= 2) {
            boolean plain = !(last instanceof Return back) || back.value().map(Guarding::isPlain).orElse(true);
            return plain ? Role.GUARD : Role.CORE;
        }
        boolean clamps = body.size() == 1 && last instanceof Evaluate evaluate
                && evaluate.expression() instanceof Assignment assignment && assignment.target() instanceof Name name
                && isPlain(assignment.value()) && Search.mentions(branch.condition(), name.name());
        return clamps ? Role.CLAMP : Role.CORE;
    }

    private static boolean changes(Node node) {
        return node instanceof Call call && call.receiver().isPresent() && CHANGES.matcher(call.name()).matches();
    }

    /** A note or a remark on the way out; any other call is another way of doing the work. */
    private static boolean isAside(Node statement) {
        return statement instanceof Evaluate evaluate && (!(evaluate.expression() instanceof Call call)
                || REMARK.matcher(call.name()).matches());
    }

    static String name(Node target) {
        return target instanceof Member member ? member.name() : target instanceof Name name ? name.name() : "";
    }

    private static String subject(Node node) {
        return node instanceof Name name ? name.name() : node.getClass().getSimpleName() + node.start();
    }

    /** @param locals what is worked out on the way; a parameter or another field that is kept in a field is no counter */
    private static Role ofExpression(Node expression, Set<String> locals) {
        // driftwood: leave type-switch because the shapes of plain values are listed once
        if (expression instanceof Unary) {
            return Role.BOOKKEEPING;
        }
        if (expression instanceof Call call) {
            return CHECK.matcher(call.name()).matches() ? Role.GUARD : Role.CORE;
        }
        if (expression instanceof Assignment assignment) {
            if (isLimit(assignment.value())) {
                return Role.CLAMP;
            }
            boolean clears = assignment.value() instanceof Literal literal && literal.kind() == LiteralKind.NULL;
            if (clears || !isPlain(assignment.value()) || !isPlain(assignment.target())) {
                return Role.CORE;
            }
            boolean stores = assignment.operator().equals("=") && (assignment.value() instanceof Member
                    || assignment.value() instanceof Name name && (!locals.contains(name.name()) && !CONSTANT.matcher(name.name()).matches()
                    || assignment.target() instanceof Index))
                    && !REMEMBERED.matcher(name(assignment.target())).matches();
            return stores ? Role.KEPT : Role.BOOKKEEPING;
        }
        return Role.CORE;
    }

    private static boolean isLimit(Node value) {
        return value instanceof Call call && LIMIT.matcher(call.name()).matches() && (call.arguments().size() >= 2
                || call.receiver().filter(each -> each instanceof Sequence pair && pair.parts().size() == 2 || !call.arguments().isEmpty() && FORCED.matcher(call.name()).matches()).isPresent())
                || value instanceof Conditional choice && isBound(choice.then()) && isBound(choice.otherwise());
    }

    private static boolean isBound(Node value) {
        return isPlain(value) || value instanceof Call && isLimit(value);
    }

    /** The larger of two computed values is a result, no limit. */
    private static boolean computes(Node limit) {
        return limit instanceof Call call && call.arguments().stream().anyMatch(Binary.class::isInstance);
    }

    private static boolean isPlain(Node value) {
        return value instanceof Name || value instanceof Literal || value instanceof Absent
                || value instanceof Member member && isPlain(member.receiver())
                || value instanceof Index index && isPlain(index.receiver()) && isPlain(index.index())
                || value instanceof Unary unary && isPlain(unary.operand())
                || value instanceof NullTest test && isPlain(test.subject());
    }
}
