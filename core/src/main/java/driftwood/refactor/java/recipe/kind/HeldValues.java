package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.SwitchTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.SetFirst;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;

/**
 * The few values that a private field holds: numbers, each by a name of its type, or texts; and all that is done with the
 * field and with them.
 */
final class HeldValues {
    private final Workspace workspace;
    private final VariableElement field;
    private final TypeElement type;
    private final TreePath declared;
    private final boolean texts;
    private final Map<Object, String> names = new LinkedHashMap<>();
    private final Map<Object, VariableElement> constants = new LinkedHashMap<>();
    private final Map<TreePath, Object> places = new LinkedHashMap<>();
    private final List<Asked> asked = new ArrayList<>();
    private final Set<Tree> understood = new LinkedHashSet<>();
    private final List<TreePath> handed = new ArrayList<>();

    /** {@code state.equals("off")}, or the other way round. @param whole the call @param value what the field is compared with */
    record Asked(TreePath whole, TreePath field, TreePath value) {
    }

    /** @throws Refused where others can give it another value */
    HeldValues(Workspace workspace, VariableElement field) {
        this.workspace = workspace;
        this.field = field;
        this.type = Workspace.typeAround(field);
        if (!field.getModifiers().contains(Modifier.PRIVATE) || field.getModifiers().contains(Modifier.STATIC)) {
            throw new Refused(field.getSimpleName() + " is not private to each object: who sets it to what cannot be known");
        }
        if (workspace.types().isAssignable(type.asType(), workspace.elements().getTypeElement("java.io.Serializable").asType())) {
            throw new Refused(type.getSimpleName() + " is serialised, and " + field.getSimpleName() + " would be written as something else");
        }
        for (Element each : List.of(field, type)) {
            each.getAnnotationMirrors().stream().map(one -> one.getAnnotationType().toString()).filter(one -> !one.startsWith("java.lang.")).findFirst().ifPresent(one -> {
                throw new Refused(each.getSimpleName() + " is annotated with " + one.substring(one.lastIndexOf('.') + 1) + ", and may be read by the type that " + field.getSimpleName() + " has");
            });
        }
        this.declared = workspace.path(field).orElseThrow();
        this.texts = field.asType().getKind() != TypeKind.INT;
    }

    boolean areTexts() {
        return texts;
    }

    /** The names of the values, which those of the constants will be. */
    Map<Object, String> names() {
        return names;
    }

    /** Where values that have names are declared, in the order of the file. */
    List<TreePath> declared() {
        return constants.values().stream().map(each -> workspace.path(each).orElseThrow())
                .sorted((one, other) -> Integer.compare(workspace.from(one), workspace.from(other))).toList();
    }

    /** What a value is written as behind its declaration: by its name, or as the text itself. */
    String written(Object value) {
        return constants.containsKey(value) ? type.getSimpleName() + "." + constants.get(value).getSimpleName()
                : value instanceof String text ? workspace.elements().getConstantExpression(text) : value.toString();
    }

    /** Where a value stands that becomes a constant; labels need no more than its name. */
    Map<TreePath, Object> places() {
        return places;
    }

    /** Where a text is asked whether it equals another. */
    List<Asked> asked() {
        return asked;
    }

    /** Where the field is read as the number or text that it is. */
    List<TreePath> handed() {
        return handed;
    }

    /** Takes what the field is compared with or given: a value, or one or the other. */
    void value(TreePath value) {
        Tree leaf = value.getLeaf();
        if (leaf instanceof ParenthesizedTree inner) {
            value(new TreePath(value, inner.getExpression()));
        } else if (leaf instanceof ConditionalExpressionTree choice) {
            value(new TreePath(value, choice.getTrueExpression()));
            value(new TreePath(value, choice.getFalseExpression()));
        } else if (!field.equals(workspace.element(value))) {
            places.put(value, known(value));
            understood.add(leaf);
        }
    }

    private Object known(TreePath value) {
        if (value.getLeaf() instanceof LiteralTree literal && (names.containsKey(literal.getValue()) || texts && literal.getValue() instanceof String)) {
            return named(literal.getValue());
        }
        if (!(workspace.element(value) instanceof VariableElement constant) || constant.getConstantValue() == null || !type.equals(constant.getEnclosingElement())) {
            throw new Refused("the variants are values such as " + workspace.text(value) + ", which cannot have behaviour of their own: " + where(value));
        }
        VariableElement other = constants.putIfAbsent(constant.getConstantValue(), constant);
        if (other != null && !other.equals(constant)) {
            throw new Refused(other.getSimpleName() + " and " + constant.getSimpleName() + " are one value with two names");
        }
        names.put(constant.getConstantValue(), constant.getSimpleName().toString());
        return constant.getConstantValue();
    }

    /** A text without a name is called as it reads. */
    private Object named(Object value) {
        String name = value.toString().strip().replaceAll("(?<=[a-z])(?=[A-Z])|\\W+", "_").toUpperCase(Locale.ROOT);
        if (!names.containsKey(value) && (!SourceVersion.isName(name) || names.containsValue(name))) {
            throw new Refused("\"" + value + "\" has no name, and cannot be one");
        }
        names.putIfAbsent(value, name);
        return value;
    }

    /** @throws Refused where it may be anything */
    private void given(TreePath value) {
        if (value.getLeaf() instanceof ConditionalExpressionTree choice) {
            given(new TreePath(value, choice.getTrueExpression()));
            given(new TreePath(value, choice.getFalseExpression()));
        } else if (isKind(value)) {
            value(value);
        } else {
            throw new Refused(field.getSimpleName() + " is given a " + (texts ? "text" : "number") + " from elsewhere: " + where(value));
        }
    }

    /** Whether it is a value that is known here, or the field itself. */
    private boolean isKind(TreePath value) {
        if (value.getLeaf() instanceof ParenthesizedTree inner) {
            return isKind(new TreePath(value, inner.getExpression()));
        }
        return value.getLeaf() instanceof LiteralTree literal && literal.getValue() != null || workspace.element(value) instanceof VariableElement named
                && (named.equals(field) || named.getConstantValue() != null && type.equals(named.getEnclosingElement()));
    }

    String where(TreePath path) {
        Unit around = workspace.unit(path);
        return around.file() + ":" + around.line(workspace.from(path));
    }

    /** @throws Refused where the field is given what is not known */
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
            } else if (!isGiven(around) && !isAsked(use, around)) {
                handed.add(use);
            }
        }
        VariableTree tree = (VariableTree) declared.getLeaf();
        if (tree.getInitializer() != null) {
            given(new TreePath(declared, tree.getInitializer()));
        } else if (!names.containsKey(0) && !field.getModifiers().contains(Modifier.FINAL) && !new SetFirst(workspace, field).isSo()) {
            throw new Refused(field.getSimpleName() + " begins as " + (texts ? "null" : "0") + ", which is none of " + String.join(", ", names.values()));
        }
    }

    private boolean isAsked(TreePath use, TreePath around) {
        boolean receives = around.getLeaf() instanceof MemberSelectTree;
        TreePath whole = receives ? around.getParentPath() : around;
        if (!texts || !(whole.getLeaf() instanceof MethodInvocationTree call) || !(call.getMethodSelect() instanceof MemberSelectTree select)
                || !select.getIdentifier().contentEquals("equals") || call.getArguments().size() != 1) {
            return false;
        }
        TreePath other = receives ? new TreePath(whole, call.getArguments().get(0)) : new TreePath(new TreePath(whole, select), select.getExpression());
        if (!isKind(other) || field.equals(workspace.element(other))) {
            return false;
        }
        known(other);
        understood.add(other.getLeaf());
        asked.add(new Asked(whole, use, other));
        return true;
    }

    /** The value that a field is asked to equal. */
    Object valueOf(Asked question) {
        return known(question.value());
    }

    /** Whether what stands there is given to the field of another object: {@code mode = other.mode}. */
    private boolean isGiven(TreePath around) {
        return around.getLeaf() instanceof AssignmentTree set && field.equals(workspace.element(new TreePath(around, set.getVariable())));
    }

    /** Whether somebody needs the values as such. */
    boolean areNeeded() {
        return !handed.isEmpty() || constants.values().stream().flatMap(each -> workspace.uses().of(each).stream()).anyMatch(each -> !understood.contains(each.getLeaf()));
    }

    private void cases(TreePath choice) {
        List<? extends CaseTree> cases = choice.getLeaf() instanceof SwitchTree statement ? statement.getCases()
                : ((SwitchExpressionTree) choice.getLeaf()).getCases();
        for (CaseTree each : cases) {
            each.getExpressions().forEach(label -> value(new TreePath(new TreePath(choice, each), label)));
        }
    }
}
