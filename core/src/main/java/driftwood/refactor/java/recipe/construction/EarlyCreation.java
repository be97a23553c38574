package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;

/**
 * A creation within a constructor, as another constructor writes it before it hands on to that one: what is worked out for it
 * alone stands in its place, and nothing that it could notice comes before.
 *
 * @param creation itself
 * @param worked   locals that are there for it alone, with what they are
 */
record EarlyCreation(Workspace workspace, TreePath creation, Map<VariableElement, TreePath> worked) {

    /** @throws Refused where it needs more than the parameters, or the order of what is done would change */
    static EarlyCreation of(Workspace workspace, ExecutableElement constructor, TreePath creation) {
        EarlyCreation early = new EarlyCreation(workspace, creation, new LinkedHashMap<>());
        early.workOut(creation, new LinkedHashSet<>(constructor.getParameters()));
        early.refuseEarlier();
        return early;
    }

    private void workOut(TreePath code, Set<VariableElement> given) {
        Captures captures = Captures.of(workspace, List.of(code));
        for (VariableElement each : captures.read()) {
            if (!given.contains(each) && !worked.containsKey(each)) {
                worked.put(each, value(each).orElseThrow(this::tied));
                workOut(worked.get(each), given);
            }
        }
        if (captures.needsObject()) {
            throw tied();
        }
    }

    private Refused tied() {
        return new Refused("what is created needs the object or locals around it: " + workspace.text(creation));
    }

    /** What a local is, where it is nothing but that, for this creation. */
    private Optional<TreePath> value(VariableElement local) {
        TreePath declared = workspace.path(local).orElseThrow(this::tied);
        boolean only = workspace.uses().of(local).stream().noneMatch(Moving::isWritten) && workspace.uses().of(local).stream().allMatch(each -> Uses.isWithin(each, creation)
                || worked.values().stream().anyMatch(one -> Uses.isWithin(each, one)));
        return declared.getLeaf() instanceof VariableTree tree && tree.getInitializer() != null && only && declared.getParentPath().getLeaf() == body().getLeaf()
                ? Optional.of(new TreePath(declared, tree.getInitializer())).filter(each -> !Purity.mayActOutside(workspace, each)) : Optional.empty();
    }

    private TreePath statement() {
        return creation.getParentPath().getParentPath();
    }

    private TreePath body() {
        return statement().getParentPath();
    }

    /** What the constructor does before must not be something that the creation could come before. */
    private void refuseEarlier() {
        boolean stores = !Purity.mayActOutside(workspace, creation);
        boolean asks = text().contains(".");
        for (StatementTree each : ((BlockTree) body().getLeaf()).getStatements()) {
            if (each == statement().getLeaf()) {
                return;
            }
            boolean local = worked.keySet().stream().anyMatch(one -> workspace.path(one).orElseThrow().getLeaf() == each);
            boolean plain = each instanceof ExpressionStatementTree evaluate && (evaluate.getExpression() instanceof AssignmentTree || evaluate.getExpression().toString().startsWith("super("));
            boolean checks = each.getKind() != Tree.Kind.EXPRESSION_STATEMENT && each.getKind() != Tree.Kind.VARIABLE || each instanceof ExpressionStatementTree evaluate
                    && evaluate.getExpression() instanceof MethodInvocationTree call && call.getMethodSelect().toString().matches("(.*\\.)?(require|check|assert|ensure).*");
            if (!local && !plain && (!stores || checks && asks)) {
                throw new Refused("the constructor works before it creates it, and the order would change");
            }
        }
    }

    /** The creation, told of parameters only. */
    String text() {
        return new Rewriting(workspace, this::inPlace).of(creation);
    }

    private Optional<String> inPlace(TreePath path) {
        Element named = path.getLeaf().getKind() == Tree.Kind.IDENTIFIER ? workspace.element(path) : null;
        if (!(named instanceof VariableElement local) || !worked.containsKey(local)) {
            return Optional.empty();
        }
        TreePath value = worked.get(local);
        String text = new Rewriting(workspace, this::inPlace).of(value);
        boolean simple = value.getLeaf().getKind() == Tree.Kind.METHOD_INVOCATION || value.getLeaf().getKind() == Tree.Kind.NEW_CLASS || value.getLeaf().getKind() == Tree.Kind.IDENTIFIER
                || path.getParentPath().getLeaf() == creation.getLeaf();
        return Optional.of(simple ? text : "(" + text + ")");
    }

    /** Whether a statement is there for the creation alone. */
    boolean isForIt(TreePath statement) {
        return worked.keySet().stream().anyMatch(each -> workspace.path(each).orElseThrow().getLeaf() == statement.getLeaf());
    }
}
