package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.RoutineFacts.Telling;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;

/** The statements in a row that tell others today: each a call on a field of the object, or such a call under a condition. */
final class ToldInTurn {
    private ToldInTurn() {
    }

    /**
     * In the body of a routine.
     *
     * @throws Refused where other things are done between them, or they are no such calls
     */
    static List<TreePath> of(Workspace workspace, TreePath body, Telling fact) {
        List<TreePath> told = new ArrayList<>();
        TreePath block = blocks(body).stream().filter(each -> statements(each).stream().filter(one -> isTelling(one, fact)).count() > 1).findFirst().orElse(body);
        for (TreePath statement : statements(block)) {
            Optional<TreePath> called = call(statement).filter(each -> tells(each, fact));
            if (called.isPresent()) {
                TreePath call = called.get();
                TreePath select = new TreePath(call, ((MethodInvocationTree) call.getLeaf()).getMethodSelect());
                TreePath on = new TreePath(select, ((MemberSelectTree) select.getLeaf()).getExpression());
                Element field = workspace.element(on);
                if (field == null || field.getKind() != ElementKind.FIELD || isChecked(workspace, select)) {
                    throw new Refused(workspace.text(on) + " is no field of the object that tells");
                }
                told.add(statement);
            } else if (!told.isEmpty() && told.size() < fact.collaborators().size()) {
                throw new Refused("other things are done between the calls");
            }
        }
        if (told.size() < 2 || told.stream().allMatch(each -> each.getLeaf() instanceof IfTree)) {
            throw new Refused("the calls stand under conditions, or on what is no field of the object that tells");
        }
        long heard = told.stream().map(each -> on(call(each).orElseThrow())).distinct().count();
        if (heard < fact.collaborators().size()) {
            throw new Refused("some of them are told in another place, and would be told before or after all others");
        }
        return told;
    }

    /** What a call is made on, as it is written. */
    private static String on(TreePath call) {
        return ((MemberSelectTree) ((MethodInvocationTree) call.getLeaf()).getMethodSelect()).getExpression().toString().replaceFirst("^this\\.", "");
    }

    private static List<TreePath> statements(TreePath block) {
        return ((BlockTree) block.getLeaf()).getStatements().stream().map(each -> new TreePath(block, each)).toList();
    }

    private static boolean isTelling(TreePath statement, Telling fact) {
        return call(statement).filter(each -> tells(each, fact)).isPresent();
    }

    /** A block and those in it, under conditions and in loops, the outer ones first; not those of functions and classes. */
    private static List<TreePath> blocks(TreePath body) {
        List<TreePath> blocks = new ArrayList<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitBlock(BlockTree block, Void nothing) {
                blocks.add(getCurrentPath());
                return super.visitBlock(block, nothing);
            }

            @Override
            public Void visitLambdaExpression(LambdaExpressionTree inner, Void nothing) {
                return null;
            }

            @Override
            public Void visitClass(ClassTree inner, Void nothing) {
                return null;
            }
        }.scan(body, null);
        return blocks;
    }

    /** The call that a statement is, or that it makes under a condition and nothing else; empty where it does anything else. */
    static Optional<TreePath> call(TreePath statement) {
        TreePath at = statement;
        if (at.getLeaf() instanceof IfTree branch && branch.getElseStatement() == null) {
            at = new TreePath(at, branch.getThenStatement());
            if (at.getLeaf() instanceof BlockTree block && block.getStatements().size() == 1) {
                at = new TreePath(at, block.getStatements().get(0));
            }
        }
        return at.getLeaf() instanceof ExpressionStatementTree evaluate && evaluate.getExpression() instanceof MethodInvocationTree call ? Optional.of(new TreePath(at, call)) : Optional.empty();
    }

    private static boolean tells(TreePath call, Telling fact) {
        return ((MethodInvocationTree) call.getLeaf()).getMethodSelect() instanceof MemberSelectTree select
                && (fact.collaborators().contains(on(call)) || fact.collaborators().contains(select.getExpression().toString()));
    }

    /** Whether a routine declares an exception that whoever calls it must handle. */
    private static boolean isChecked(Workspace workspace, TreePath called) {
        return workspace.element(called) instanceof ExecutableElement routine && routine.getThrownTypes().stream()
                .anyMatch(each -> !workspace.types().isSubtype(each, workspace.elements().getTypeElement("java.lang.RuntimeException").asType()));
    }
}
