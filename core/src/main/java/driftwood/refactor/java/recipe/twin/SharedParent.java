package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
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
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** template-method: what twins share moves into a parent of theirs; what differs is a hook that each fills. */
public final class SharedParent implements Recipe {

    @Override
    public String pattern() {
        return "template-method";
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
        new Sharing(drafting, (Twins) drafting.finding().detail()).write();
    }

    private static final class Sharing {
        private static final Pattern ABSTRACT = Pattern.compile("(?m)^ +(?:\\w+ )*abstract [^\\n]*?(\\w+)\\(");
        private final Drafting drafting;
        private final Workspace workspace;
        private final Alike alike;
        private final List<TypeElement> twins;
        private final TypeElement first;
        private final Unit unit;
        private final String parent;
        private final Map<TypeElement, Map<String, TreePath>> members;
        private final Set<String> shared;
        private final List<LiteralHooks> hooks;

        Sharing(Drafting drafting, Twins fact) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.alike = Alike.of(workspace, fact);
            this.twins = alike.twins();
            this.first = twins.get(0);
            this.unit = workspace.unit(workspace.path(first).orElseThrow());
            this.members = alike.members();
            this.shared = alike.shared();
            this.hooks = alike.hooks();
            if (hooks.isEmpty() && shared.stream().noneMatch(each -> members.get(first).get(each).getLeaf() instanceof MethodTree method && method.getReturnType() != null)) {
                throw new Refused("no routine is the same in all of them word for word: what differs is within the routines");
            }
            refuseUnsharedState();
            String common = alike.common();
            this.parent = drafting.typeName("template", first, common, "Abstract" + common, common + "Base");
        }

        /** Fields move only where every constructor moves with them, or none sets them. */
        private void refuseUnsharedState() {
            for (TypeElement each : twins) {
                boolean own = members.get(each).entrySet().stream().anyMatch(member -> member.getValue().getLeaf() instanceof MethodTree method && method.getReturnType() == null && !shared.contains(member.getKey()));
                boolean set = members.get(each).entrySet().stream().anyMatch(member -> shared.contains(member.getKey()) && member.getValue().getLeaf() instanceof VariableTree field
                        && field.getModifiers().getFlags().contains(Modifier.FINAL) && field.getInitializer() == null);
                if (own && set) {
                    throw new Refused("their constructors differ, and set what would move");
                }
            }
            long constructors = shared.stream().filter(alike::isConstructor).count();
            if (constructors > 1) {
                throw new Refused("they have several constructors");
            }
        }

        void write() {
            drafting.script().stage("Add " + parent + " with what " + alike.named() + " share", twins.stream()
                    .map(each -> workspace.place(workspace.path(each).orElseThrow(), "shares it")).toList());
            writeParent();
            for (TypeElement each : twins) {
                drafting.script().stage("Let " + each.getSimpleName() + " descend from it and keep what is its own", List.of(workspace.place(workspace.path(each).orElseThrow(), "keeps what differs")));
                descend(each);
            }
        }

        private void writeParent() {
            Map<String, TreePath> own = members.get(first);
            Set<String> rest = own.keySet().stream().filter(each -> !shared.contains(each)).collect(Collectors.toCollection(LinkedHashSet::new));
            StringBuilder body = new StringBuilder();
            for (String each : shared) {
                body.append(body.isEmpty() ? "" : members.get(first).get(each).getLeaf() instanceof VariableTree ? "" : "\n").append(member(each, own.get(each))).append("\n");
            }
            for (LiteralHooks each : hooks) {
                TreePath path = each.routines().get(0);
                String text = unit.bare(Comments.before(workspace, path) + each.shared("()"), unit.indentAt(workspace.from(path)));
                body.append("\n    ").append(Code.deeper(text)).append("\n");
                each.declared().forEach(hook -> body.append("\n    ").append(hook).append("\n"));
            }
            for (String each : rest) {
                TreePath path = own.get(each);
                if (!alike.isParametrised(path) && path.getLeaf() instanceof MethodTree method && method.getReturnType() != null && isHook(method)) {
                    body.append("\n    ").append(hook(path, method)).append("\n");
                }
            }
            boolean open = twins.stream().anyMatch(each -> !Drafting.openness(each).isEmpty());
            String code = "/** What " + alike.named() + " have in common. */\n" + (open ? "public " : "") + "abstract class " + parent + drafting.imports().typeParameters(first.getTypeParameters(), unit).strip() + alike.extended() + alike.implemented() + " {\n" + body + "}\n";
            new NewFile(drafting, unit, parent).importing(code).write(code);
            String asked = ABSTRACT.matcher(body).results().map(each -> each.group(1) + "()").collect(Collectors.joining(", "));
            drafting.nextType(workspace.path(first).orElseThrow(), alike.common(), "the new " + parent + (asked.isEmpty() ? "" : ", with " + asked + ": the compiler asks for it"));
        }

        /** A shared member as it stands in the parent: reached from the twins where they need it. */
        private String member(String key, TreePath path) {
            String comment = Comments.before(workspace, path);
            String text = workspace.text(path);
            Element element = workspace.element(path);
            if (alike.isConstructor(key)) {
                text = text.replaceFirst("^(public |protected |private )", "").replaceFirst("\\b" + first.getSimpleName() + "\\(", parent + "(");
            } else if (element.getModifiers().contains(Modifier.PRIVATE) && isNeeded(element)) {
                text = text.replaceFirst("\\bprivate\\s+", "");
            }
            return "    " + Code.deeper(unit.bare(comment + text, unit.indentAt(workspace.from(path))));
        }

        /** Whether what stays in a twin names a member of the same name. */
        private boolean isNeeded(Element member) {
            for (TypeElement each : twins) {
                for (Map.Entry<String, TreePath> one : members.get(each).entrySet()) {
                    if (!shared.contains(one.getKey()) && !alike.isParametrised(one.getValue()) && workspace.text(one.getValue()).matches("(?s).*\\b" + member.getSimpleName() + "\\b.*")) {
                        return true;
                    }
                }
            }
            return false;
        }

        /** A routine that each twin has with the same head, and that the shared code calls. */
        private boolean isHook(MethodTree method) {
            boolean called = shared.stream().anyMatch(each -> members.get(first).get(each).getLeaf() instanceof MethodTree && workspace.text(members.get(first).get(each)).matches("(?s).*\\b" + method.getName() + "\\(.*"));
            return called && twins.stream().allMatch(each -> members.get(each).values().stream().anyMatch(one -> one.getLeaf() instanceof MethodTree other && Alike.isSameHead(method, other)));
        }

        private String hook(TreePath path, MethodTree method) {
            String text = workspace.text(path);
            String head = text.substring(0, workspace.from(new TreePath(path, method.getBody())) - workspace.from(path)).strip();
            return head.replaceAll("@Override\\s+", "").replaceFirst("\\b(private|final)\\s+", "").replaceFirst("^(public |protected )?", "$1abstract ") + ";";
        }

        private void descend(TypeElement twin) {
            TreePath path = workspace.path(twin).orElseThrow();
            Unit file = workspace.unit(path);
            ClassTree tree = (ClassTree) path.getLeaf();
            String arguments = tree.getTypeParameters().isEmpty() ? "" : tree.getTypeParameters().stream().map(each -> each.getName().toString()).collect(Collectors.joining(", ", "<", ">"));
            int end = alike.endOfSaid(twin);
            if (tree.getExtendsClause() != null) {
                TreePath clause = new TreePath(path, tree.getExtendsClause());
                drafting.script().replace(file.file(), workspace.from(clause), Math.max(end, workspace.to(clause)), parent + arguments);
            } else {
                int at = file.text().indexOf(twin.getSimpleName().toString(), file.text().indexOf("class ", workspace.to(new TreePath(path, tree.getModifiers())))) + twin.getSimpleName().length();
                for (Tree each : tree.getTypeParameters()) {
                    at = file.text().indexOf('>', workspace.to(new TreePath(path, each))) + 1;
                }
                drafting.script().replace(file.file(), at, Math.max(end, at), " extends " + parent + arguments);
            }
            hooks.forEach(each -> drafting.declarations().add(path, each.filled(twins.indexOf(twin)), Where.END));
            members.get(twin).forEach((key, member) -> {
                if (alike.isParametrised(member)) {
                    drafting.declarations().remove(member);
                } else if (!shared.contains(key)) {
                    fill(member, file);
                } else if (alike.isConstructor(key)) {
                    MethodTree constructor = (MethodTree) member.getLeaf();
                    TreePath body = new TreePath(member, constructor.getBody());
                    String handed = constructor.getParameters().stream().map(each -> each.getName().toString()).collect(Collectors.joining(", "));
                    String indent = file.indentAt(workspace.from(member));
                    drafting.script().replace(file.file(), workspace.from(body), workspace.to(body), file.styled("{\n    super(" + handed + ");\n}", indent).substring(indent.length()));
                } else {
                    drafting.declarations().remove(member);
                }
            });
        }

        /** What stays and fills a hook says so. */
        private void fill(TreePath member, Unit file) {
            if (!(member.getLeaf() instanceof MethodTree method) || method.getReturnType() == null || !isHook(method)) {
                return;
            }
            int from = workspace.from(member);
            if (method.getModifiers().getAnnotations().stream().noneMatch(each -> each.getAnnotationType().toString().equals("Override"))) {
                drafting.script().insert(file.file(), from, "@Override" + file.newLine() + file.indentAt(from));
            }
            if (method.getModifiers().getFlags().contains(Modifier.PRIVATE)) {
                int at = file.text().indexOf("private", from);
                drafting.script().replace(file.file(), at, at + "private ".length(), "");
            }
        }
    }
}
