package driftwood.refactor.java.ground;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.TreeScanner;
import driftwood.refactor.Refused;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** Expressions that may have an effect: their order is part of the behaviour. */
public final class Purity {
    private static final Set<Tree.Kind> ACTING = EnumSet.of(Tree.Kind.METHOD_INVOCATION, Tree.Kind.NEW_CLASS, Tree.Kind.ASSIGNMENT, Tree.Kind.PREFIX_INCREMENT,
            Tree.Kind.PREFIX_DECREMENT, Tree.Kind.POSTFIX_INCREMENT, Tree.Kind.POSTFIX_DECREMENT);

    private static final Set<String> PLAIN = Set.of("java.lang", "java.util", "java.math", "java.time", "java.text", "java.nio.charset");
    private static final Set<String> BUSY = Set.of("Thread", "ThreadGroup", "Runtime", "System", "ProcessBuilder", "Process", "Timer", "Scanner", "Class", "ClassLoader");

    private static final Set<String> VALUES = Set.of("java.lang.String", "java.lang.Integer", "java.lang.Long", "java.lang.Boolean", "java.lang.Double", "java.lang.Character",
            "java.lang.Math", "java.lang.Enum", "java.util.Objects", "java.util.Optional", "java.math.BigDecimal", "java.math.BigInteger");
    private static final Set<String> MAKERS = Set.of("java.util.List", "java.util.Set", "java.util.Map");
    private static final Set<ElementKind> LOCALS = EnumSet.of(ElementKind.LOCAL_VARIABLE, ElementKind.PARAMETER, ElementKind.EXCEPTION_PARAMETER);

    private Purity() {
    }

    /** Whether working an expression out can change or ask for anything that changes. */
    public static boolean mayAct(TreePath expression) {
        boolean[] acts = new boolean[1];
        new TreeScanner<Void, Void>() {
            @Override
            public Void scan(Tree tree, Void nothing) {
                if (tree == null || tree.getKind() == Tree.Kind.LAMBDA_EXPRESSION) {
                    return null;
                }
                acts[0] |= tree instanceof CompoundAssignmentTree || ACTING.contains(tree.getKind());
                return super.scan(tree, nothing);
            }
        }.scan(expression.getLeaf(), null);
        return acts[0];
    }

    /**
     * Whether working an expression out may do more than make a value: it could not be done once more, or for nothing. Calls
     * of the platform's plain values do no more, nor constructors that only store what they get.
     */
    public static boolean mayActOutside(Workspace workspace, TreePath expression) {
        return anyActs(expression, each -> (each.getLeaf().getKind() == Tree.Kind.NEW_CLASS || each.getLeaf().getKind() == Tree.Kind.METHOD_INVOCATION) && !isPlain(workspace, each));
    }

    /** Whether something is set, or one of the calls and creations in it acts. @param made asked for each part */
    private static boolean anyActs(TreePath expression, Predicate<TreePath> made) {
        boolean[] acts = new boolean[1];
        new TreePathScanner<Void, Void>() {
            @Override
            public Void scan(TreePath path, Void nothing) {
                look(path);
                return super.scan(path, nothing);
            }

            @Override
            public Void scan(Tree tree, Void nothing) {
                if (tree == null || tree.getKind() == Tree.Kind.LAMBDA_EXPRESSION || tree.getKind() == Tree.Kind.MEMBER_REFERENCE) {
                    return null;
                }
                look(new TreePath(getCurrentPath(), tree));
                return super.scan(tree, nothing);
            }

            private void look(TreePath path) {
                Tree tree = path.getLeaf();
                boolean sets = tree.getKind() != Tree.Kind.NEW_CLASS && tree.getKind() != Tree.Kind.METHOD_INVOCATION && ACTING.contains(tree.getKind());
                acts[0] |= sets || tree instanceof CompoundAssignmentTree || made.test(path);
            }
        }.scan(expression, null);
        return acts[0];
    }

    private static boolean isPlain(Workspace workspace, TreePath call) {
        Element element = workspace.element(call);
        if (!(element instanceof ExecutableElement routine)) {
            return false;
        }
        TypeElement owner = (TypeElement) routine.getEnclosingElement();
        if (!workspace.isHere(owner)) {
            String around = workspace.elements().getPackageOf(owner).getQualifiedName().toString();
            return PLAIN.contains(around) && !BUSY.contains(owner.getSimpleName().toString()) || isPath(owner, routine);
        }
        boolean fields = owner.getEnclosedElements().stream().filter(each -> each.getKind() == ElementKind.FIELD).flatMap(each -> workspace.path(each).stream())
                .noneMatch(each -> ((VariableTree) each.getLeaf()).getInitializer() != null && mayAct(new TreePath(each, ((VariableTree) each.getLeaf()).getInitializer())));
        boolean stores = workspace.written(routine).map(path -> ((MethodTree) path.getLeaf()).getBody().getStatements().stream()
                .allMatch(each -> each.toString().startsWith("super()") || each instanceof ExpressionStatementTree evaluate && evaluate.getExpression() instanceof AssignmentTree set
                        && !mayAct(new TreePath(path, set.getExpression())))).orElse(true);
        return routine.getKind() == ElementKind.CONSTRUCTOR && fields && stores;
    }

    /** The names of files are values; only a real path is looked up. */
    private static boolean isPath(TypeElement owner, ExecutableElement routine) {
        String name = owner.getQualifiedName().toString();
        return (name.equals("java.nio.file.Path") || name.equals("java.nio.file.Paths")) && !Set.of("toRealPath", "register").contains(routine.getSimpleName().toString());
    }

    /** @throws Refused where expressions would change places, of which one does what the other may see */
    public static void refuseReordered(Workspace workspace, List<TreePath> before, List<TreePath> after) {
        for (int i = 0; i < before.size(); i++) {
            for (TreePath later : before.subList(i + 1, before.size())) {
                TreePath first = before.get(i);
                boolean swapped = after.contains(first) && after.contains(later) && after.indexOf(later) < after.indexOf(first);
                if (swapped && (acts(workspace, first) && !isSteady(workspace, later) || acts(workspace, later) && !isSteady(workspace, first))) {
                    Unit unit = workspace.unit(first);
                    throw new Refused("arguments at " + unit.file() + ":" + unit.line(workspace.from(before.get(0))) + " would be worked out in another order");
                }
            }
        }
    }

    /** Whether working an expression out may change something: to ask an object for what it holds does not. */
    public static boolean acts(Workspace workspace, TreePath expression) {
        return anyActs(expression, each -> each.getLeaf().getKind() == Tree.Kind.METHOD_INVOCATION ? !(workspace.element(each) instanceof ExecutableElement routine && isAnswer(workspace, routine))
                : each.getLeaf().getKind() == Tree.Kind.NEW_CLASS && !isPlain(workspace, each));
    }

    /** Whether a routine only gives back what is there; of a library's those of plain values, and those that make one. */
    private static boolean isAnswer(Workspace workspace, ExecutableElement routine) {
        TypeElement owner = (TypeElement) routine.getEnclosingElement();
        String name = owner.getQualifiedName().toString();
        TreePath path = workspace.trees().getPath(routine);
        if (path == null) {
            return VALUES.contains(name) || MAKERS.contains(name) && routine.getModifiers().contains(Modifier.STATIC) || owner.getKind() == ElementKind.RECORD && workspace.trees().getPath(owner) != null;
        }
        return ((MethodTree) path.getLeaf()).getBody() != null && ((MethodTree) path.getLeaf()).getBody().getStatements().size() == 1
                && ((MethodTree) path.getLeaf()).getBody().getStatements().get(0) instanceof ReturnTree back && back.getExpression() != null && !mayAct(new TreePath(path, back.getExpression()));
    }

    /** Whether it comes to the same whenever it is worked out, and does nothing else: a literal, a constant, a local that is never set again. */
    private static boolean isSteady(Workspace workspace, TreePath value) {
        if (value.getLeaf() instanceof ParenthesizedTree inside) {
            return isSteady(workspace, new TreePath(value, inside.getExpression()));
        }
        Element named = workspace.element(value);
        boolean local = named != null && LOCALS.contains(named.getKind());
        boolean constant = named != null && (named.getKind() == ElementKind.ENUM_CONSTANT || named.getKind() == ElementKind.FIELD && named.getModifiers().contains(Modifier.FINAL)
                && (named.getModifiers().contains(Modifier.STATIC) || value.getLeaf() instanceof IdentifierTree));
        return value.getLeaf() instanceof LiteralTree || value.getLeaf().toString().equals("this") || value.getLeaf().getKind() == Tree.Kind.LAMBDA_EXPRESSION || constant
                || local && workspace.uses().of(named).stream().noneMatch(Moving::isWritten);
    }
}
