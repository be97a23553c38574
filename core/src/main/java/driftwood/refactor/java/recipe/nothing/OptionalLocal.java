package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.type.TypeKind;

/**
 * A local that holds what may be nothing, where each use of its value stands behind a question whether there is one: it can
 * hold the optional value itself.
 *
 * @param local its declaration
 * @param asked its comparisons with null
 * @param taken uses of its value
 */
record OptionalLocal(Workspace workspace, TreePath local, List<TreePath> asked, List<TreePath> taken) {

    /** Of a call whose result goes into a local; empty where the local is set again, or its value is used unasked. */
    static Optional<OptionalLocal> of(Workspace workspace, Call call) {
        TreePath local = call.path().getParentPath();
        Element element = local.getLeaf() instanceof VariableTree ? workspace.element(local) : null;
        if (element == null || element.getKind() != ElementKind.LOCAL_VARIABLE || element.asType().getKind() != TypeKind.DECLARED
                || !workspace.types().isSameType(element.asType(), workspace.trees().getTypeMirror(call.path()))) {
            return Optional.empty();
        }
        OptionalLocal made = new OptionalLocal(workspace, local, new ArrayList<>(), new ArrayList<>());
        for (TreePath use : workspace.uses().of(element)) {
            if (Moving.isWritten(use)) {
                return Optional.empty();
            }
            (Guards.isComparison(use.getParentPath().getLeaf()) ? made.asked : made.taken).add(use);
        }
        Guards guards = new Guards(each -> made.asked.stream().anyMatch(one -> one.getParentPath().getLeaf() == each));
        boolean known = !made.asked.isEmpty() && made.taken.stream().allMatch(each -> guards.isThere(each, local.getParentPath()));
        return known ? Optional.of(made) : Optional.empty();
    }

    /** Whether a use is what a return statement gives back, or one way of it. */
    private static boolean isReturned(TreePath use) {
        TreePath child = use;
        TreePath at = use.getParentPath();
        while (at.getLeaf() instanceof ParenthesizedTree || at.getLeaf() instanceof ConditionalExpressionTree choice && choice.getCondition() != child.getLeaf()) {
            child = at;
            at = at.getParentPath();
        }
        return at.getLeaf() instanceof ReturnTree;
    }

    /** Whether it is what a value stands for. */
    boolean is(Element value) {
        return value != null && value.equals(workspace.element(local));
    }

    /**
     * Lets it hold the optional value.
     *
     * @param optional that type's name in the file
     * @param handedOn whether the routine around answers an optional value as well, and can hand it on as it is
     */
    void write(Drafting drafting, String optional, boolean handedOn) {
        Unit unit = workspace.unit(local);
        VariableTree declared = (VariableTree) local.getLeaf();
        TreePath type = declared.getType() == null ? null : new TreePath(local, declared.getType());
        Nullness.forget(drafting, local, declared.getModifiers());
        if (type != null && workspace.from(type) >= 0 && !workspace.text(type).equals("var")) {
            drafting.script().replace(unit.file(), workspace.from(type), workspace.to(type), optional + "<" + workspace.text(type) + ">");
        }
        String name = declared.getName().toString();
        List<Tree> done = new ArrayList<>();
        for (TreePath each : asked) {
            TreePath comparison = each.getParentPath();
            Optional<TreePath> fallback = fallback(comparison);
            if (fallback.isPresent()) {
                TreePath whole = choice(comparison);
                drafting.script().replace(unit.file(), workspace.from(whole), workspace.to(whole), name + ".orElse(" + workspace.text(fallback.get()) + ")");
                taken.stream().filter(use -> Uses.isWithin(use, whole)).forEach(use -> done.add(use.getLeaf()));
                continue;
            }
            drafting.script().replace(unit.file(), workspace.from(comparison), workspace.to(comparison), Nullness.asked(drafting, name, comparison.getLeaf().getKind() == Tree.Kind.EQUAL_TO));
        }
        taken.stream().filter(each -> !done.contains(each.getLeaf()) && !(handedOn && isReturned(each))).forEach(each -> drafting.script().insert(unit.file(), workspace.to(each), ".get()"));
    }

    private static Tree bare(Tree tree) {
        return tree instanceof ParenthesizedTree inside ? bare(inside.getExpression()) : tree;
    }

    /** The conditional that a comparison alone decides, parentheses aside. */
    private static TreePath choice(TreePath comparison) {
        TreePath at = comparison.getParentPath();
        return at.getLeaf() instanceof ParenthesizedTree ? at.getParentPath() : at;
    }

    /** What a conditional takes in place of nothing, where it is a literal, and the value itself is taken otherwise. */
    private Optional<TreePath> fallback(TreePath comparison) {
        TreePath whole = choice(comparison);
        if (!(whole.getLeaf() instanceof ConditionalExpressionTree choice) || bare(choice.getCondition()) != comparison.getLeaf()) {
            return Optional.empty();
        }
        boolean absent = comparison.getLeaf().getKind() == Tree.Kind.EQUAL_TO;
        ExpressionTree value = absent ? choice.getFalseExpression() : choice.getTrueExpression();
        ExpressionTree instead = absent ? choice.getTrueExpression() : choice.getFalseExpression();
        boolean plain = taken.stream().anyMatch(each -> each.getLeaf() == value) && instead instanceof LiteralTree && instead.getKind() != Tree.Kind.NULL_LITERAL;
        return plain ? Optional.of(new TreePath(whole, instead)) : Optional.empty();
    }
}
