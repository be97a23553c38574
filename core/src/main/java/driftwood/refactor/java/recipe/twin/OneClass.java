package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
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
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.TypeElement;

/** parametrised-class: twins that differ in values alone become one class that is given them; each twin is left as a name for its values. */
public final class OneClass implements Recipe {

    @Override
    public String pattern() {
        return "parametrised-class";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Twins;
    }

    @Override
    public Set<String> words(Finding finding) {
        return ((Twins) finding.detail()).types().stream().map(each -> Symbol.of(each).simpleType()).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    @Override
    public void write(Drafting drafting) {
        Alike alike = Alike.of(drafting.workspace(), (Twins) drafting.finding().detail());
        if (!alike.first().getTypeParameters().isEmpty()) {
            throw new Refused(alike.first().getSimpleName() + " has type parameters");
        }
        new Uniting(drafting, alike).write();
    }

    private static final class Uniting {
        private final Drafting drafting;
        private final Workspace workspace;
        private final Alike alike;
        private final Unit unit;
        private final String whole;
        private final Optional<TreePath> constructor;

        Uniting(Drafting drafting, Alike alike) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.alike = alike;
            this.unit = workspace.unit(workspace.path(alike.first()).orElseThrow());
            if (alike.hooks().isEmpty()) {
                throw new Refused("they do not differ in a few values of their routines");
            }
            for (TypeElement each : alike.twins()) {
                Optional<TreePath> own = alike.members().get(each).entrySet().stream().filter(member -> !alike.shared().contains(member.getKey()) && !alike.isParametrised(member.getValue()))
                        .map(Map.Entry::getValue).findFirst();
                if (own.isPresent()) {
                    throw new Refused("they differ in more than values: " + each.getSimpleName() + " has its own line " + unit(each).line(workspace.from(own.get())));
                }
                if (!each.getSuperclass().toString().equals("java.lang.Object")) {
                    throw new Refused("they have a parent already");
                }
            }
            List<TreePath> constructors = alike.shared().stream().filter(alike::isConstructor).map(alike.members().get(alike.first())::get).toList();
            if (constructors.size() > 1) {
                throw new Refused("they have several constructors");
            }
            this.constructor = constructors.stream().findFirst();
            String common = alike.common();
            this.whole = drafting.typeName("the class", alike.first(), common, "Common" + common);
        }

        private Unit unit(TypeElement type) {
            return workspace.unit(workspace.path(type).orElseThrow());
        }

        void write() {
            String names = alike.twins().stream().map(TypeElement::getSimpleName).collect(Collectors.joining(" and "));
            drafting.script().stage("Add " + whole + ", which is given what " + names + " differ in", alike.twins().stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "differs in values")).toList());
            writeWhole(names);
            for (int i = 0; i < alike.twins().size(); i++) {
                TypeElement twin = alike.twins().get(i);
                drafting.script().stage("Let " + twin.getSimpleName() + " be one with its values", List.of(workspace.place(workspace.path(twin).orElseThrow(), "its values")));
                reduce(twin, i);
            }
        }

        private List<String> variables() {
            return alike.hooks().stream().flatMap(each -> each.variables().stream()).toList();
        }

        private void writeWhole(String names) {
            Map<String, TreePath> own = alike.members().get(alike.first());
            StringBuilder fields = new StringBuilder();
            StringBuilder rest = new StringBuilder();
            for (String each : alike.shared()) {
                if (own.get(each).getLeaf() instanceof VariableTree) {
                    fields.append(text(own.get(each))).append("\n");
                } else if (!alike.isConstructor(each)) {
                    rest.append("\n").append(text(own.get(each))).append("\n");
                }
            }
            variables().forEach(each -> fields.append("    private final ").append(each).append(";\n"));
            alike.hooks().forEach(each -> rest.append("\n    ").append(Code.deeper(unit.bare(Comments.before(workspace, each.routines().get(0)) + each.shared(""), unit.indentAt(workspace.from(each.routines().get(0)))))).append("\n"));
            boolean open = alike.twins().stream().anyMatch(each -> !Drafting.openness(each).isEmpty());
            String code = "/** What " + names + " are, with the values in which they differ. */\n" + (open ? "public " : "") + "class " + whole + alike.implemented()
                    + " {\n" + fields + "\n" + made() + rest + "}\n";
            new NewFile(drafting, unit, whole).importing(code).write(code);
        }

        private String text(TreePath member) {
            return "    " + Code.deeper(unit.bare(Comments.before(workspace, member) + workspace.text(member), unit.indentAt(workspace.from(member))));
        }

        /** The constructor: what it was given before, then the values. */
        private String made() {
            List<String> taken = new ArrayList<>(parameters());
            taken.addAll(variables());
            StringBuilder body = new StringBuilder();
            if (constructor.isPresent()) {
                TreePath block = new TreePath(constructor.get(), ((MethodTree) constructor.get().getLeaf()).getBody());
                String inside = workspace.text(block).replaceFirst("^\\{[ \\t]*\\r?\\n?", "").replaceFirst("\\s*}$", "");
                body.append(inside.isBlank() ? "" : "    " + unit.bare(inside.strip(), unit.indentAt(workspace.from(constructor.get()))) + "\n");
            }
            variables().forEach(each -> {
                String name = each.substring(each.indexOf(' ') + 1);
                body.append("    this.").append(name).append(" = ").append(name).append(";\n");
            });
            String thrown = constructor.map(each -> ((MethodTree) each.getLeaf()).getThrows().stream().map(Object::toString).collect(Collectors.joining(", "))).filter(each -> !each.isEmpty()).map(each -> " throws " + each).orElse("");
            return "    " + Code.deeper(whole + "(" + String.join(", ", taken) + ")" + thrown + " {\n" + body + "}") + "\n";
        }

        private List<String> parameters() {
            return constructor.map(each -> ((MethodTree) each.getLeaf()).getParameters().stream().map(one -> workspace.text(new TreePath(each, one))).toList()).orElse(List.of());
        }

        /** A twin keeps its name and its values. */
        private void reduce(TypeElement twin, int at) {
            TreePath path = workspace.path(twin).orElseThrow();
            Unit file = workspace.unit(path);
            int name = file.text().indexOf(twin.getSimpleName().toString(), file.text().indexOf("class ", workspace.from(path))) + twin.getSimpleName().length();
            drafting.script().replace(file.file(), name, Math.max(name, alike.endOfSaid(twin)), " extends " + whole);
            List<String> given = new ArrayList<>(constructor.map(each -> ((MethodTree) each.getLeaf()).getParameters().stream().map(one -> one.getName().toString()).toList()).orElse(List.of()));
            alike.hooks().forEach(each -> given.addAll(each.values(at)));
            String called = "super(" + String.join(", ", given) + ");";
            boolean replaced = false;
            for (Map.Entry<String, TreePath> each : alike.members().get(twin).entrySet()) {
                if (alike.isConstructor(each.getKey())) {
                    TreePath body = new TreePath(each.getValue(), ((MethodTree) each.getValue().getLeaf()).getBody());
                    String indent = file.indentAt(workspace.from(each.getValue()));
                    drafting.script().replace(file.file(), workspace.from(body), workspace.to(body), file.styled("{\n    " + called + "\n}", indent).substring(indent.length()));
                    replaced = true;
                } else {
                    drafting.declarations().remove(each.getValue());
                }
            }
            if (!replaced) {
                drafting.declarations().add(path, Drafting.openness(twin) + twin.getSimpleName() + "() {\n    " + called + "\n}", Where.END);
            }
        }
    }
}
