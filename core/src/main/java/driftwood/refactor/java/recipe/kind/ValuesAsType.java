package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CaseTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.NamedValues;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.ground.Declarations;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;

/**
 * state and strategy, where a private field holds one of a few numbers that have names, or of a few texts: they become the
 * constants of an enum, which can have behaviour. What is done with them then is the same as for any enum.
 */
public final class ValuesAsType implements Recipe {
    private static final int WIDE = 100;
    /** What some put before the names of fields. */
    private static final Pattern PREFIX = Pattern.compile("^(?:_+(?=\\p{L})|[mf]_?(?=\\p{Lu}))");
    private final String pattern;

    public ValuesAsType(String pattern) {
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
        Decision decision = DecisionPlace.of(drafting.workspace(), ((Branching) drafting.finding().detail()).chain(), Asking.CONSTANTS).decision();
        if (!(drafting.workspace().element(decision.subject()) instanceof VariableElement field) || field.getKind() != ElementKind.FIELD
                || field.asType().getKind() != TypeKind.INT && !field.asType().toString().equals("java.lang.String")) {
            String said = drafting.workspace().text(decision.arms().get(0).labels().get(0));
            boolean objects = drafting.workspace().trees().getTypeMirror(decision.subject()) instanceof DeclaredType type && drafting.workspace().isHere((TypeElement) type.asElement());
            throw new Refused(objects ? said + " and the others are objects of one class, which do not differ in what they do"
                    : "the variants are values such as " + said + ", which cannot have behaviour of their own");
        }
        TypeElement home = Workspace.typeAround(field);
        boolean inner = home.getNestingKind() != NestingKind.TOP_LEVEL && !home.getModifiers().contains(Modifier.STATIC);
        if (inner && !drafting.hasRecords()) {
            throw new Refused(home.getSimpleName() + " is an inner class, which holds no enum at this level of the language");
        }
        HeldValues values = new HeldValues(drafting.workspace(), field);
        decision.arms().forEach(arm -> arm.labels().forEach(values::value));
        values.understand();
        new Naming(drafting, field, values).write();
    }

    /** Writes the type. */
    private static final class Naming {
        private final Drafting drafting;
        private final Workspace workspace;
        private final VariableElement field;
        private final TypeElement type;
        private final TreePath declared;
        private final Unit unit;
        private final HeldValues values;

        Naming(Drafting drafting, VariableElement field, HeldValues values) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.field = field;
            this.type = Workspace.typeAround(field);
            this.declared = workspace.path(field).orElseThrow();
            this.unit = workspace.unit(declared);
            this.values = values;
        }

        void write() {
            String word = field.getSimpleName().toString();
            String bare = PREFIX.matcher(word).replaceFirst("");
            String proposed = Character.toUpperCase(bare.charAt(0)) + bare.substring(1);
            String name = drafting.typeName("states", type, free(proposed), type.getSimpleName() + proposed);
            List<TreePath> constants = values.declared();
            drafting.script().stage("Give what " + word + " can be a type of its own",
                    List.of(workspace.place(declared, "holds one of " + String.join(", ", values.names().values()))));
            drafting.names(new NamedValues(name, List.copyOf(values.names().values()), workspace.place(constants.isEmpty() ? declared : constants.get(0), name)));
            if (values.areNeeded()) {
                declareBeside(name, constants.isEmpty() ? null : constants.get(constants.size() - 1));
            } else if (constants.isEmpty()) {
                beforeField("private enum " + name + " { " + String.join(", ", values.names().values()) + " }");
            } else {
                declare(name, constants);
            }
            TreePath of = new TreePath(declared, ((VariableTree) declared.getLeaf()).getType());
            drafting.script().replace(unit.file(), workspace.from(of), workspace.to(of), name);
            if (((VariableTree) declared.getLeaf()).getInitializer() == null && values.names().containsKey(0) && !field.getModifiers().contains(Modifier.FINAL)) {
                drafting.script().insert(unit.file(), workspace.to(declared) - 1, " = " + name + "." + values.names().get(0));
            }
            values.places().forEach((place, value) -> {
                boolean label = place.getParentPath().getLeaf() instanceof CaseTree || isLabel(place);
                String plain = values.names().get(value);
                if (!label || !(place.getLeaf() instanceof IdentifierTree)) {
                    drafting.script().replace(unit.file(), workspace.from(place), workspace.to(place), label ? plain : name + "." + plain);
                }
            });
            values.asked().forEach(each -> compare(each, name));
        }

        /** Of constants there is one each: to be equal is to be the same. */
        private void compare(HeldValues.Asked asked, String name) {
            TreePath whole = asked.whole();
            boolean not = whole.getParentPath().getLeaf().getKind() == Tree.Kind.LOGICAL_COMPLEMENT;
            whole = not ? whole.getParentPath() : whole;
            Tree.Kind around = whole.getParentPath().getLeaf().getKind();
            boolean tight = whole.getParentPath().getLeaf() instanceof BinaryTree && around != Tree.Kind.CONDITIONAL_AND && around != Tree.Kind.CONDITIONAL_OR;
            String compared = workspace.text(asked.field()) + (not ? " != " : " == ") + name + "." + values.names().get(values.valueOf(asked));
            drafting.script().replace(unit.file(), workspace.from(whole), workspace.to(whole), tight ? "(" + compared + ")" : compared);
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

        /** The values stay, and each constant knows its own. @param last where the last of those with names is declared; null where there is none */
        private void declareBeside(String name, TreePath last) {
            String part = drafting.name("number", values.areTexts() ? "text" : "number");
            String all = values.names().entrySet().stream().map(each -> each.getValue() + "(" + values.written(each.getKey()) + ")").collect(Collectors.joining(", "));
            String code = values.handed().isEmpty() ? "private enum " + name + " { " + String.join(", ", values.names().values()) + " }" : "private enum " + name + " {\n    " + all + ";\n\n    private final " + (values.areTexts() ? "String " : "int ") + part + ";\n\n    " + name + "("
                    + (values.areTexts() ? "String " : "int ") + part + ") {\n        this." + part + " = " + part + ";\n    }\n}";
            if (last == null) {
                beforeField(code);
            } else {
                int end = unit.lineEnd(workspace.to(last));
                boolean apart = unit.text().substring(end, unit.lineEnd(end)).isBlank();
                drafting.script().insert(unit.file(), end, unit.styled("\n" + (apart ? code : code + "\n"), unit.indentAt(workspace.from(last))) + unit.newLine());
            }
            values.handed().forEach(each -> drafting.script().insert(unit.file(), workspace.to(each), "." + part));
        }

        private void beforeField(String code) {
            int from = unit.lineStart(Declarations.fromComments(unit, workspace.from(declared)));
            drafting.script().insert(unit.file(), from, unit.styled(code + "\n", unit.indentAt(workspace.from(declared))) + unit.newLine());
        }

        /** The enum stands where the first value stood, with the comments of all. */
        private void declare(String name, List<TreePath> constants) {
            String base = unit.indentAt(workspace.from(constants.get(0)));
            List<String> lines = new ArrayList<>();
            boolean said = false;
            for (TreePath each : constants) {
                int from = workspace.from(each);
                if (!unit.text().substring(unit.lineStart(from), from).isBlank() || !unit.text().substring(from, workspace.to(each)).endsWith(";")
                        || unit.text().substring(from, workspace.to(each)).contains(",")) {
                    throw new Refused("several values are declared at once: " + values.where(each));
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
