package driftwood.refactor.java.decision;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Workspace;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeMirror;

/** Finds arms that all end by giving a value to the same local or field, or by adding one. */
record Endings(Workspace workspace, Decision decision) {

    /** An outcome seen so; the same where the arms do not end alike. @param all whether there is always an arm */
    Outcome of(Outcome outcome, boolean all) {
        List<Arm> arms = decision.all().stream().filter(each -> Completion.canComplete(each.body())).toList();
        boolean always = decision.otherwise().isPresent() || all;
        if (arms.isEmpty() || outcome.kind() != OutcomeKind.SETS && outcome.kind() != OutcomeKind.ACTS) {
            return outcome;
        }
        for (OutcomeKind kind : List.of(OutcomeKind.ADDS, OutcomeKind.SETS)) {
            Optional<TreePath> target = outcome.kind() == kind ? Optional.empty() : target(arms.get(0), kind);
            if (target.isPresent() && workspace.element(target.get()) instanceof VariableElement variable
                    && (outcome.variable() == null ? variable.getKind().isField() : variable.equals(outcome.variable()))) {
                Outcome ending = of(outcome, kind, variable, arms);
                Outcome adding = always || kind != OutcomeKind.ADDS || ending == outcome ? outcome : ending.addingNothing();
                return always ? ending : adding.nothing().isEmpty() ? outcome : adding;
            }
        }
        return outcome;
    }

    private Outcome of(Outcome outcome, OutcomeKind kind, VariableElement variable, List<Arm> arms) {
        List<Optional<TreePath>> values = arms.stream().map(each -> last(workspace, each, variable, kind.ending().orElseThrow())).toList();
        boolean field = variable.getKind().isField();
        // What is done before may add to a field by a detour; today it is asked for its value after that.
        boolean alone = kind == OutcomeKind.SETS || !field || arms.stream().allMatch(each -> each.body().size() == 1);
        // One arm that adds to a field, beside others that leave, does it where it stands.
        boolean single = kind == OutcomeKind.ADDS && field && arms.size() == 1 && decision.all().size() == 2;
        if (values.stream().anyMatch(Optional::isEmpty) || !alone || single) {
            return outcome;
        }
        List<TypeMirror> types = values.stream().map(each -> workspace.trees().getTypeMirror(each.orElseThrow())).toList();
        if (kind == OutcomeKind.ADDS && !types.stream().allMatch(each -> workspace.types().isSameType(each, types.get(0)))) {
            return outcome;
        }
        Set<VariableElement> needs = new LinkedHashSet<>(outcome.needs());
        needs.remove(variable);
        return new Outcome(kind, variable, workspace.text(target(arms.get(0), kind).orElseThrow()), false, "", kind == OutcomeKind.ADDS ? types.get(0) : variable.asType(), needs,
                field ? asksBeside(variable) : outcome.asks(), outcome.thrown());
    }

    private boolean asksBeside(VariableElement field) {
        return decision.all().stream().map(each -> Captures.of(workspace, each.body())).anyMatch(each -> each.namesThis() || each.asksSuper()
                || each.members().stream().anyMatch(member -> !member.equals(field)));
    }

    /** What the last statement of an arm sets or adds to, where it is a local or the object's own field. */
    private Optional<TreePath> target(Arm arm, OutcomeKind kind) {
        if (arm.body().isEmpty()) {
            return Optional.empty();
        }
        TreePath last = arm.body().get(arm.body().size() - 1);
        if (!(last.getLeaf() instanceof ExpressionStatementTree evaluate) || !isEnding(evaluate, kind.ending().orElseThrow())) {
            return Optional.empty();
        }
        TreePath set = new TreePath(last, evaluate.getExpression());
        ExpressionTree target = target(set);
        boolean own = target instanceof IdentifierTree || target instanceof MemberSelectTree select && select.getExpression().toString().equals("this");
        return own ? Optional.of(new TreePath(set, target)) : Optional.empty();
    }

    private static ExpressionTree target(TreePath set) {
        return set.getLeaf() instanceof AssignmentTree plain ? plain.getVariable() : set.getLeaf() instanceof UnaryTree one ? one.getExpression() : ((CompoundAssignmentTree) set.getLeaf()).getVariable();
    }

    /** Adding one may be written shorter. */
    private static boolean isEnding(ExpressionStatementTree statement, Tree.Kind how) {
        return statement.getExpression().getKind() == how || how == Tree.Kind.PLUS_ASSIGNMENT && isStep(statement.getExpression());
    }

    /** What an arm gives or adds at its end, as code. @param set as {@link #last} found it */
    static String value(TreePath set, Rewriting rewriting) {
        return isStep(set.getLeaf()) ? "1" : rewriting.of(set);
    }

    private static boolean isStep(Tree tree) {
        return tree.getKind() == Tree.Kind.POSTFIX_INCREMENT || tree.getKind() == Tree.Kind.PREFIX_INCREMENT;
    }

    /** The value in the last statement of an arm where it is given to a variable so, and nothing else in the arm names that. */
    static Optional<TreePath> last(Workspace workspace, Arm arm, VariableElement variable, Tree.Kind how) {
        return arm.body().stream().mapToLong(each -> workspace.uses().of(variable, each).size()).sum() == 1 ? given(workspace, arm, variable, how) : Optional.empty();
    }

    /** The same whatever else in the arm names the variable, the value itself too. */
    static Optional<TreePath> given(Workspace workspace, Arm arm, VariableElement variable, Tree.Kind how) {
        TreePath last = arm.body().isEmpty() ? null : arm.body().get(arm.body().size() - 1);
        if (last == null || !(last.getLeaf() instanceof ExpressionStatementTree evaluate) || !isEnding(evaluate, how)) {
            return Optional.empty();
        }
        TreePath set = new TreePath(last, evaluate.getExpression());
        boolean own = target(set) instanceof IdentifierTree || target(set).toString().startsWith("this.");
        if (!own || !variable.equals(workspace.element(new TreePath(set, target(set))))) {
            return Optional.empty();
        }
        return Optional.of(isStep(set.getLeaf()) ? set
                : new TreePath(set, set.getLeaf() instanceof AssignmentTree plain ? plain.getExpression() : ((CompoundAssignmentTree) set.getLeaf()).getExpression()));
    }
}
