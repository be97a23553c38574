package driftwood.refactor.java.decision;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Workspace;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;

/** What a decision does for a subject that is null, kept where its arms become calls on the subject. */
public record Nulls(Workspace workspace, Decision decision, Outcome outcome) {

    /** What a part of may be passed over, or done later. */
    private static final Set<Tree.Kind> PERHAPS = EnumSet.of(Tree.Kind.LAMBDA_EXPRESSION, Tree.Kind.CONDITIONAL_EXPRESSION, Tree.Kind.CONDITIONAL_AND, Tree.Kind.CONDITIONAL_OR, Tree.Kind.SWITCH_EXPRESSION,
            Tree.Kind.CLASS);
    private static final Set<Tree.Kind> SIMPLE = EnumSet.of(Tree.Kind.RETURN, Tree.Kind.EXPRESSION_STATEMENT, Tree.Kind.VARIABLE);
    private static final Set<Tree.Kind> HAPPENING = EnumSet.of(Tree.Kind.METHOD_INVOCATION, Tree.Kind.NEW_CLASS, Tree.Kind.NEW_ARRAY, Tree.Kind.POSTFIX_INCREMENT, Tree.Kind.POSTFIX_DECREMENT,
            Tree.Kind.PREFIX_INCREMENT, Tree.Kind.PREFIX_DECREMENT, Tree.Kind.ASSIGNMENT, Tree.Kind.DIVIDE, Tree.Kind.REMAINDER, Tree.Kind.ARRAY_ACCESS);

    /** Whether the subject can be null where the decision is, as far as the routine around shows. */
    public static boolean mayBe(Workspace workspace, Decision decision) {
        Element subject = workspace.element(decision.subject());
        if (subject == null || subject.getSimpleName().contentEquals("this")) {
            return subject == null;
        }
        if (subject.getKind().isField() && isNeverNull(workspace, subject)) {
            return false;
        }
        boolean asked = workspace.uses().of(subject).stream().anyMatch(use -> workspace.unit(use) == workspace.unit(decision.around())
                && workspace.from(use) < decision.from() && use.getParentPath().getLeaf() instanceof MemberSelectTree && isAlways(use, decision));
        boolean asksRest = decision.otherwise().filter(rest -> rest.body().stream().limit(1).anyMatch(first -> workspace.uses().of(subject, first).stream()
                .anyMatch(use -> cast(use).getParentPath().getLeaf() instanceof MemberSelectTree))).isPresent();
        return !asked && !asksRest && !asksNext(workspace, decision, subject);
    }

    /** Whether nothing is done for what is null, and the statement behind the decision asks the subject before it does anything else: it fails then, as the call would. */
    private static boolean asksNext(Workspace workspace, Decision decision, Element subject) {
        if (decision.otherwise().isPresent() || !(decision.around().getParentPath().getLeaf() instanceof BlockTree block) || subject.getKind().isField()) {
            return false;
        }
        int next = block.getStatements().indexOf(decision.around().getLeaf()) + 1;
        if (next >= block.getStatements().size() || !SIMPLE.contains(block.getStatements().get(next).getKind())) {
            return false;
        }
        TreePath statement = new TreePath(decision.around().getParentPath(), block.getStatements().get(next));
        return workspace.uses().of(subject, statement).stream().filter(use -> use.getParentPath().getLeaf() instanceof MemberSelectTree && isSure(use, statement)).findFirst()
                .filter(use -> !isPreceded(workspace, statement, use)).isPresent();
    }

    /** Whether something happens in a statement before a use in it. */
    private static boolean isPreceded(Workspace workspace, TreePath statement, TreePath use) {
        boolean[] found = new boolean[1];
        new TreePathScanner<Void, Void>() {
            @Override
            public Void scan(Tree tree, Void nothing) {
                found[0] |= tree != null && HAPPENING.contains(tree.getKind()) && workspace.to(new TreePath(getCurrentPath(), tree)) <= workspace.from(use);
                return super.scan(tree, nothing);
            }
        }.scan(statement, null);
        return found[0];
    }

    /** What a value is once it is cast. */
    private static TreePath cast(TreePath value) {
        Tree.Kind around = value.getParentPath().getLeaf().getKind();
        return around == Tree.Kind.TYPE_CAST || around == Tree.Kind.PARENTHESIZED ? cast(value.getParentPath()) : value;
    }

    /** A private field that begins with a value, or is given one by every constructor at once, and is given values only. */
    public static boolean isNeverNull(Workspace workspace, Element field) {
        if (!field.getModifiers().contains(Modifier.PRIVATE) || !(workspace.path(field).map(TreePath::getLeaf).orElse(null) instanceof VariableTree tree)
                || !(tree.getInitializer() == null ? !field.getModifiers().contains(Modifier.STATIC) && new SetFirst(workspace, field).isSo()
                : isValue(workspace, field, new TreePath(workspace.path(field).get(), tree.getInitializer())))) {
            return false;
        }
        return workspace.uses().of(field).stream().filter(Moving::isWritten).map(use -> use.getParentPath().getLeaf() instanceof MemberSelectTree ? use.getParentPath() : use)
                .allMatch(use -> use.getParentPath().getLeaf() instanceof AssignmentTree set && isValue(workspace, field, new TreePath(use.getParentPath(), set.getExpression())));
    }

    /** Whether a value is certain; one of a field that is never null is. */
    private static boolean isValue(Workspace workspace, Element field, TreePath value) {
        if (value.getLeaf() instanceof ParenthesizedTree inner) {
            return isValue(workspace, field, new TreePath(value, inner.getExpression()));
        }
        if (value.getLeaf() instanceof ConditionalExpressionTree choice) {
            return isValue(workspace, field, new TreePath(value, choice.getTrueExpression())) && isValue(workspace, field, new TreePath(value, choice.getFalseExpression()));
        }
        Element named = workspace.element(value);
        return value.getLeaf().getKind() == Tree.Kind.NEW_CLASS || value.getLeaf().getKind() == Tree.Kind.STRING_LITERAL
                || named != null && (named.getKind() == ElementKind.ENUM_CONSTANT || named.equals(field));
    }

    /** Whether a use is made whenever the decision is reached: in a statement before it, of the routine's own body. */
    private static boolean isAlways(TreePath use, Decision decision) {
        for (TreePath at = use; at != null; at = at.getParentPath()) {
            Tree parent = at.getParentPath() == null ? null : at.getParentPath().getLeaf();
            if (parent instanceof BlockTree && at.getParentPath().getParentPath().getLeaf() instanceof MethodTree) {
                return at.getLeaf().getKind() == Tree.Kind.VARIABLE || at.getLeaf().getKind() == Tree.Kind.EXPRESSION_STATEMENT;
            }
            if (parent != null && PERHAPS.contains(parent.getKind())) {
                return false;
            }
        }
        return false;
    }

    /** Whether a use in a statement is made whenever that is reached. */
    private static boolean isSure(TreePath use, TreePath statement) {
        for (TreePath at = use; at.getLeaf() != statement.getLeaf(); at = at.getParentPath()) {
            if (PERHAPS.contains(at.getLeaf().getKind())) {
                return false;
            }
        }
        return true;
    }

    /** The value that an arm gives, where it is one literal or name and the arm nothing else. */
    private Optional<String> plain(Arm arm) {
        return outcome.sole(workspace, arm).map(each -> Endings.value(each, new Rewriting(workspace, tree -> Optional.empty()))).filter(each -> each.matches("-?[\\w.]+|\"[^\"\n]*\""))
                .filter(each -> !workspace.text(arm.body().get(0)).contains("//") && !workspace.text(arm.body().get(0)).contains("/*"));
    }

    /** The call, where there is a subject; what the decision does for all others, where there is none. */
    public String guarded(String subject, String call) {
        Optional<Arm> rest = decision.otherwise();
        if (outcome.kind() == OutcomeKind.VALUE) {
            String choice = subject + " == null ? " + workspace.text(rest.orElseThrow().body().get(0)) + " : " + call;
            boolean alone = switch (decision.around().getParentPath().getLeaf().getKind()) {
                case RETURN, VARIABLE, ASSIGNMENT, PARENTHESIZED, METHOD_INVOCATION, NEW_CLASS -> true;
                default -> false;
            };
            return alone ? choice : "(" + choice + ")";
        }
        Optional<String> value = rest.filter(arm -> outcome.kind().ending().isPresent() && arm.remark().isEmpty()).flatMap(this::plain);
        if (value.isPresent()) {
            return outcome.use(subject + " == null ? " + value.get() + " : " + call);
        }
        String today = rest.filter(arm -> !arm.body().isEmpty()).map(arm -> arm.remark() + workspace.unit(decision.around()).bare(arm.whole()[0], arm.whole()[1])).orElse("");
        if (today.isEmpty()) {
            return "if (" + subject + " != null) {\n    " + Code.deeper(outcome.use(call)) + "\n}";
        }
        String none = "if (" + subject + " == null) {\n    " + Code.deeper(today) + "\n}";
        boolean leaves = !Completion.canComplete(rest.orElseThrow().body());
        return leaves ? none + "\n" + outcome.use(call) : none + " else {\n    " + Code.deeper(outcome.use(call)) + "\n}";
    }
}
