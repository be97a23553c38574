package driftwood.read.php;

import driftwood.read.Choices;
import driftwood.read.Normal;
import driftwood.read.sitter.Cst;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Selections of PHP that are values. */
final class PhpMatches {
    private PhpMatches() {
    }

    /** {@code match (true)} asks one condition after the other. */
    static Node choice(PhpExpressions reader, Cst node) {
        Node subject = reader.part(node, "condition");
        List<Arm> arms = arms(reader, node);
        return Choices.isByConditions(subject) && !arms.isEmpty() ? chosen(node, arms, 0) : new Match(node.start(), node.end(), subject, arms, true);
    }

    /** One whose value nobody uses: its arms are statements. */
    static Node statement(PhpExpressions reader, Cst node) {
        Node subject = reader.part(node, "condition");
        List<Arm> arms = arms(reader, node).stream().map(arm -> new Arm(arm.start(), arm.end(), arm.labels(), arm.isDefault(), arm.guard(), arm.body().stream()
                .map(each -> each instanceof Throw ? each : new Evaluate(each.start(), each.end(), each)).toList(), arm.fallsThrough())).toList();
        return Choices.isByConditions(subject) && !arms.isEmpty() ? Choices.ladder(node.start(), node.end(), arms) : new Match(node.start(), node.end(), subject, arms, false);
    }

    private static List<Arm> arms(PhpExpressions reader, Cst node) {
        List<Arm> arms = new ArrayList<>();
        for (Cst each : node.part("body").map(Cst::inner).orElse(List.of())) {
            List<Node> labels = each.part("conditional_expressions").map(one -> reader.expressions(one.inner())).orElse(List.of());
            List<Node> body = each.part("return_expression").map(reader::expression).map(List::of).orElse(List.of());
            arms.add(new Arm(each.start(), each.end(), labels, each.is("match_default_expression"), Optional.empty(), body, false));
        }
        return arms;
    }

    private static Node chosen(Cst node, List<Arm> arms, int at) {
        Arm arm = arms.get(at);
        Node value = arm.body().isEmpty() ? new Absent(arm.end(), arm.end()) : arm.body().get(0);
        if (arm.isDefault()) {
            return value;
        }
        Node rest = at + 1 < arms.size() ? chosen(node, arms, at + 1) : new Absent(node.end(), node.end());
        return new Conditional(arm.start(), node.end(), Normal.any(arm.start(), arm.end(), arm.labels()).orElse(value), value, rest);
    }
}
