package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BinaryOperator;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/** What a type with a builder has more than before: the constructor that takes it, the way in, and the builder itself. */
final class BuilderCode {
    /** What a field is without a word. */
    private static final Set<String> USUAL = Set.of("null", "0", "false");

    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement type;
    private final Unit unit;
    private final ExecutableElement longest;
    private final List<String> defaults;
    private final String builder;
    private final String entry;
    /** Its type parameters, declared with a space behind them, and as arguments; empty for none. */
    private final String declared;
    private final String arguments;
    private final String inferred;

    /** @param defaults for each parameter of the longest what it is where nobody says it; null for a required part */
    BuilderCode(Drafting drafting, ExecutableElement longest, List<String> defaults, String builder, String entry) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.type = (TypeElement) longest.getEnclosingElement();
        this.unit = workspace.unit(workspace.path(type).orElseThrow());
        this.longest = longest;
        this.defaults = defaults;
        this.builder = builder;
        this.entry = entry;
        this.declared = drafting.imports().typeParameters(type.getTypeParameters(), unit);
        this.arguments = type.getTypeParameters().isEmpty() ? "" : type.getTypeParameters().stream().map(Object::toString).collect(Collectors.joining(", ", "<", ">"));
        this.inferred = arguments.isEmpty() ? "" : "<>";
    }

    private String typeOf(VariableElement parameter) {
        return workspace.text(new TreePath(workspace.path(parameter).orElseThrow(), ((VariableTree) workspace.path(parameter).orElseThrow().getLeaf()).getType()));
    }

    /** The longest constructor once more, for the builder. */
    String constructor() {
        TreePath path = workspace.path(longest).orElseThrow();
        MethodTree tree = (MethodTree) path.getLeaf();
        TreePath body = new TreePath(path, tree.getBody());
        String from = longest.getParameters().stream().anyMatch(each -> each.getSimpleName().contentEquals("builder")) ? "from" : "builder";
        if (Captures.of(workspace, List.of(body)).written().stream().anyMatch(longest.getParameters()::contains)) {
            throw new Refused(Constructors.told(longest) + " gives a parameter another value");
        }
        String code = new Rewriting(workspace, each -> Optional.ofNullable(workspace.element(each)).filter(longest.getParameters()::contains)
                .filter(element -> each.getLeaf().getKind() == Tree.Kind.IDENTIFIER).map(element -> from + "." + element.getSimpleName())).of(body);
        String thrown = tree.getThrows().isEmpty() ? "" : " throws " + tree.getThrows().stream().map(Object::toString).collect(Collectors.joining(", "));
        return "private " + type.getSimpleName() + "(" + builder + arguments + " " + from + ")" + thrown + " " + unit.bare(code, unit.indentAt(workspace.from(path)));
    }

    String entry(String open) {
        String required = required((name, of) -> of + " " + name);
        return entryComment(required.isEmpty()) + open + "static " + declared + builder + arguments + " " + entry + "(" + required + ") {\n    return new "
                + builder + inferred + "(" + required((name, of) -> name) + ");\n}";
    }

    private String entryComment(boolean bare) {
        String comment = Comments.before(workspace, workspace.path(longest).orElseThrow());
        StringBuilder said = new StringBuilder();
        for (int i = 0; i < defaults.size(); i++) {
            String name = longest.getParameters().get(i).getSimpleName().toString();
            String text = Comments.ofParameter(comment, name);
            said.append(defaults.get(i) != null || text.isEmpty() ? "" : "\n * @param " + name + " " + text);
        }
        String first = "Begins " + article(type) + (bare ? "" : " with the parts that each must have") + ".";
        return said.isEmpty() ? "/** " + first + " */\n" : "/**\n * " + first + "\n *" + said + "\n */\n";
    }

    /** The type's name with its article. */
    static String article(TypeElement type) {
        return ("AEIOU".indexOf(type.getSimpleName().charAt(0)) >= 0 ? "an " : "a ") + type.getSimpleName();
    }

    private String required(BinaryOperator<String> written) {
        List<String> all = new ArrayList<>();
        for (int i = 0; i < defaults.size(); i++) {
            if (defaults.get(i) == null) {
                all.add(written.apply(longest.getParameters().get(i).getSimpleName().toString(), typeOf(longest.getParameters().get(i))));
            }
        }
        return String.join(", ", all);
    }

    String type(String open) {
        String comment = Comments.before(workspace, workspace.path(longest).orElseThrow());
        StringBuilder text = new StringBuilder("/** Takes the parts of " + article(type) + " by name, and builds it. */\n" + open + "static final class " + builder + declared.strip() + " {\n");
        StringBuilder steps = new StringBuilder();
        for (int i = 0; i < defaults.size(); i++) {
            String name = longest.getParameters().get(i).getSimpleName().toString();
            String of = typeOf(longest.getParameters().get(i));
            boolean needed = defaults.get(i) == null;
            text.append("    private ").append(needed ? "final " : "").append(of).append(' ').append(name).append(needed || USUAL.contains(defaults.get(i)) ? "" : " = " + defaults.get(i)).append(";\n");
            if (!needed) {
                String said = Comments.ofParameter(comment, name);
                steps.append(said.isEmpty() ? "" : "\n    /** @param " + name + " " + said + " */").append("\n    ").append(open).append(builder).append(arguments).append(' ').append(name).append('(').append(of).append(' ')
                        .append(name).append(") {\n        this.").append(name).append(" = ").append(name).append(";\n        return this;\n    }\n");
            }
        }
        text.append("\n    private ").append(builder).append('(').append(required((name, of) -> of + " " + name)).append(") {\n");
        text.append(required((name, of) -> "        this." + name + " = " + name + ";\n").replace(", ", "")).append("    }\n").append(steps);
        String thrown = drafting.imports().thrown(longest.getThrownTypes(), unit);
        return text.append("\n    ").append(open).append(type.getSimpleName()).append(arguments).append(" build()").append(thrown).append(" {\n        return new ").append(type.getSimpleName()).append(inferred).append("(this);\n    }\n}").toString();
    }
}
