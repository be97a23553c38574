package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.decision.OutcomeKind;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.VariableElement;

/** The routine that a decision which creates becomes. @param name of the routine */
record CreationCode(Drafting drafting, Unit unit, Decision decision, Outcome outcome, String name) {

    String routine() {
        String parameters = drafting.imports().parameters(needs(), unit);
        String thrown = drafting.imports().thrown(outcome.thrown(), unit);
        boolean bound = outcome.asks() || asksFields();
        return "private " + (bound ? "" : "static ") + drafting.imports().name(outcome.type(), unit) + " " + name + "(" + parameters + ")" + thrown + Code.block(body());
    }

    /** Locals that the arms or the conditions need. */
    Set<VariableElement> needs() {
        Set<VariableElement> needs = new LinkedHashSet<>(captures().read());
        needs.remove(outcome.variable());
        if (outcome.needsOld()) {
            needs.add(outcome.variable());
        }
        return needs;
    }

    boolean asksFields() {
        return captures().namesThis() || captures().asksSuper() || captures().members().stream().anyMatch(each -> !each.equals(outcome.variable()));
    }

    Captures captures() {
        List<TreePath> code = new ArrayList<>();
        if (decision.toEnd()) {
            BlockTree block = (BlockTree) decision.around().getParentPath().getLeaf();
            block.getStatements().stream().map(each -> new TreePath(decision.around().getParentPath(), each)).filter(each -> drafting.workspace().from(each) >= decision.from()).forEach(code::add);
        } else {
            code.add(decision.around());
        }
        return Captures.of(drafting.workspace(), code);
    }

    private String body() {
        // driftwood: leave type-switch because the ways in which a value leaves an arm are the language's, and closed
        if (outcome.kind() == OutcomeKind.VALUE) {
            return "return " + unit.bare(decision.from(), decision.to()) + ";";
        }
        if (outcome.kind() == OutcomeKind.RETURNS) {
            return unit.bare(decision.from(), decision.to());
        }
        Set<Object> sets = new HashSet<>();
        decision.all().stream().map(Arm::body).filter(each -> !each.isEmpty()).forEach(each -> sets.add(each.get(each.size() - 1).getLeaf()));
        String code = new Rewriting(drafting.workspace(), each -> {
            if (each.getLeaf() instanceof BreakTree && each.getParentPath().getLeaf() instanceof CaseTree) {
                return Optional.of("");
            }
            if (!sets.contains(each.getLeaf()) || !(each.getLeaf() instanceof ExpressionStatementTree)) {
                return Optional.empty();
            }
            Arm arm = decision.all().stream().filter(one -> !one.body().isEmpty() && one.body().get(one.body().size() - 1).getLeaf() == each.getLeaf()).findFirst().orElseThrow();
            String last = outcome.code(drafting.workspace(), new Arm(arm.labels(), null, List.of(each), new int[] {drafting.workspace().from(each), drafting.workspace().to(each)}), path -> Optional.empty(), type -> "");
            if (!last.startsWith("return ")) {
                throw new Refused("an arm does more than create");
            }
            return Optional.of(last);
        }).of(decision.around());
        String bare = unit.bare(code, unit.indentAt(decision.from())).replaceAll("(?m)^\\s*\\n", "");
        String old = outcome.nothing().isEmpty() ? "" : "\n" + outcome.nothing();
        return decision.otherwise().isEmpty() && old.isEmpty() ? bare + "\nreturn null;" : bare + old;
    }
}
