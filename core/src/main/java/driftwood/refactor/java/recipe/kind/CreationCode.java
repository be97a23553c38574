package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
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
import driftwood.refactor.java.ground.Uses;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
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

    /** Whether it names a type that stands within the one around, by its bare name: from another file it would not be known so. */
    boolean namesNested() {
        boolean[] nested = {false};
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitIdentifier(IdentifierTree tree, Void nothing) {
                nested[0] |= isNested(drafting.workspace().element(getCurrentPath()));
                return null;
            }
        }.scan(decision.around(), null);
        return nested[0] || isNested(drafting.workspace().types().asElement(outcome.type()));
    }

    private boolean isNested(Element named) {
        return named instanceof TypeElement type && drafting.workspace().isHere(type) && type.getEnclosingElement() instanceof TypeElement;
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
        if (outcome.kind() == OutcomeKind.SETS && outcome.variable().getKind() == ElementKind.LOCAL_VARIABLE && !eachArmSetsLast()) {
            String declared = outcome.needsOld() ? "" : drafting.imports().name(outcome.type(), unit) + " " + outcome.variable().getSimpleName() + (outcome.start().isEmpty() ? "" : " = " + outcome.start()) + ";\n";
            return declared + unit.bare(decision.from(), decision.to()) + "\nreturn " + outcome.variable().getSimpleName() + ";";
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

    /** Whether each arm names the local that they set once, to end with it: what is given to it is what the arm answers. */
    private boolean eachArmSetsLast() {
        List<TreePath> uses = drafting.workspace().uses().of(outcome.variable());
        return decision.all().stream().map(Arm::body).filter(each -> !each.isEmpty()).allMatch(body -> {
            TreePath last = body.get(body.size() - 1);
            long named = uses.stream().filter(use -> body.stream().anyMatch(each -> Uses.isWithin(use, each))).count();
            return last.getLeaf() instanceof ExpressionStatementTree set ? set.getExpression() instanceof AssignmentTree given && given.getVariable() instanceof IdentifierTree && named == 1 : named == 0;
        });
    }
}
