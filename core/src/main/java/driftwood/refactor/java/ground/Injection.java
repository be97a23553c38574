package driftwood.refactor.java.ground;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Declarations.Where;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/** A constructor that takes one thing more, beside each that there is; that one hands on what it created before. */
public final class Injection {
    /** What a statement of an old constructor becomes that the new one does without. */
    public static final String GONE = "\u0000";

    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement client;
    private final TreePath home;
    private final Unit unit;

    public Injection(Drafting drafting, TypeElement client) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.client = client;
        this.home = workspace.path(client).orElseThrow();
        this.unit = workspace.unit(home);
    }

    /**
     * Adds them.
     *
     * @param type    of what is taken, as written
     * @param name    of it
     * @param keeps   the statement that keeps it, at the beginning of the new constructors; empty where they keep it anyway
     * @param creates what an old constructor hands over
     * @param becomes what trees in the new constructors become
     */
    public void inject(String type, String name, String keeps, Function<ExecutableElement, String> creates, Function<TreePath, Optional<String>> becomes) {
        List<ExecutableElement> written = ElementFilter.constructorsIn(client.getEnclosedElements()).stream()
                .filter(each -> workspace.written(each).isPresent()).toList();
        if (written.isEmpty()) {
            String open = client.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
            drafting.declarations().add(home, open + client.getSimpleName() + "() {\n    this(" + creates.apply(null) + ");\n}\n\n" + open + client.getSimpleName()
                    + "(" + type + " " + name + ") {\n    " + keeps + "\n}", Where.CONSTRUCTORS);
            return;
        }
        for (ExecutableElement each : written) {
            if (each.isVarArgs() || each.getParameters().stream().anyMatch(parameter -> parameter.getSimpleName().contentEquals(name))) {
                throw new Refused(Constructors.told(each) + (each.isVarArgs() ? " takes any number of arguments" : " has a parameter " + name + " already"));
            }
            Constructors.refuseAnnotated(each);
            if (!Constructors.isHandingOn(workspace.path(each).orElseThrow())) {
                beside(each, new Taken(type, name, keeps), creates.apply(each), becomes);
            }
        }
    }

    private static final Pattern KEEPS = Pattern.compile("(this\\.)?\\w+ = \\w+;?");

    /** What a new constructor takes more, and the statement that keeps it. */
    private record Taken(String type, String name, String keeps) {
    }

    private void beside(ExecutableElement constructor, Taken taken, String created, Function<TreePath, Optional<String>> becomes) {
        TreePath path = workspace.path(constructor).orElseThrow();
        MethodTree tree = (MethodTree) path.getLeaf();
        TreePath body = new TreePath(path, tree.getBody());
        String indent = unit.indentAt(workspace.from(path));
        String head = unit.text().substring(workspace.from(path), workspace.from(body));
        int close = tree.getParameters().isEmpty() ? head.indexOf(')', head.indexOf('(')) : head.indexOf(')', workspace.to(new TreePath(path, tree.getParameters().get(tree.getParameters().size() - 1))) - workspace.from(path));
        String taking = head.substring(0, close) + (tree.getParameters().isEmpty() ? "" : ", ") + taken.type() + " " + taken.name() + head.substring(close);
        String code = unit.bare(new Rewriting(workspace, becomes).of(body).replaceAll("(?m)^[ \\t]*" + GONE + "[ \\t]*\\R", ""), indent);
        if (!taken.keeps().isEmpty()) {
            code = withFirst(code, taken.keeps(), tree);
        }
        List<String> arguments = new ArrayList<>(constructor.getParameters().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.toList()));
        arguments.add(created);
        drafting.script().replace(unit.file(), workspace.from(body), workspace.to(body), unit.styled("{\n    this(" + String.join(", ", arguments) + ");\n}", indent).substring(indent.length()));
        drafting.script().insert(unit.file(), unit.lineEnd(workspace.to(path)), unit.newLine() + unit.styled(unit.bare(taking, indent) + code, indent) + unit.newLine());
    }

    /** The statement goes before all others, but behind a call of super, and behind statements that only keep what they are given. */
    private static String withFirst(String code, String keeps, MethodTree tree) {
        List<? extends StatementTree> body = tree.getBody().getStatements();
        boolean parent = !body.isEmpty() && body.get(0).toString().startsWith("super(") && code.contains("super(");
        if (body.isEmpty() || body.size() == 1 && body.get(0).toString().startsWith("super(") && !code.contains("super(")) {
            return "{\n    " + keeps + "\n}";
        }
        if (code.contains("\n") && body.stream().skip(body.get(0).toString().startsWith("super(") ? 1 : 0).allMatch(each -> KEEPS.matcher(each.toString()).matches())) {
            return code.substring(0, code.lastIndexOf('\n')) + "\n    " + keeps + code.substring(code.lastIndexOf('\n'));
        }
        int at = parent ? code.indexOf(';', code.indexOf("super(")) + 1 : code.indexOf('{') + 1;
        return code.substring(0, at) + "\n    " + keeps + code.substring(at);
    }
}
