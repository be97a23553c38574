package driftwood.refactor.java.ground;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BreakTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ContinueTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.LabeledStatementTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.UnaryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.tree.YieldTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.TypeParameterElement;
import javax.lang.model.element.VariableElement;

/**
 * What code that is to be moved uses of what is around it: from this its new signature follows, what it costs, and
 * whether it can be moved at all.
 *
 * @param read     locals and parameters from outside that it uses, in the order of first use
 * @param written  those of them that it gives a new value
 * @param declared locals that it declares itself
 * @param members  fields and routines of instances around it that it uses without another object before them
 * @param statics  static members that it uses by their bare names
 * @param hidden   those of members and statics that are private
 * @param variables type parameters of the routine around
 * @param asksSuper whether it speaks to its parent
 * @param namesThis whether it hands the object around it to somebody
 * @param returns  its return statements
 * @param leaves   jumps to something outside: break, continue, yield
 */
public record Captures(Set<VariableElement> read, Set<VariableElement> written, Set<VariableElement> declared, Set<Element> members,
        Set<Element> statics, Set<Element> hidden, Set<TypeParameterElement> variables, boolean asksSuper, boolean namesThis,
        List<TreePath> returns, List<TreePath> leaves) {

    /** Of some trees. @param home the type they are in */
    public static Captures of(Workspace workspace, List<TreePath> code) {
        Scanner scanner = new Scanner(workspace);
        code.forEach(scanner::all);
        Set<VariableElement> read = new LinkedHashSet<>(scanner.locals);
        read.removeAll(scanner.declared);
        Set<VariableElement> written = new LinkedHashSet<>(scanner.written);
        written.removeAll(scanner.declared);
        Set<Element> hidden = new LinkedHashSet<>(scanner.members);
        hidden.addAll(scanner.statics);
        hidden.removeIf(each -> !each.getModifiers().contains(Modifier.PRIVATE));
        return new Captures(read, written, scanner.declared, scanner.members, scanner.statics, hidden, scanner.variables,
                scanner.asksSuper, scanner.namesThis, List.copyOf(scanner.returns), List.copyOf(scanner.leaves));
    }

    /** Whether it needs the object around it. */
    public boolean needsObject() {
        return !members.isEmpty() || namesThis || asksSuper;
    }

    private static final class Scanner extends TreePathScanner<Void, Void> {
        private final Workspace workspace;
        private final Set<VariableElement> locals = new LinkedHashSet<>();
        private final Set<VariableElement> written = new LinkedHashSet<>();
        private final Set<VariableElement> declared = new LinkedHashSet<>();
        private final Set<Element> members = new LinkedHashSet<>();
        private final Set<Element> statics = new LinkedHashSet<>();
        private final Set<TypeParameterElement> variables = new LinkedHashSet<>();
        private final Set<TreePath> returns = new LinkedHashSet<>();
        private final Set<TreePath> leaves = new LinkedHashSet<>();
        private final Set<Tree> targets = new HashSet<>();
        private boolean asksSuper;
        private boolean namesThis;
        /** Bodies within, whose returns and objects are their own. */
        private int inner;
        private int classes;

        Scanner(Workspace workspace) {
            this.workspace = workspace;
        }

        private void all(TreePath code) {
            if (JumpTargets.isTarget(code.getLeaf())) {
                targets.add(code.getLeaf());
            }
            scan(code, null);
        }

        @Override
        public Void scan(Tree tree, Void nothing) {
            if (tree != null && JumpTargets.isTarget(tree)) {
                targets.add(tree);
            }
            return super.scan(tree, nothing);
        }

        @Override
        public Void visitIdentifier(IdentifierTree tree, Void nothing) {
            Element element = workspace.element(getCurrentPath());
            if (element == null) {
                return null;
            }
            String name = tree.getName().toString();
            boolean own = classes > 0 && isWithin(element);
            switch (element.getKind()) {
                case LOCAL_VARIABLE, PARAMETER, EXCEPTION_PARAMETER, RESOURCE_VARIABLE, BINDING_VARIABLE -> locals.add((VariableElement) element);
                case TYPE_PARAMETER -> {
                    if (element.getEnclosingElement().getKind() == ElementKind.METHOD) {
                        variables.add((TypeParameterElement) element);
                    }
                }
                case FIELD, METHOD -> {
                    if (name.equals("this") || name.equals("super")) {
                        asksSuper |= name.equals("super");
                        namesThis |= name.equals("this") && classes == 0 && !(getCurrentPath().getParentPath().getLeaf() instanceof MemberSelectTree);
                    } else if (!own) {
                        (element.getModifiers().contains(Modifier.STATIC) ? statics : members).add(element);
                    }
                }
                case ENUM_CONSTANT -> statics.add(element);
                default -> { }
            }
            return null;
        }

        private boolean isWithin(Element element) {
            TypeElement around = Workspace.typeAround(element);
            return around != null && workspace.path(around).filter(path -> Uses.isWithin(path, getCurrentPath()) || insideScanned(path)).isPresent();
        }

        private boolean insideScanned(TreePath path) {
            return seenClasses.contains(path.getLeaf());
        }

        private final Set<Tree> seenClasses = new HashSet<>();

        @Override
        public Void visitMemberSelect(MemberSelectTree tree, Void nothing) {
            boolean onThis = tree.getExpression().toString().equals("this");
            if (onThis && classes == 0) {
                Element element = workspace.element(getCurrentPath());
                if (element != null) {
                    members.add(element);
                }
            }
            return super.visitMemberSelect(tree, nothing);
        }

        @Override
        public Void visitVariable(VariableTree tree, Void nothing) {
            if (workspace.element(getCurrentPath()) instanceof VariableElement variable && variable.getKind() != ElementKind.FIELD) {
                declared.add(variable);
            }
            return super.visitVariable(tree, nothing);
        }

        @Override
        public Void visitAssignment(AssignmentTree tree, Void nothing) {
            wrote(tree.getVariable());
            return super.visitAssignment(tree, nothing);
        }

        @Override
        public Void visitCompoundAssignment(CompoundAssignmentTree tree, Void nothing) {
            wrote(tree.getVariable());
            return super.visitCompoundAssignment(tree, nothing);
        }

        @Override
        public Void visitUnary(UnaryTree tree, Void nothing) {
            switch (tree.getKind()) {
                case PREFIX_INCREMENT, PREFIX_DECREMENT, POSTFIX_INCREMENT, POSTFIX_DECREMENT -> wrote(tree.getExpression());
                default -> { }
            }
            return super.visitUnary(tree, nothing);
        }

        private void wrote(Tree target) {
            if (target instanceof IdentifierTree && workspace.element(new TreePath(getCurrentPath(), target)) instanceof VariableElement variable
                    && variable.getKind() != ElementKind.FIELD) {
                written.add(variable);
            }
        }

        @Override
        public Void visitLambdaExpression(LambdaExpressionTree tree, Void nothing) {
            inner++;
            super.visitLambdaExpression(tree, nothing);
            inner--;
            return null;
        }

        @Override
        public Void visitClass(ClassTree tree, Void nothing) {
            inner++;
            classes++;
            seenClasses.add(tree);
            super.visitClass(tree, nothing);
            classes--;
            inner--;
            return null;
        }

        @Override
        public Void visitReturn(ReturnTree tree, Void nothing) {
            if (inner == 0) {
                returns.add(getCurrentPath());
            }
            return super.visitReturn(tree, nothing);
        }

        @Override
        public Void visitBreak(BreakTree tree, Void nothing) {
            left();
            return super.visitBreak(tree, nothing);
        }

        @Override
        public Void visitContinue(ContinueTree tree, Void nothing) {
            left();
            return super.visitContinue(tree, nothing);
        }

        @Override
        public Void visitYield(YieldTree tree, Void nothing) {
            left();
            return super.visitYield(tree, nothing);
        }

        /** Where the jump goes is among what was seen, or it leaves. */
        private void left() {
            if (inner == 0 && !targets.contains(JumpTargets.of(getCurrentPath()))) {
                leaves.add(getCurrentPath());
            }
        }
    }

    /** What jumps go to. */
    private static final class JumpTargets {

        static boolean isTarget(Tree tree) {
            return switch (tree.getKind()) {
                case FOR_LOOP, ENHANCED_FOR_LOOP, WHILE_LOOP, DO_WHILE_LOOP, SWITCH, SWITCH_EXPRESSION, LABELED_STATEMENT -> true;
                default -> false;
            };
        }

        static Tree of(TreePath jump) {
            Tree leaf = jump.getLeaf();
            Object label = leaf instanceof BreakTree leave ? leave.getLabel() : leaf instanceof ContinueTree next ? next.getLabel() : null;
            for (TreePath at = jump.getParentPath(); at != null; at = at.getParentPath()) {
                Tree tree = at.getLeaf();
                boolean loop = isTarget(tree) && tree.getKind() != Tree.Kind.SWITCH && tree.getKind() != Tree.Kind.SWITCH_EXPRESSION
                        && tree.getKind() != Tree.Kind.LABELED_STATEMENT;
                boolean hit = label != null ? tree instanceof LabeledStatementTree labelled && labelled.getLabel().equals(label)
                        : leaf instanceof YieldTree ? tree.getKind() == Tree.Kind.SWITCH_EXPRESSION
                        : loop || leaf instanceof BreakTree && tree.getKind() == Tree.Kind.SWITCH;
                if (hit) {
                    return tree;
                }
            }
            return null;
        }
    }
}
