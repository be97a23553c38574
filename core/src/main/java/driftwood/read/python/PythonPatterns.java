package driftwood.read.python;

import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Python's match statement. */
final class PythonPatterns {
    private final PythonStatements statements;

    PythonPatterns(PythonStatements statements) {
        this.statements = statements;
    }

    Node match(Cst node) {
        Node subject = node.part("subject").map(statements::expression).orElse(new Absent(node.start(), node.start()));
        List<Arm> arms = new ArrayList<>();
        for (Cst block : node.inner()) {
            if (block.is("block")) {
                block.inner().stream().filter(each -> each.is("case_clause")).forEach(each -> arms.add(arm(each)));
            } else if (block.is("case_clause")) {
                arms.add(arm(block));
            }
        }
        return new Match(node.start(), node.end(), subject, arms, false);
    }

    private Arm arm(Cst clause) {
        List<Node> labels = new ArrayList<>();
        boolean[] rest = {false};
        Optional<String> binding = Optional.empty();
        for (Cst each : clause.inner()) {
            if (each.is("case_pattern")) {
                labels(each, binding, labels, rest);
            }
        }
        Optional<Node> guard = clause.part("guard").map(each -> statements.expression(each.inner().get(0)));
        return new Arm(clause.start(), clause.end(), labels, rest[0] && guard.isEmpty(), guard,
                List.of(statements.body(clause)), false);
    }

    private void labels(Cst pattern, Optional<String> binding, List<Node> into, boolean[] rest) {
        // driftwood: leave type-switch because the kinds of patterns are the grammar's
        switch (pattern.kind()) {
            case "case_pattern" -> {
                if (pattern.inner().isEmpty()) {
                    rest[0] = true;
                } else {
                    pattern.inner().forEach(each -> labels(each, binding, into, rest));
                }
            }
            case "union_pattern" -> pattern.inner().forEach(each -> labels(each, binding, into, rest));
            case "as_pattern" -> {
                List<Cst> parts = pattern.inner();
                Optional<String> name = parts.size() > 1 ? Optional.of(statements.text(parts.get(parts.size() - 1)))
                        : binding;
                labels(parts.get(0), name, into, rest);
            }
            case "class_pattern" -> into.add(Normal.ofType(pattern.start(), pattern.end(),
                    new Absent(pattern.start(), pattern.start()), new TypeRef(statements.text(pattern.inner().get(0))),
                    binding));
            case "dotted_name" -> name(pattern, into, rest);
            default -> into.add(statements.expression(pattern));
        }
    }

    /** A bare name takes anything; a dotted one is a constant. */
    private void name(Cst pattern, List<Node> into, boolean[] rest) {
        List<Cst> segments = pattern.inner();
        if (segments.size() == 1) {
            rest[0] = true;
            return;
        }
        Node node = statements.expression(segments.get(0));
        for (Cst segment : segments.subList(1, segments.size())) {
            node = new Member(pattern.start(), segment.end(), node, statements.text(segment).intern());
        }
        into.add(node);
    }
}
