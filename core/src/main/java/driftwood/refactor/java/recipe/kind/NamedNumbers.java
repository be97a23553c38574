package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/** The numbers that a private field holds, each by a name of its type, and all that is done with the field and with them. */
final class NamedNumbers {
    private final Workspace workspace;
    private final VariableElement field;
    private final TypeElement type;
    private final TreePath declared;
    private final Map<Object, VariableElement> numbers = new LinkedHashMap<>();
    private final Map<TreePath, VariableElement> places = new LinkedHashMap<>();
    private final Set<Tree> understood = new LinkedHashSet<>();
    private final List<TreePath> handed = new ArrayList<>();

    /** @throws Refused where others can give it a number, or read it as one */
    NamedNumbers(Workspace workspace, VariableElement field) {
        this.workspace = workspace;
        this.field = field;
        this.type = Workspace.typeAround(field);
        if (!field.getModifiers().contains(Modifier.PRIVATE) || field.getModifiers().contains(Modifier.STATIC)) {
            throw new Refused(field.getSimpleName() + " is not private to each object: who sets it to which number cannot be known");
        }
        if (workspace.types().isAssignable(type.asType(), workspace.elements().getTypeElement("java.io.Serializable").asType())) {
            throw new Refused(type.getSimpleName() + " is serialised, and " + field.getSimpleName() + " would be written as something else");
        }
        this.declared = workspace.path(field).orElseThrow();
    }

    /** The numbers by their values. */
    Map<Object, VariableElement> all() {
        return numbers;
    }

    /** Where a number stands that becomes a constant; labels need no more than its name. */
    Map<TreePath, VariableElement> places() {
        return places;
    }

    /** Where the field is read as the number that it is. */
    List<TreePath> handed() {
        return handed;
    }

    /** Takes a value that the field is compared with or given: a number with a name, another number of the same value, or one or the other. */
    void value(TreePath value) {
        Tree leaf = value.getLeaf();
        if (leaf instanceof ParenthesizedTree inner) {
            value(new TreePath(value, inner.getExpression()));
        } else if (leaf instanceof ConditionalExpressionTree choice) {
            value(new TreePath(value, choice.getTrueExpression()));
            value(new TreePath(value, choice.getFalseExpression()));
        } else if (!field.equals(workspace.element(value))) {
            places.put(value, number(value));
            understood.add(leaf);
        }
    }

    private VariableElement number(TreePath value) {
        if (value.getLeaf() instanceof LiteralTree literal && numbers.containsKey(literal.getValue())) {
            return numbers.get(literal.getValue());
        }
        if (!(workspace.element(value) instanceof VariableElement constant) || constant.getConstantValue() == null || !type.equals(constant.getEnclosingElement())) {
            throw new Refused("the variants are values such as " + workspace.text(value) + ", which cannot have behaviour of their own: " + where(value));
        }
        VariableElement known = numbers.putIfAbsent(constant.getConstantValue(), constant);
        if (known != null && !known.equals(constant)) {
            throw new Refused(known.getSimpleName() + " and " + constant.getSimpleName() + " are one number with two names");
        }
        return constant;
    }

    /** @throws Refused where it may be any number */
    private void given(TreePath value) {
        if (value.getLeaf() instanceof ConditionalExpressionTree choice) {
            given(new TreePath(value, choice.getTrueExpression()));
            given(new TreePath(value, choice.getFalseExpression()));
        } else if (isKind(value)) {
            value(value);
        } else {
            throw new Refused(field.getSimpleName() + " is given a number from elsewhere: " + where(value));
        }
    }

    /** Whether it is a number with a name, the field itself, or one or the other. */
    private boolean isKind(TreePath value) {
        if (value.getLeaf() instanceof ParenthesizedTree inner) {
            return isKind(new TreePath(value, inner.getExpression()));
        }
        return value.getLeaf() instanceof LiteralTree || workspace.element(value) instanceof VariableElement named
                && (named.equals(field) || named.getConstantValue() != null && type.equals(named.getEnclosingElement()));
    }

    String where(TreePath path) {
        Unit around = workspace.unit(path);
        return around.file() + ":" + around.line(workspace.from(path));
    }

    /** @throws Refused where the field is more than compared with its numbers and given them */
    void understand() {
        for (TreePath use : workspace.uses().of(field)) {
            TreePath around = use.getParentPath();
            while (around.getLeaf() instanceof ParenthesizedTree) {
                around = around.getParentPath();
            }
            Tree leaf = around.getLeaf();
            if (leaf instanceof AssignmentTree set && set.getVariable() == use.getLeaf()) {
                given(new TreePath(around, set.getExpression()));
            } else if (leaf.getKind() == Tree.Kind.EQUAL_TO || leaf.getKind() == Tree.Kind.NOT_EQUAL_TO) {
                BinaryTree compared = (BinaryTree) leaf;
                TreePath left = new TreePath(around, compared.getLeftOperand());
                TreePath right = new TreePath(around, compared.getRightOperand());
                if (isKind(left) && isKind(right)) {
                    value(left);
                    value(right);
                } else {
                    handed.add(use);
                }
            } else if (leaf.getKind() == Tree.Kind.SWITCH || leaf.getKind() == Tree.Kind.SWITCH_EXPRESSION) {
                cases(around);
            } else if (Moving.isWritten(use)) {
                throw new Refused(field.getSimpleName() + " is counted: " + where(use));
            } else if (!isGiven(around)) {
                handed.add(use);
            }
        }
        VariableTree tree = (VariableTree) declared.getLeaf();
        if (tree.getInitializer() != null) {
            given(new TreePath(declared, tree.getInitializer()));
        } else if (!numbers.containsKey(0) && !field.getModifiers().contains(Modifier.FINAL)) {
            throw new Refused(field.getSimpleName() + " begins as 0, which is none of " + names());
        }
    }

    /** Whether what stands there is given to the field of another object: {@code mode = other.mode}. */
    private boolean isGiven(TreePath around) {
        return around.getLeaf() instanceof AssignmentTree set && field.equals(workspace.element(new TreePath(around, set.getVariable())));
    }

    /** Whether somebody needs the numbers as such. */
    boolean areNeeded() {
        return !handed.isEmpty() || numbers.values().stream().flatMap(each -> workspace.uses().of(each).stream()).anyMatch(each -> !understood.contains(each.getLeaf()));
    }

    private void cases(TreePath choice) {
        List<? extends CaseTree> cases = choice.getLeaf() instanceof SwitchTree statement ? statement.getCases()
                : ((SwitchExpressionTree) choice.getLeaf()).getCases();
        for (CaseTree each : cases) {
            each.getExpressions().forEach(label -> value(new TreePath(new TreePath(choice, each), label)));
        }
    }

    String names() {
        return numbers.values().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", "));
    }
}
