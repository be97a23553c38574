package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Twins;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/**
 * strategy for twins: what they share is one class, which is handed what differs as an object; each twin is left as a name
 * for the class with its own.
 */
public final class WayHandedIn implements Recipe {

    @Override
    public String pattern() {
        return "strategy";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Twins;
    }

    @Override
    public Set<String> words(Finding finding) {
        return ((Twins) finding.detail()).types().stream().map(each -> Symbol.of(each).simpleType()).collect(Collectors.toSet());
    }

    @Override
    public void write(Drafting drafting) {
        new Handing(drafting, Alike.of(drafting.workspace(), (Twins) drafting.finding().detail())).write();
    }

    private static final class Handing {
        private final Drafting drafting;
        private final Workspace workspace;
        private final Alike alike;
        private final TypeElement first;
        private final Unit unit;
        private final String whole;
        private final String strategy;
        private final String field;
        private final Map<TypeElement, OwnPart> parts = new LinkedHashMap<>();

        Handing(Drafting drafting, Alike alike) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.alike = alike;
            this.first = alike.first();
            this.unit = workspace.unit(workspace.path(first).orElseThrow());
            refuse();
            String common = alike.common();
            this.whole = drafting.typeName("context", first, common, "Common" + common);
            String context = Words.lower(whole);
            alike.twins().forEach(each -> parts.put(each, new OwnPart(drafting, alike, each, context)));
            List<MethodTree> hooks = parts.get(first).hooks().stream().map(each -> (MethodTree) each.getLeaf()).toList();
            if (hooks.isEmpty()) {
                throw new Refused("no routine is there in all of them with another body in each");
            }
            String word = Words.upper(hooks.get(0).getName().toString());
            this.strategy = hooks.size() == 1 ? drafting.typeName("strategy", first, word, word + "Way") : drafting.typeName("strategy", first, whole + "Way");
            this.field = Words.lower(strategy);
            parts.values().forEach(OwnPart::refuse);
            if (alike.members().get(first).values().stream().anyMatch(each -> each.getLeaf() instanceof VariableTree one && one.getName().contentEquals(field))) {
                throw new Refused("they have a " + field + " already");
            }
        }

        private void refuse() {
            if (!alike.hooks().isEmpty()) {
                throw new Refused("they differ in a few values: one class that is given them says it more simply");
            }
            if (!first.getTypeParameters().isEmpty()) {
                throw new Refused(first.getSimpleName() + " has type parameters");
            }
            if (alike.shared().stream().noneMatch(each -> alike.members().get(first).get(each).getLeaf() instanceof MethodTree method && method.getReturnType() != null)) {
                throw new Refused("no routine is the same in all of them word for word: what differs is within the routines");
            }
            for (TypeElement each : alike.twins()) {
                alike.members().get(each).forEach((key, member) -> {
                    boolean constructor = member.getLeaf() instanceof MethodTree method && method.getReturnType() == null;
                    if (member.getLeaf() instanceof ClassTree || constructor && !alike.shared().contains(key)) {
                        throw new Refused(constructor ? "their constructors differ" : each.getSimpleName() + " has a type of its own within it");
                    }
                });
            }
            if (alike.shared().stream().filter(alike::isConstructor).count() > 1) {
                throw new Refused("they have several constructors");
            }
        }

        private boolean asks() {
            return parts.values().stream().anyMatch(OwnPart::asks);
        }

        void write() {
            String names = alike.named();
            drafting.script().stage("Add " + whole + " with what " + names + " share, and " + strategy + " for what differs",
                    alike.twins().stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "shares it")).toList());
            writeStrategy(names);
            writeWhole(names);
            for (TypeElement each : alike.twins()) {
                drafting.script().stage("Let " + each.getSimpleName() + " be one with its own " + strategy, List.of(workspace.place(workspace.path(each).orElseThrow(), "hands it in")));
                reduce(each);
            }
        }

        private String taken() {
            return asks() ? whole + " " + Words.lower(whole) : "";
        }

        private void writeStrategy(String names) {
            StringBuilder code = new StringBuilder("/** What differs between " + names + ". */\ninterface " + strategy + " {\n");
            String between = "";
            for (TreePath each : parts.get(first).hooks()) {
                code.append(between).append("    ").append(parts.get(first).head(each, taken())).append(";\n");
                between = "\n";
            }
            new NewFile(drafting, unit, strategy).importing(code.toString()).write(code.append("}\n").toString());
        }

        private void writeWhole(String names) {
            StringBuilder fields = new StringBuilder();
            StringBuilder rest = new StringBuilder();
            Map<String, TreePath> own = alike.members().get(first);
            TreePath constructor = null;
            for (String each : alike.shared()) {
                if (own.get(each).getLeaf() instanceof VariableTree) {
                    fields.append(member(own.get(each))).append("\n");
                } else if (alike.isConstructor(each)) {
                    constructor = own.get(each);
                } else {
                    rest.append("\n").append(member(own.get(each))).append("\n");
                }
            }
            fields.append("    private final ").append(strategy).append(' ').append(field).append(";\n");
            for (TreePath each : parts.get(first).hooks()) {
                rest.append("\n    ").append(Code.deeper(delegate(each))).append("\n");
            }
            boolean open = alike.twins().stream().anyMatch(each -> !Drafting.openness(each).isEmpty());
            String code = "/** What " + names + " have in common; what differs is handed in. */\n" + (open ? "public " : "") + "class " + whole + alike.extended() + alike.implemented() + " {\n"
                    + fields + "\n" + made(constructor) + rest + "}\n";
            new NewFile(drafting, unit, whole).importing(code).write(code);
        }

        /** A shared member; what the parts need of it is no longer private. */
        private String member(TreePath path) {
            String text = workspace.text(path);
            boolean needed = parts.values().stream().anyMatch(each -> each.needs(workspace.element(path).getSimpleName().toString()));
            return "    " + Code.deeper(unit.bare(Comments.before(workspace, path) + (needed ? text.replaceFirst("\\bprivate\\s+", "") : text), unit.indentAt(workspace.from(path))));
        }

        private String delegate(TreePath hook) {
            MethodTree method = (MethodTree) hook.getLeaf();
            String head = workspace.text(hook).substring(0, workspace.from(new TreePath(hook, method.getBody())) - workspace.from(hook)).strip();
            boolean needed = parts.values().stream().anyMatch(each -> each.needs(method.getName().toString()));
            List<String> arguments = new ArrayList<>(asks() ? List.of("this") : List.of());
            method.getParameters().forEach(each -> arguments.add(each.getName().toString()));
            String call = field + "." + method.getName() + "(" + String.join(", ", arguments) + ");";
            return unit.bare(Comments.before(workspace, hook) + (needed ? head.replaceFirst("\\bprivate\\s+", "") : head), unit.indentAt(workspace.from(hook)))
                    + " {\n    " + (method.getReturnType().toString().equals("void") ? "" : "return ") + call + "\n}";
        }

        private String made(TreePath constructor) {
            List<String> taken = new ArrayList<>(constructor == null ? List.of() : ((MethodTree) constructor.getLeaf()).getParameters().stream().map(each -> workspace.text(new TreePath(constructor, each))).toList());
            taken.add(strategy + " " + field);
            String body = "";
            String thrown = "";
            if (constructor != null) {
                MethodTree method = (MethodTree) constructor.getLeaf();
                String inside = workspace.text(new TreePath(constructor, method.getBody())).replaceFirst("^\\{[ \\t]*\\r?\\n?", "").replaceFirst("\\s*}$", "");
                body = inside.isBlank() ? "" : "    " + unit.bare(inside.strip(), unit.indentAt(workspace.from(constructor))) + "\n";
                thrown = method.getThrows().isEmpty() ? "" : " throws " + method.getThrows().stream().map(Object::toString).collect(Collectors.joining(", "));
            }
            if (body.contains("super(")) {
                throw new Refused("their constructors hand values to a parent");
            }
            return "    " + Code.deeper(whole + "(" + String.join(", ", taken) + ")" + thrown + " {\n    this." + field + " = " + field + ";\n" + body + "}") + "\n";
        }

        /** A twin keeps its name and what is its own. */
        private void reduce(TypeElement twin) {
            TreePath path = workspace.path(twin).orElseThrow();
            Unit file = workspace.unit(path);
            ClassTree tree = (ClassTree) path.getLeaf();
            if (tree.getExtendsClause() != null) {
                TreePath clause = new TreePath(path, tree.getExtendsClause());
                drafting.script().replace(file.file(), workspace.from(clause), workspace.to(clause), whole);
            } else {
                int name = file.text().indexOf(twin.getSimpleName().toString(), file.text().indexOf("class ", workspace.to(new TreePath(path, tree.getModifiers())))) + twin.getSimpleName().length();
                drafting.script().insert(file.file(), name, " extends " + whole);
            }
            String own = parts.get(twin).name(strategy, alike.common());
            boolean made = false;
            for (Map.Entry<String, TreePath> each : alike.members().get(twin).entrySet()) {
                Tree leaf = each.getValue().getLeaf();
                if (leaf instanceof MethodTree method && method.getReturnType() == null) {
                    List<String> handed = new ArrayList<>(method.getParameters().stream().map(one -> one.getName().toString()).toList());
                    handed.add("new " + own + "()");
                    TreePath body = new TreePath(each.getValue(), method.getBody());
                    String indent = file.indentAt(workspace.from(each.getValue()));
                    drafting.script().replace(file.file(), workspace.from(body), workspace.to(body), file.styled("{\n    super(" + String.join(", ", handed) + ");\n}", indent).substring(indent.length()));
                    made = true;
                } else {
                    drafting.declarations().remove(each.getValue());
                }
            }
            String constructor = made ? "" : (twin.getModifiers().contains(Modifier.PUBLIC) ? "public " : "") + twin.getSimpleName() + "() {\n    super(new " + own + "());\n}\n\n";
            drafting.declarations().add(path, constructor + parts.get(twin).code(own, strategy, taken()), Where.END);
        }
    }
}
