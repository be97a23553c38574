package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** Where else a type makes the same calls in a row, with other values in the place of some. */
final class RepeatedCalls {
    private final Workspace workspace;
    private final TypeElement type;
    private final List<TreePath> calls;
    private final List<VariableElement> values;

    /**
     * The same calls once more.
     *
     * @param routine around
     * @param calls   statements, in the order of the first ones
     * @param values  as code, in the order of those that the first ones use
     */
    record Repeat(ExecutableElement routine, List<TreePath> calls, List<String> values) {
    }

    /**
     * @param calls  statements in a row, each a call on a field
     * @param values locals that they use
     */
    RepeatedCalls(Workspace workspace, TypeElement type, List<TreePath> calls, List<VariableElement> values) {
        this.workspace = workspace;
        this.type = type;
        this.calls = calls;
        this.values = values;
    }

    /** Whether a constructor of its type calls a routine. */
    static boolean isCalledByConstructor(Workspace workspace, ExecutableElement routine) {
        return workspace.uses().of(routine).stream().anyMatch(use -> ElementFilter.constructorsIn(routine.getEnclosingElement().getEnclosedElements()).stream()
                .flatMap(each -> workspace.written(each).stream()).anyMatch(constructor -> Uses.isWithin(use, constructor)));
    }

    /** All of them, in their order. @param but the routine that the first ones stand in */
    List<Repeat> all(ExecutableElement but) {
        List<Repeat> all = new ArrayList<>();
        for (ExecutableElement routine : ElementFilter.methodsIn(type.getEnclosedElements())) {
            TreePath path = workspace.written(routine).orElse(null);
            if (routine.equals(but) || path == null || routine.getModifiers().contains(Modifier.STATIC) || isCalledByConstructor(workspace, routine)) {
                continue;
            }
            Set<Element> changing = Set.copyOf(Captures.of(workspace, List.of(new TreePath(path, ((MethodTree) path.getLeaf()).getBody()))).written());
            new TreePathScanner<Void, Void>() {
                @Override
                public Void visitBlock(BlockTree block, Void nothing) {
                    for (int i = 0; i + calls.size() <= block.getStatements().size(); i++) {
                        List<TreePath> row = block.getStatements().subList(i, i + calls.size()).stream().map(each -> new TreePath(getCurrentPath(), each)).toList();
                        List<String> given = given(row, changing);
                        if (given != null) {
                            all.add(new Repeat(routine, row, given));
                        }
                    }
                    return super.visitBlock(block, nothing);
                }

                @Override
                public Void visitLambdaExpression(LambdaExpressionTree inner, Void nothing) {
                    return null;
                }
            }.scan(path, null);
        }
        return all;
    }

    /** What stands for the values in a row of statements; null where they are no such calls. */
    private List<String> given(List<TreePath> row, Set<Element> changing) {
        if (Stream.concat(calls.stream(), row.stream()).anyMatch(each -> !(each.getLeaf() instanceof ExpressionStatementTree))
                || Captures.of(workspace, row).read().stream().anyMatch(changing::contains) || !Captures.of(workspace, row).written().isEmpty()) {
            return null;
        }
        Map<Element, String> found = new HashMap<>();
        for (int i = 0; i < row.size(); i++) {
            TreePath first = call(calls.get(i));
            TreePath other = call(row.get(i));
            if (other == null || !isAlike(first, other, found)) {
                return null;
            }
        }
        List<String> given = values.stream().map(found::get).filter(Objects::nonNull).toList();
        return given.size() == values.size() ? given : null;
    }

    private static TreePath call(TreePath statement) {
        return ((ExpressionStatementTree) statement.getLeaf()).getExpression() instanceof MethodInvocationTree call ? new TreePath(statement, call) : null;
    }

    /** Whether two call one routine on one field, with the same in the same places but for the values. */
    private boolean isAlike(TreePath first, TreePath other, Map<Element, String> found) {
        MethodInvocationTree one = (MethodInvocationTree) first.getLeaf();
        MethodInvocationTree two = (MethodInvocationTree) other.getLeaf();
        if (!(one.getMethodSelect() instanceof MemberSelectTree on) || !(two.getMethodSelect() instanceof MemberSelectTree at) || one.getArguments().size() != two.getArguments().size()) {
            return false;
        }
        TreePath selected = new TreePath(first, on);
        TreePath again = new TreePath(other, at);
        Element field = workspace.element(new TreePath(selected, on.getExpression()));
        if (field == null || !field.equals(workspace.element(new TreePath(again, at.getExpression()))) || !Objects.equals(workspace.element(selected), workspace.element(again))) {
            return false;
        }
        for (int i = 0; i < one.getArguments().size(); i++) {
            TreePath mine = new TreePath(first, one.getArguments().get(i));
            TreePath theirs = new TreePath(other, two.getArguments().get(i));
            Element value = mine.getLeaf() instanceof IdentifierTree ? workspace.element(mine) : null;
            boolean same = value instanceof VariableElement && values.contains(value) ? isSame(found.putIfAbsent(value, workspace.text(theirs)), workspace.text(theirs))
                    : workspace.text(mine).equals(workspace.text(theirs)) && Captures.of(workspace, List.of(mine)).read().isEmpty() && Captures.of(workspace, List.of(theirs)).read().isEmpty();
            if (!same) {
                return false;
            }
        }
        return true;
    }

    private static boolean isSame(String before, String now) {
        return before == null || before.equals(now);
    }
}
