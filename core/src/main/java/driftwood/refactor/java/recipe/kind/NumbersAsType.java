package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.ground.Declarations;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/**
 * state and strategy, where a private field holds one of a few numbers that have names: the numbers become the constants
 * of an enum, which can have behaviour. What is done with them then is the same as for any enum.
 */
public final class NumbersAsType implements Recipe {
    private static final int WIDE = 100;
    private final String pattern;

    public NumbersAsType(String pattern) {
        this.pattern = pattern;
    }

    @Override
    public String pattern() {
        return pattern;
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Branching branching && !branching.onTypes()
                && (branching.common().isEmpty() || branching.common().equals(Symbol.of(branching.chain().routine()).type()));
    }

    @Override
    public boolean goesOn() {
        return true;
    }

    @Override
    public Set<String> words(Finding finding) {
        Branching branching = (Branching) finding.detail();
        Set<String> words = new LinkedHashSet<>(branching.variants().stream().map(each -> each.substring(each.lastIndexOf('.') + 1)).toList());
        words.add(Symbol.of(branching.chain().routine()).simpleType());
        return words;
    }

    @Override
    public void write(Drafting drafting) {
        Decision decision = DecisionPlace.of(drafting.workspace(), ((Branching) drafting.finding().detail()).chain(), false).decision();
        if (!(drafting.workspace().element(decision.subject()) instanceof VariableElement field) || field.getKind() != ElementKind.FIELD
                || field.asType().getKind() != javax.lang.model.type.TypeKind.INT) {
            throw new Refused("the variants are values such as " + drafting.workspace().text(decision.arms().get(0).labels().get(0))
                    + ", which cannot have behaviour of their own");
        }
        Naming naming = new Naming(drafting, field);
        decision.arms().forEach(arm -> arm.labels().forEach(naming::value));
        naming.write();
    }

    /** The numbers of one field, and all that is done with it and with them. */
    private static final class Naming {
        private final Drafting drafting;
        private final Workspace workspace;
        private final VariableElement field;
        private final TypeElement type;
        private final TreePath declared;
        private final Unit unit;
        private final Map<Object, VariableElement> numbers = new LinkedHashMap<>();
        /** Where a number stands that becomes a constant; labels need no more than its name. */
        private final Map<TreePath, VariableElement> places = new LinkedHashMap<>();
        private final Set<Tree> understood = new LinkedHashSet<>();

        Naming(Drafting drafting, VariableElement field) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.field = field;
            this.type = Workspace.typeAround(field);
            if (!field.getModifiers().contains(Modifier.PRIVATE) || field.getModifiers().contains(Modifier.STATIC)) {
                throw new Refused(field.getSimpleName() + " is not private to each object: who sets it to which number cannot be known");
            }
            if (workspace.types().isAssignable(type.asType(), workspace.elements().getTypeElement("java.io.Serializable").asType())) {
                throw new Refused(type.getSimpleName() + " is serialised, and " + field.getSimpleName() + " would be written as something else");
            }
            this.declared = workspace.path(field).orElseThrow();
            this.unit = workspace.unit(declared);
        }

        /** Takes a value that the field is compared with or given: a number with a name, another number of the same value, or one or the other. */
        void value(TreePath value) {
            Tree leaf = value.getLeaf();
            // driftwood: leave type-switch because these few shapes are taken, and all others are refused
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

        private String where(TreePath path) {
            Unit around = workspace.unit(path);
            return around.file() + ":" + around.line(workspace.from(path));
        }

        /** @throws Refused where the field is more than compared with its numbers and given them */
        private void understand() {
            for (TreePath use : workspace.uses().of(field)) {
                TreePath around = use.getParentPath();
                while (around.getLeaf() instanceof ParenthesizedTree) {
                    around = around.getParentPath();
                }
                Tree leaf = around.getLeaf();
                // driftwood: leave type-switch because these few shapes are taken, and all others are refused
                if (leaf instanceof AssignmentTree set && set.getVariable() == use.getLeaf()) {
                    value(new TreePath(around, set.getExpression()));
                } else if (leaf.getKind() == Tree.Kind.EQUAL_TO || leaf.getKind() == Tree.Kind.NOT_EQUAL_TO) {
                    BinaryTree compared = (BinaryTree) leaf;
                    value(new TreePath(around, compared.getLeftOperand()));
                    value(new TreePath(around, compared.getRightOperand()));
                } else if (leaf.getKind() == Tree.Kind.SWITCH || leaf.getKind() == Tree.Kind.SWITCH_EXPRESSION) {
                    cases(around);
                } else if (!(leaf instanceof AssignmentTree)) {
                    throw new Refused(field.getSimpleName() + " is handed on as the number that it is: " + where(use));
                }
            }
            VariableTree tree = (VariableTree) declared.getLeaf();
            if (tree.getInitializer() != null) {
                value(new TreePath(declared, tree.getInitializer()));
            } else if (!numbers.containsKey(0) && !field.getModifiers().contains(Modifier.FINAL)) {
                throw new Refused(field.getSimpleName() + " begins as 0, which is none of " + names());
            }
            for (VariableElement each : numbers.values()) {
                for (TreePath use : workspace.uses().of(each)) {
                    if (!understood.contains(use.getLeaf())) {
                        throw new Refused(each.getSimpleName() + " is used for more than " + field.getSimpleName() + ": " + where(use));
                    }
                }
            }
        }

        private void cases(TreePath choice) {
            List<? extends CaseTree> cases = choice.getLeaf() instanceof com.sun.source.tree.SwitchTree statement ? statement.getCases()
                    : ((com.sun.source.tree.SwitchExpressionTree) choice.getLeaf()).getCases();
            for (CaseTree each : cases) {
                each.getExpressions().forEach(label -> value(new TreePath(new TreePath(choice, each), label)));
            }
        }

        private String names() {
            return numbers.values().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", "));
        }

        void write() {
            understand();
            String word = field.getSimpleName().toString();
            String proposed = Character.toUpperCase(word.charAt(0)) + word.substring(1);
            String name = drafting.typeName("states", type, free(proposed), type.getSimpleName() + proposed);
            List<TreePath> constants = numbers.values().stream().map(each -> workspace.path(each).orElseThrow())
                    .sorted((one, other) -> Integer.compare(workspace.from(one), workspace.from(other))).toList();
            List<Evidence> evidence = new ArrayList<>(List.of(workspace.place(declared, "holds one of " + names())));
            drafting.script().stage("Give what " + word + " can be a type of its own", evidence);
            drafting.names(new Refactoring.Kinds(name, constants.stream().map(each -> ((VariableTree) each.getLeaf()).getName().toString()).toList(),
                    workspace.place(constants.get(0), name)));
            declare(name, constants);
            TreePath of = new TreePath(declared, ((VariableTree) declared.getLeaf()).getType());
            drafting.script().replace(unit.file(), workspace.from(of), workspace.to(of), name);
            if (((VariableTree) declared.getLeaf()).getInitializer() == null && !field.getModifiers().contains(Modifier.FINAL)) {
                drafting.script().insert(unit.file(), workspace.to(declared) - 1, " = " + name + "." + numbers.get(0).getSimpleName());
            }
            places.forEach((place, constant) -> {
                boolean label = place.getParentPath().getLeaf() instanceof CaseTree || isLabel(place);
                String plain = constant.getSimpleName().toString();
                if (!label || !(place.getLeaf() instanceof IdentifierTree)) {
                    drafting.script().replace(unit.file(), workspace.from(place), workspace.to(place), label ? plain : name + "." + plain);
                }
            });
        }

        private static boolean isLabel(TreePath place) {
            return place.getParentPath().getParentPath() != null && place.getParentPath().getParentPath().getLeaf() instanceof CaseTree made
                    && made.getExpressions().contains(place.getLeaf());
        }

        /** A name that no type within means. */
        private String free(String proposed) {
            boolean taken = workspace.elements().getAllMembers(type).stream().anyMatch(each -> each.getKind().isClass() && each.getSimpleName().contentEquals(proposed))
                    || type.getSimpleName().contentEquals(proposed);
            return taken ? type.getSimpleName() + proposed : proposed;
        }

        /** The enum stands where the first number stood, with the comments of all. */
        private void declare(String name, List<TreePath> constants) {
            String base = unit.indentAt(workspace.from(constants.get(0)));
            List<String> lines = new ArrayList<>();
            boolean said = false;
            for (TreePath each : constants) {
                int from = workspace.from(each);
                if (!unit.text().substring(unit.lineStart(from), from).isBlank() || !unit.text().substring(from, workspace.to(each)).endsWith(";")
                        || unit.text().substring(from, workspace.to(each)).contains(",")) {
                    throw new Refused("several numbers are declared at once: " + where(each));
                }
                String before = unit.text().substring(Declarations.fromComments(unit, from), from).strip();
                String behind = unit.text().substring(workspace.to(each), unit.lineEnd(workspace.to(each))).strip();
                said |= !before.isEmpty() || !behind.isEmpty();
                String separator = lines.size() == constants.size() - 1 ? "" : ",";
                lines.add((before.isEmpty() ? "" : before.lines().map(String::strip).map(line -> line.startsWith("*") ? " " + line : line)
                        .collect(Collectors.joining("\n    ")) + "\n    ")
                        + ((VariableTree) each.getLeaf()).getName() + separator + (behind.isEmpty() ? "" : " " + behind));
                drafting.changes(workspace.element(each));
            }
            String brief = "private enum " + name + " { " + String.join(" ", lines) + " }";
            String code = said || base.length() + brief.length() > WIDE ? "private enum " + name + " {\n    " + String.join("\n    ", lines) + "\n}" : brief;
            TreePath first = constants.get(0);
            int from = Declarations.fromComments(unit, workspace.from(first));
            String behind = unit.text().substring(workspace.to(first), unit.lineEnd(workspace.to(first)));
            drafting.script().replace(unit.file(), unit.lineStart(from), workspace.to(first) + behind.stripTrailing().length(), unit.styled(code, base));
            for (TreePath each : constants.subList(1, constants.size())) {
                int end = workspace.to(each);
                if (unit.text().substring(end, unit.lineEnd(end)).isBlank()) {
                    drafting.declarations().remove(each);
                } else {
                    drafting.script().replace(unit.file(), unit.lineStart(Declarations.fromComments(unit, workspace.from(each))), unit.lineEnd(end), "");
                }
            }
        }
    }
}
