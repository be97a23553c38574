package driftwood.read;

import driftwood.tree.*;
import java.util.List;
import java.util.Optional;

/** Choices that languages write in another way than they mean: selections without a subject, and choices whose value is used. */
public final class Choices {
    private Choices() {
    }

    /** A selection that asks one condition after the other is a ladder. @param arms one at least; the condition is their label */
    public static Node ladder(int end, List<Arm> arms) {
        Node rest = null;
        for (int i = arms.size() - 1; i >= 0; i--) {
            Arm arm = arms.get(i);
            Block body = new Block(arm.start(), arm.end(), arm.body());
            Optional<Node> condition = Normal.any(arm.start(), arm.end(), arm.labels());
            rest = condition.isEmpty() ? body : new If(arm.start(), end, condition.get(), body, Optional.ofNullable(rest));
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

    private static Optional<Node> single(Node body) {
        List<Node> statements = Search.statements(body);
        Node only = statements.size() == 1 ? statements.get(0) : null;
        // driftwood: leave type-switch because a way through a choice gives a value or leaves
        return only instanceof Evaluate evaluate ? Optional.of(evaluate.expression()) : only instanceof Throw ? Optional.of(only) : Optional.empty();
    }
}
