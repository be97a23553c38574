package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.CaseTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.NamedValues;
import driftwood.program.Symbol;
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
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
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
        NamedNumbers numbers = new NamedNumbers(drafting.workspace(), field);
        decision.arms().forEach(arm -> arm.labels().forEach(numbers::value));
        numbers.understand();
        new Naming(drafting, field, numbers).write();
    }

    /** Writes the type. */
    private static final class Naming {
        private final Drafting drafting;
        private final Workspace workspace;
        private final VariableElement field;
        private final TypeElement type;
        private final TreePath declared;
        private final Unit unit;
        private final NamedNumbers numbers;

        Naming(Drafting drafting, VariableElement field, NamedNumbers numbers) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.field = field;
            this.type = Workspace.typeAround(field);
            this.declared = workspace.path(field).orElseThrow();
            this.unit = workspace.unit(declared);
            this.numbers = numbers;
        }

        void write() {
            String word = field.getSimpleName().toString();
            String proposed = Character.toUpperCase(word.charAt(0)) + word.substring(1);
            String name = drafting.typeName("states", type, free(proposed), type.getSimpleName() + proposed);
            List<TreePath> constants = numbers.all().values().stream().map(each -> workspace.path(each).orElseThrow())
                    .sorted((one, other) -> Integer.compare(workspace.from(one), workspace.from(other))).toList();
            List<Evidence> evidence = new ArrayList<>(List.of(workspace.place(declared, "holds one of " + numbers.names())));
            drafting.script().stage("Give what " + word + " can be a type of its own", evidence);
            drafting.names(new NamedValues(name, constants.stream().map(each -> ((VariableTree) each.getLeaf()).getName().toString()).toList(),
                    workspace.place(constants.get(0), name)));
            if (numbers.areNeeded()) {
                declareBeside(name, constants);
            } else {
                declare(name, constants);
            }
            TreePath of = new TreePath(declared, ((VariableTree) declared.getLeaf()).getType());
            drafting.script().replace(unit.file(), workspace.from(of), workspace.to(of), name);
            if (((VariableTree) declared.getLeaf()).getInitializer() == null && !field.getModifiers().contains(Modifier.FINAL)) {
                drafting.script().insert(unit.file(), workspace.to(declared) - 1, " = " + name + "." + numbers.all().get(0).getSimpleName());
            }
            numbers.places().forEach((place, constant) -> {
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

        /** The numbers stay, and each constant knows its own. */
        private void declareBeside(String name, List<TreePath> constants) {
            String number = drafting.name("number", "number");
            String all = constants.stream().map(each -> ((VariableTree) each.getLeaf()).getName()).map(each -> each + "(" + type.getSimpleName() + "." + each + ")")
                    .collect(Collectors.joining(", "));
            String code = "\nprivate enum " + name + " {\n    " + all + ";\n\n    private final int " + number + ";\n\n    " + name + "(int " + number + ") {\n        this."
                    + number + " = " + number + ";\n    }\n}";
            TreePath last = constants.get(constants.size() - 1);
            int end = unit.lineEnd(workspace.to(last));
            boolean apart = unit.text().substring(end, unit.lineEnd(end)).isBlank();
            drafting.script().insert(unit.file(), end, unit.styled(apart ? code : code + "\n", unit.indentAt(workspace.from(last))) + unit.newLine());
            numbers.handed().forEach(each -> drafting.script().insert(unit.file(), workspace.to(each), "." + number));
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
                    throw new Refused("several numbers are declared at once: " + numbers.where(each));
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
