package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Nulls;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.decision.OutcomeKind;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/**
 * A routine that does nothing but decide, and whose arms ask it again of parts: a part can be asked itself then, and the
 * object that decided is needed no more.
 *
 * @param around  the routine
 * @param subject number of the parameter that it decides about
 * @param needs   numbers of the parameters that a routine of its kinds takes, in order
 * @param asked   name of that routine
 */
record Recurring(Workspace workspace, ExecutableElement around, int subject, List<Integer> needs, String asked) {
    /** Ways of writing a part that a call can stand behind as it is. */
    private static final Set<Tree.Kind> PLAIN = EnumSet.of(Tree.Kind.IDENTIFIER, Tree.Kind.METHOD_INVOCATION, Tree.Kind.MEMBER_SELECT, Tree.Kind.ARRAY_ACCESS);

    /** Empty where more is done than to decide, where somebody overrides it, or where the arms need its object for something else. */
    static Optional<Recurring> of(Workspace workspace, ExecutableElement around, Decision decision, Outcome outcome, List<Arm> arms, TypeElement base, String asked) {
        List<? extends VariableElement> parameters = around.getParameters();
        List<Integer> needs = new ArrayList<>();
        outcome.needs().forEach(each -> needs.add(parameters.indexOf(each)));
        Element about = workspace.element(decision.subject());
        Recurring found = new Recurring(workspace, around, about instanceof VariableElement named ? parameters.indexOf(named) : -1, needs, asked);
        boolean plain = around.getKind() == ElementKind.METHOD && !around.getModifiers().contains(Modifier.STATIC) && outcome.asks() && found.subject >= 0 && !needs.contains(-1)
                && (outcome.kind() == OutcomeKind.RETURNS || outcome.kind() == OutcomeKind.ACTS);
        return plain && found.isWhole(decision) && !(decision.takesNull() && Nulls.mayBe(workspace, decision)) && found.isAllThatIsAsked(arms, base)
                && new Calls(workspace).isSole(around) ? Optional.of(found) : Optional.empty();
    }

    private boolean isWhole(Decision decision) {
        TreePath path = workspace.path(around).orElseThrow();
        BlockTree body = ((MethodTree) path.getLeaf()).getBody();
        TreePath block = new TreePath(path, body);
        return workspace.from(new TreePath(block, body.getStatements().get(0))) == decision.from()
                && workspace.to(new TreePath(block, body.getStatements().get(body.getStatements().size() - 1))) == decision.to();
    }

    private boolean isAllThatIsAsked(List<Arm> arms, TypeElement base) {
        int[] again = {0, 0};
        for (Arm arm : arms) {
            Captures captures = Captures.of(workspace, arm.body());
            if (captures.namesThis() || captures.asksSuper() || !captures.members().stream().allMatch(around::equals)) {
                return false;
            }
            arm.body().forEach(each -> new TreePathScanner<Void, Void>() {
                @Override
                public Void visitIdentifier(IdentifierTree name, Void nothing) {
                    again[0] += around.equals(workspace.element(getCurrentPath())) ? 1 : 0;
                    return null;
                }

                @Override
                public Void visitMethodInvocation(MethodInvocationTree call, Void nothing) {
                    again[1] += isAgain(getCurrentPath(), base) ? 1 : 0;
                    return super.visitMethodInvocation(call, nothing);
                }
            }.scan(each, null));
        }
        return again[0] > 0 && again[0] == again[1];
    }

    /** Whether it is a call of the routine by its bare name, of something that has a kind. @param base null where that is known */
    private boolean isAgain(TreePath path, TypeElement base) {
        if (!(path.getLeaf() instanceof MethodInvocationTree call) || !(call.getMethodSelect() instanceof IdentifierTree) || !around.equals(workspace.element(path))) {
            return false;
        }
        ExpressionTree part = call.getArguments().get(subject);
        for (int i = 0; i < call.getArguments().size(); i++) {
            if (i != subject && !needs.contains(i) && Purity.mayAct(new TreePath(path, call.getArguments().get(i)))) {
                return false;
            }
        }
        return PLAIN.contains(part.getKind()) && (base == null || workspace.types().isSubtype(workspace.types().erasure(workspace.trees().getTypeMirror(new TreePath(path, part))),
                workspace.types().erasure(base.asType())));
    }

    /** What trees become: calls of the routine are calls on the part, and the rest is what it becomes anyway. */
    Function<TreePath, Optional<String>> anew(Function<TreePath, Optional<String>> otherwise) {
        return new Function<>() {
            @Override
            public Optional<String> apply(TreePath path) {
                if (!isAgain(path, null)) {
                    return otherwise.apply(path);
                }
                Rewriting rewriting = new Rewriting(workspace, this);
                List<? extends ExpressionTree> given = ((MethodInvocationTree) path.getLeaf()).getArguments();
                List<String> rest = needs.stream().map(each -> rewriting.of(new TreePath(path, given.get(each)))).toList();
                return Optional.of(rewriting.of(new TreePath(path, given.get(subject))) + "." + asked + "(" + String.join(", ", rest) + ")");
            }
        };
    }
}
