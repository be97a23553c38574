package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.EnhancedForLoopTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.InstanceOfTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreeScanner;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Workspace;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;

/** Values that are never nothing. */
final class Present {
    private static final Set<Tree.Kind> MADE = EnumSet.of(Tree.Kind.NEW_CLASS, Tree.Kind.NEW_ARRAY, Tree.Kind.STRING_LITERAL, Tree.Kind.PLUS, Tree.Kind.LAMBDA_EXPRESSION);

    private static final Pattern ALWAYS = Pattern.compile("toArray|asList|collect|toList|keySet|values|entrySet|subList|copyOf(Range)?|(unmodifiable|synchronized|empty|singleton)\\w*|of");

    /** What a class is asked for by name: it throws where there is none. */
    private static final Pattern REFLECTED = Pattern.compile("get(Declared)?(Method|Field|Constructor)s?|getName|getSimpleName");

    private Present() {
    }

    /** Whether it is made here, made once for all, or was asked for something before. */
    static boolean is(Workspace workspace, TreePath value) {
        String text = value.getLeaf().toString();
        Element named = workspace.element(value);
        return MADE.contains(value.getLeaf().getKind()) || text.equals("this") || text.endsWith(".toString()") || text.endsWith(".clone()") || isMadeOnce(workspace, named)
                || isMadeFor(workspace, value) || isOfThePlatform(value, named) || isAsked(value, text) || isOfAType(value);
    }

    /** Whether it stands in a choice that was made by its type: nothing is of no type. */
    private static boolean isOfAType(TreePath value) {
        Tree inner = value.getLeaf();
        while (inner instanceof TypeCastTree || inner instanceof ParenthesizedTree) {
            inner = inner instanceof TypeCastTree cast ? cast.getExpression() : ((ParenthesizedTree) inner).getExpression();
        }
        TreePath around = value.getParentPath();
        TreePath child = value;
        while (around.getLeaf() instanceof ParenthesizedTree) {
            child = around;
            around = around.getParentPath();
        }
        Tree condition = around.getLeaf() instanceof ConditionalExpressionTree choice && choice.getTrueExpression() == child.getLeaf() ? choice.getCondition() : null;
        while (condition instanceof ParenthesizedTree bare) {
            condition = bare.getExpression();
        }
        return condition instanceof InstanceOfTree asked && asked.getExpression().toString().equals(inner.toString());
    }

    /** Whether a routine of the platform gives it that always gives something. */
    private static boolean isOfThePlatform(TreePath value, Element called) {
        String owner = value.getLeaf().getKind() != Tree.Kind.METHOD_INVOCATION || called == null ? "" : called.getEnclosingElement().toString();
        return owner.equals("java.lang.String") || owner.startsWith("java.lang.Class") && REFLECTED.matcher(called.getSimpleName()).matches() || owner.startsWith("java.util.") && ALWAYS.matcher(called.getSimpleName()).matches();
    }

    /** Lists of nothing are no habit: the variable of a loop is taken to be there. */
    static boolean isOfLoop(Workspace workspace, TreePath value) {
        Element named = workspace.element(value);
        return named != null && named.getKind() == ElementKind.LOCAL_VARIABLE && workspace.path(named).filter(each ->
                each.getParentPath().getLeaf() instanceof EnhancedForLoopTree).isPresent();
    }

    private static boolean isMadeOnce(Workspace workspace, Element named) {
        boolean once = named != null && (named.getKind() == ElementKind.FIELD && named.getModifiers().contains(Modifier.FINAL)
                || named.getKind() == ElementKind.LOCAL_VARIABLE && workspace.uses().of(named).stream().noneMatch(Moving::isWritten));
        return once && workspace.path(named).filter(each -> each.getLeaf() instanceof VariableTree field && field.getInitializer() != null
                && (MADE.contains(field.getInitializer().getKind()) || isMadeFor(workspace, new TreePath(each, field.getInitializer())))).isPresent();
    }

    /** Whether a routine of the project makes it anew each time, and none stands in for that one. */
    private static boolean isMadeFor(Workspace workspace, TreePath call) {
        if (!(call.getLeaf() instanceof MethodInvocationTree called) || !(workspace.element(call) instanceof ExecutableElement routine)) {
            return false;
        }
        boolean own = called.getMethodSelect() instanceof IdentifierTree && isInFinalClass(call);
        boolean sole = own || routine.getEnclosingElement().getModifiers().contains(Modifier.FINAL)
                || routine.getModifiers().stream().anyMatch(Set.of(Modifier.PRIVATE, Modifier.STATIC, Modifier.FINAL)::contains)
                || workspace.isHere(routine.getEnclosingElement()) && new Calls(workspace).isSole(routine);
        List<TreePath> values = sole ? workspace.read(routine).map(each -> new Returned(workspace, Set.of(routine)).values(each)).orElse(List.of()) : List.of();
        return !values.isEmpty() && values.stream().allMatch(each -> each.getLeaf() != null && MADE.contains(each.getLeaf().getKind()));
    }

    private static boolean isInFinalClass(TreePath code) {
        TreePath at = code;
        while (!(at.getLeaf() instanceof ClassTree)) {
            at = at.getParentPath();
        }
        return ((ClassTree) at.getLeaf()).getModifiers().getFlags().contains(Modifier.FINAL);
    }

    /** Whether the condition that it stands under speaks to it, whatever else it asks. */
    private static boolean isAsked(TreePath value, String name) {
        for (TreePath at = value; at.getParentPath() != null && !(at.getLeaf() instanceof EnhancedForLoopTree); at = at.getParentPath()) {
            if (at.getParentPath().getLeaf() instanceof IfTree choice && choice.getThenStatement() == at.getLeaf() && asks(choice.getCondition(), name)) {
                return true;
            }
        }
        return false;
    }

    private static boolean asks(Tree condition, String name) {
        boolean[] found = {false, false};
        new TreeScanner<Void, Void>() {
            @Override
            public Void visitMemberSelect(MemberSelectTree asked, Void nothing) {
                found[0] |= asked.getExpression().toString().equals(name);
                return super.visitMemberSelect(asked, nothing);
            }

            @Override
            public Void scan(Tree tree, Void nothing) {
                found[1] |= tree != null && (tree.getKind() == Tree.Kind.CONDITIONAL_OR || tree.getKind() == Tree.Kind.CONDITIONAL_EXPRESSION || tree.getKind() == Tree.Kind.LAMBDA_EXPRESSION);
                return super.scan(tree, nothing);
            }
        }.scan(condition, null);
        return found[0] && !found[1];
    }
}
