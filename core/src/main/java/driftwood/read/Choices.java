package driftwood.read;

import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Choices that languages write in another way than they mean: selections without a subject, and choices whose value is used or handed back. */
public final class Choices {
    private Choices() {
    }

    /** A selection that asks one condition after the other is a ladder. @param start of the whole selection @param arms one at least; the condition is their label */
    public static Node ladder(int start, int end, List<Arm> arms) {
        Node rest = null;
        for (int i = arms.size() - 1; i >= 0; i--) {
            Arm arm = arms.get(i);
            int from = i == 0 ? start : arm.start();
            Block body = new Block(arm.start(), arm.end(), arm.body());
            Optional<Node> condition = Normal.any(arm.start(), arm.end(), arm.labels());
            rest = condition.isEmpty() ? body : new If(from, end, condition.get(), body, Optional.ofNullable(rest));
        }
        return rest;
    }

    /** The arms of a language in which {@code break} only ends an arm. */
    public static List<Arm> ended(List<Arm> arms) {
        return arms.stream().map(arm -> new Arm(arm.start(), arm.end(), arm.labels(), arm.isDefault(), arm.guard(), arm.body().stream()
                .filter(each -> !(each instanceof Jump jump && jump.kind() == JumpKind.BREAK)).toList(), arm.fallsThrough())).toList();
    }

    /** Whether control goes on behind a body into the next arm. */
    public static boolean fallsThrough(List<Node> body) {
        Node last = body.isEmpty() ? null : body.get(body.size() - 1);
        return !(last instanceof Jump || last instanceof Return || last instanceof Throw);
    }

    /** Whether a selection has no subject but asks conditions: it selects by true. */
    public static boolean isByConditions(Node subject) {
        return subject instanceof Literal literal && literal.kind() == LiteralKind.BOOLEAN && literal.text().equalsIgnoreCase("true");
    }

    /**
     * A choice whose value is used: a conditional where every way is one expression, else its parts.
     *
     * @param otherwise what it is worth where no way is taken; empty where that cannot be
     */
    public static Node value(If branch, Optional<Node> otherwise) {
        Optional<Node> then = single(branch.then());
        Optional<Node> rest = branch.otherwise().isEmpty() ? otherwise : branch.otherwise().flatMap(each -> each instanceof If next
                ? Optional.of(value(next, otherwise)) : single(each));
        return then.isPresent() && rest.isPresent() ? new Conditional(branch.start(), branch.end(), branch.condition(), then.get(), rest.get())
                : new Other(branch.start(), branch.end(), "if", List.of(branch));
    }

    /** A selection whose value is used: the arms that are one expression are worth it. */
    public static Match value(Match match) {
        List<Arm> arms = match.arms().stream().map(arm -> arm.body().size() == 1 && arm.body().get(0) instanceof Evaluate only
                ? new Arm(arm.start(), arm.end(), arm.labels(), arm.isDefault(), arm.guard(), List.of(only.expression()), arm.fallsThrough()) : arm).toList();
        return new Match(match.start(), match.end(), match.subject(), arms, true);
    }

    private static Optional<Node> single(Node body) {
        List<Node> statements = Search.statements(body);
        Node only = statements.size() == 1 ? statements.get(0) : null;
        // driftwood: leave type-switch because a way through a choice gives a value or leaves
        return only instanceof Evaluate evaluate ? Optional.of(evaluate.expression()) : only instanceof Throw ? Optional.of(only) : Optional.empty();
    }

    /** A statement that is worth something, handed back: as one value where each way is one, else on each of its ways. */
    public static Node handedBack(Node statement) {
        // driftwood: leave type-switch because the two ways of choosing are told apart where their value is made
        Node value = statement instanceof If branch ? value(branch, Optional.empty()) : statement instanceof Match match
                && match.arms().stream().allMatch(each -> each.body().size() == 1 && each.body().get(0) instanceof Evaluate) ? value(match) : statement;
        return value instanceof Conditional || value instanceof Match && value != statement
                ? new Return(statement.start(), statement.end(), Optional.of(value)) : given(statement);
    }

    /** A body whose last statement hands back its value. */
    public static Block given(Block body) {
        List<Node> statements = body.statements();
        if (statements.isEmpty()) {
            return body;
        }
        List<Node> all = new ArrayList<>(statements.subList(0, statements.size() - 1));
        all.add(given(statements.get(statements.size() - 1)));
        return new Block(body.start(), body.end(), all);
    }

    /** A statement that hands back its value; a choice does on each of its ways. */
    public static Node given(Node last) {
        if (last instanceof Evaluate evaluate && !(evaluate.expression() instanceof Assignment)) {
            return new Return(last.start(), last.end(), Optional.of(evaluate.expression()));
        }
        if (last instanceof If branch) {
            return new If(branch.start(), branch.end(), branch.condition(), inner(branch.then()), branch.otherwise().map(Choices::inner));
        }
        if (last instanceof Match match) {
            List<Arm> arms = match.arms().stream().map(arm -> new Arm(arm.start(), arm.end(), arm.labels(), arm.isDefault(), arm.guard(),
                    given(new Block(arm.start(), arm.end(), arm.body())).statements(), false)).toList();
            return new Match(match.start(), match.end(), match.subject(), arms, false);
        }
        return last instanceof Block block ? given(block) : last instanceof Try attempt ? new Try(attempt.start(), attempt.end(), attempt.resources(),
                given(attempt.body()), attempt.handlers().stream().map(Choices::inner).toList(), attempt.last()) : last;
    }

    private static Node inner(Node way) {
        return way instanceof Block block ? given(block) : given(way);
    }
}
