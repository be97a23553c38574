package driftwood.refactor.java.recipe.construction;

import driftwood.pattern.Words;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BinaryOperator;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** What a type with a builder has more than before: the constructor that takes it, the way in, and the builder itself. */
public final class BuilderCode {
    /** What a field is without a word. */
    private static final Set<String> USUAL = Set.of("null", "0", "false");

    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement type;
    private final Unit unit;
    private final ExecutableElement longest;
    private final Parts parts;
    private final BuilderPlace place;
    private final String builder;
    /** Its type parameters, declared with a space behind them, and as arguments; empty for none. */
    private final String declared;
    private final String arguments;
    private final String inferred;

    /**
     * The parts of what is built, in the order of the constructor's parameters.
     *
     * @param defaults what each is where nobody says it; null for a required part
     * @param told     positions of required parts that have a step of their own all the same, as their names must be said
     */
    public record Parts(List<String> defaults, Set<Integer> told) {

        private boolean isFirst(int at) {
            return defaults.get(at) == null && !told.contains(at);
        }
    }

    /** @param longest the constructor whose parameters are the parts */
    public BuilderCode(Drafting drafting, ExecutableElement longest, Parts parts, BuilderPlace place) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.type = (TypeElement) longest.getEnclosingElement();
        this.unit = workspace.unit(workspace.path(type).orElseThrow());
        this.longest = longest;
        this.parts = parts;
        this.place = place;
        this.builder = place.builder();
        this.declared = drafting.imports().typeParameters(type.getTypeParameters(), unit);
        this.arguments = type.getTypeParameters().isEmpty() ? "" : type.getTypeParameters().stream().map(Object::toString).collect(Collectors.joining(", ", "<", ">"));
        this.inferred = arguments.isEmpty() ? "" : "<>";
    }

    /** As written: where the parameters are those of a record, where its parts are declared. */
    private String typeOf(VariableElement parameter) {
        TreePath path = type.getKind() != ElementKind.RECORD ? workspace.path(parameter).orElseThrow() : ElementFilter.fieldsIn(type.getEnclosedElements()).stream()
                .filter(each -> each.getSimpleName().equals(parameter.getSimpleName())).findFirst().flatMap(workspace::path).orElseThrow();
        return place.name(parameter.asType(), workspace.text(new TreePath(path, ((VariableTree) path.getLeaf()).getType())));
    }

    private String comment() {
        return Comments.before(workspace, workspace.written(longest).or(() -> workspace.path(type)).orElseThrow());
    }

    /** The constructor that takes the builder: what the longest does, once more, or all handed to that one where it stays. */
    public String constructor(boolean stays) {
        TreePath path = workspace.path(longest).orElseThrow();
        MethodTree tree = (MethodTree) path.getLeaf();
        TreePath body = new TreePath(path, tree.getBody());
        String from = longest.getParameters().stream().anyMatch(each -> each.getSimpleName().contentEquals("builder")) ? "from" : "builder";
        String thrown = tree.getThrows().isEmpty() ? "" : " throws " + tree.getThrows().stream().map(Object::toString).collect(Collectors.joining(", "));
        String head = place.shared() + type.getSimpleName() + "(" + unit.fixed() + builder + arguments + " " + from + ")" + thrown + " ";
        if (stays) {
            return head + "{\n    this(" + longest.getParameters().stream().map(each -> from + "." + each.getSimpleName()).collect(Collectors.joining(", ")) + ");\n}";
        }
        if (Captures.of(workspace, List.of(body)).written().stream().anyMatch(longest.getParameters()::contains)) {
            throw new Refused(Constructors.told(longest) + " gives a parameter another value");
        }
        String code = new Rewriting(workspace, each -> Optional.ofNullable(workspace.element(each)).filter(longest.getParameters()::contains)
                .filter(element -> each.getLeaf().getKind() == Tree.Kind.IDENTIFIER).map(element -> from + "." + element.getSimpleName())).of(body);
        return head + unit.bare(code, unit.indentAt(workspace.from(path)));
    }

    /** Writes the way in and the builder in the stage that is being written. @param open how far they are */
    public void add(String open) {
        place.add(entry(open), type(open));
    }

    private String entry(String open) {
        String required = required((name, of) -> unit.fixed() + of + " " + name);
        return entryComment(required.isEmpty()) + open + "static " + declared + builder + arguments + " " + place.entry() + "(" + required + ") {\n    return new "
                + builder + inferred + "(" + required((name, of) -> name) + ");\n}";
    }

    private String entryComment(boolean bare) {
        String comment = comment();
        StringBuilder said = new StringBuilder();
        for (int i = 0; i < parts.defaults().size(); i++) {
            String name = longest.getParameters().get(i).getSimpleName().toString();
            String text = Comments.ofParameter(comment, name);
            said.append(!parts.isFirst(i) || text.isEmpty() ? "" : "\n * @param " + name + " " + text);
        }
        String first = "Begins " + article(type) + (bare ? "" : " with the parts that each must have") + ".";
        return said.isEmpty() ? "/** " + first + " */\n" : "/**\n * " + first + "\n *" + said + "\n */\n";
    }

    /** The type's name with its article. */
    static String article(TypeElement type) {
        return Words.one(type.getSimpleName());
    }

    private String required(BinaryOperator<String> written) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < parts.defaults().size(); i++) {
            if (parts.isFirst(i)) {
                all.add(written.apply(longest.getParameters().get(i).getSimpleName().toString(), typeOf(longest.getParameters().get(i))));
            }
        }
        return String.join(", ", all);
    }

    private String type(String open) {
        String comment = comment();
        StringBuilder text = new StringBuilder("/** Takes the parts of " + article(type) + " by name, and builds it. */\n" + open + place.kept() + builder + declared.strip() + " {\n");
        StringBuilder steps = new StringBuilder();
        for (int i = 0; i < parts.defaults().size(); i++) {
            String name = longest.getParameters().get(i).getSimpleName().toString();
            String of = typeOf(longest.getParameters().get(i));
            boolean needed = parts.isFirst(i);
            String value = place.value(parts.defaults().get(i));
            text.append("    ").append(place.shared()).append(needed ? "final " : "").append(of).append(' ').append(name).append(value == null || USUAL.contains(value) ? "" : " = " + value).append(";\n");
            if (!needed) {
                String said = Comments.ofParameter(comment, name);
                steps.append(said.isEmpty() ? "" : "\n    /** @param " + name + " " + said + " */").append("\n    ").append(open).append(builder).append(arguments).append(' ').append(name).append('(').append(unit.fixed()).append(of).append(' ')
                        .append(name).append(") {\n        this.").append(name).append(" = ").append(name).append(";\n").append(parts.told().contains(i) ? "        missing.remove(\"" + name + "\");\n" : "").append("        return this;\n    }\n");
            }
        }
        text.append(missing()).append("\n").append(place.hasEntry() ? "" : entryComment(required((name, of) -> name).isEmpty()).indent(4)).append("    ").append(place.begun(open)).append(builder).append('(').append(required((name, of) -> unit.fixed() + of + " " + name)).append(") {\n");
        text.append(required((name, of) -> "        this." + name + " = " + name + ";\n").replace(", ", "")).append("    }\n").append(steps);
        String thrown = place.file().thrown(longest.getThrownTypes());
        return text.append("\n    ").append(open).append(type.getSimpleName()).append(arguments).append(" build()").append(thrown).append(" {\n").append(check()).append("        return new ").append(type.getSimpleName()).append(inferred).append('(')
                .append(type.getKind() == ElementKind.RECORD ? Imports.arguments(longest.getParameters()) : "this").append(");\n    }\n}").toString();
    }

    /** Names of the parts that nobody has said yet. */
    private String missing() {
        return parts.told().isEmpty() ? "" : "    private final " + place.file().platform("java.util.Set") + "<String> missing = new " + place.file().platform("java.util.TreeSet") + "<>("
                + place.file().platform("java.util.Arrays") + ".asList(" + parts.told().stream().sorted().map(each -> "\"" + longest.getParameters().get(each).getSimpleName() + "\"").collect(Collectors.joining(", ")) + "));\n";
    }

    private String check() {
        return parts.told().isEmpty() ? "" : "        if (!missing.isEmpty()) {\n            throw new IllegalStateException(\"not said: \" + String.join(\", \", missing));\n        }\n";
    }

    /** @throws Refused where nobody could build one */
    public static void refuse(TypeElement type, List<ExecutableElement> constructors) {
        if (type.getKind() == ElementKind.ENUM || type.getModifiers().contains(Modifier.ABSTRACT)) {
            throw new Refused(type.getSimpleName() + (type.getKind() == ElementKind.ENUM ? " is an enum" : " is abstract") + ": nobody creates one by itself");
        }
        if (type.getEnclosingElement().getKind().isClass() && !type.getModifiers().contains(Modifier.STATIC) && type.getKind() != ElementKind.RECORD) {
            throw new Refused(type.getSimpleName() + " is an inner class: each belongs to an object of " + type.getEnclosingElement().getSimpleName());
        }
        for (ExecutableElement each : constructors) {
            if (each.isVarArgs()) {
                throw new Refused(Constructors.told(each) + " takes any number of arguments");
            }
            Constructors.refuseAnnotated(each);
        }
    }
}
