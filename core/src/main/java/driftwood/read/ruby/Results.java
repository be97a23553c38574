package driftwood.read.ruby;

import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A method gives back what its last expression gives, on every way through it. */
final class Results {
    private Results() {
    }

    static Block given(Block body) {
        List<Node> statements = body.statements();
        if (statements.isEmpty()) {
            return body;
        }
        List<Node> all = new ArrayList<>(statements.subList(0, statements.size() - 1));
        all.add(given(statements.get(statements.size() - 1)));
        return new Block(body.start(), body.end(), all);
    }

    private static Node given(Node last) {
        if (last instanceof Evaluate evaluate && !(evaluate.expression() instanceof Assignment)) {
            return new Return(last.start(), last.end(), Optional.of(evaluate.expression()));
        }
        if (last instanceof If branch) {
            return new If(branch.start(), branch.end(), branch.condition(), inner(branch.then()), branch.otherwise().map(Results::inner));
        }
        if (last instanceof Match match) {
            List<Arm> arms = match.arms().stream().map(arm -> new Arm(arm.start(), arm.end(), arm.labels(), arm.isDefault(), arm.guard(),
                    given(new Block(arm.start(), arm.end(), arm.body())).statements(), false)).toList();
            return new Match(match.start(), match.end(), match.subject(), arms, false);
        }
        return last instanceof Block block ? given(block) : last instanceof Try attempt ? new Try(attempt.start(), attempt.end(), attempt.resources(),
                given(attempt.body()), attempt.handlers().stream().map(Results::inner).toList(), attempt.last()) : last;
    }

    private static Node inner(Node way) {
        return way instanceof Block block ? given(block) : given(way);
    }
}
