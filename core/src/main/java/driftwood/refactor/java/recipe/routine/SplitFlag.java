package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Specialised;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Flag;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** separate-routines: a routine that does one of two things, as a flag says, becomes two with names of their own. */
public final class SplitFlag implements Recipe {

    @Override
    public String pattern() {
        return "separate-routines";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Flag;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Flag) finding.detail()).routine()).member());
    }

    @Override
    public void write(Drafting drafting) {
        Flag fact = (Flag) drafting.finding().detail();
        ExecutableElement routine = drafting.workspace().routine(fact.routine());
        if (routine.getKind() == ElementKind.CONSTRUCTOR) {
            throw new Refused("a constructor has no second name; creation routines with names of their own are the way here");
        }
        new Splitting(drafting, routine, fact.at()).write();
    }

    /** One routine with all that override it. */
    private static final class Splitting {
        private final Drafting drafting;
        private final Workspace workspace;
        private final Script script;
        private final ExecutableElement routine;
        private final int at;
        private final Set<ExecutableElement> family;
        private final List<Call> calls;
        private final String[] names;

        Splitting(Drafting drafting, ExecutableElement routine, int at) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.script = drafting.script();
            this.routine = routine;
            this.at = at;
            Calls all = new Calls(workspace);
            this.family = all.family(routine);
            this.calls = all.of(family);
            String own = routine.getSimpleName().toString();
            String flag = Words.upper(routine.getParameters().get(at).getSimpleName().toString().replaceFirst("^(is|has|with|should|do|use)(?=[A-Z])", ""));
            String with = drafting.name("true", own.toLowerCase(Locale.ROOT).endsWith(flag.toLowerCase(Locale.ROOT)) ? own + "On" : own + flag);
            String without = drafting.name("false", isFree(own) ? own : own + "Without" + flag);
            for (String each : List.of(with, without)) {
                if (!isFree(each)) {
                    throw new Refused(each + "() is there already with these parameters; give it another name with --name " + (each.equals(with) ? "true" : "false") + "=NAME");
                }
            }
            this.names = new String[] {without, with};
        }

        /** Whether no routine of these types has the name and the parameters that are left. */
        private boolean isFree(String name) {
            int left = routine.getParameters().size() - 1;
            for (ExecutableElement each : family) {
                TypeElement owner = (TypeElement) each.getEnclosingElement();
                List<Element> members = new ArrayList<>(owner.getEnclosedElements());
                new Calls(workspace).supertypes(owner).forEach(parent -> members.addAll(parent.getEnclosedElements()));
                new Calls(workspace).below(owner).forEach(child -> members.addAll(child.getEnclosedElements()));
                if (ElementFilter.methodsIn(members).stream().anyMatch(other -> other.getSimpleName().contentEquals(name) && other.getParameters().size() == left)) {
                    return false;
                }
            }
            return true;
        }

        void write() {
            for (ExecutableElement each : family) {
                refuseAssigned(each);
            }
            script.stage("Add " + names[1] + "() and " + names[0] + "() beside " + Constructors.told(routine) + ", each with the half that it stands for",
                    family.stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "split here")).toList());
            family.forEach(this::add);
            List<Call> said = calls.stream().filter(each -> literal(each) != null).toList();
            List<Call> open = calls.stream().filter(each -> literal(each) == null && !(isWithin(each) && isHandedOn(each))).toList();
            script.stage("Let those who pass true or false call the routine they mean", said.stream().map(each -> workspace.place(each.path(), literal(each)
                    ? names[1] + "()" : names[0] + "()")).toList());
            said.forEach(this::redirect);
            if (open.isEmpty()) {
                script.stage("Remove " + Constructors.told(routine) + ": nobody calls it any more", List.of(workspace.place(path(routine), "goes")));
                family.forEach(each -> {
                    drafting.changes(each);
                    drafting.declarations().remove(path(each));
                });
            } else {
                script.stage("Let " + Constructors.told(routine) + " only choose between the two, for those who hold the flag in a variable",
                        open.stream().map(each -> workspace.place(each.path(), "still asks with a variable")).toList());
                family.forEach(this::choose);
            }
        }

        private TreePath path(ExecutableElement each) {
            return workspace.path(each).orElseThrow();
        }

        private void refuseAssigned(ExecutableElement each) {
            MethodTree tree = workspace.tree(each);
            Element flag = each.getParameters().get(at);
            if (tree.getBody() != null && Captures.of(workspace, List.of(new TreePath(path(each), tree.getBody()))).written().contains(flag)) {
                throw new Refused(each.getSimpleName() + "() gives its flag " + flag + " another value");
            }
        }

        /** The literal of a call; null where it passes something else. */
        private Boolean literal(Call call) {
            return call.arguments().get(at).getLeaf() instanceof LiteralTree literal && literal.getKind() == Tree.Kind.BOOLEAN_LITERAL ? (Boolean) literal.getValue() : null;
        }

        private void add(ExecutableElement each) {
            TreePath path = path(each);
            Unit unit = workspace.unit(path);
            StringBuilder both = new StringBuilder();
            for (boolean value : new boolean[] {true, false}) {
                both.append(both.isEmpty() ? "" : "\n\n").append(copy(each, value));
            }
            String indent = unit.indentAt(workspace.from(path));
            script.insert(unit.file(), unit.lineEnd(workspace.to(path)), unit.newLine() + unit.styled(both.toString(), indent) + unit.newLine());
        }

        /** Whether it hands on the flag as it is. */
        private boolean isHandedOn(Call call) {
            Element handed = workspace.element(call.arguments().get(at));
            return family.stream().anyMatch(each -> each.getParameters().get(at).equals(handed));
        }

        /** The routine for one value of the flag, with its comments. */
        private String copy(ExecutableElement each, boolean value) {
            TreePath path = path(each);
            Unit unit = workspace.unit(path);
            MethodTree tree = (MethodTree) path.getLeaf();
            int from = Declarations.fromComments(unit, workspace.from(path));
            VariableTree flag = tree.getParameters().get(at);
            String comment = Comments.without(unit.text().substring(from, workspace.from(path)), flag.getName().toString());
            String head = unit.text().substring(workspace.from(path), tree.getBody() == null ? workspace.to(path) : workspace.from(new TreePath(path, tree.getBody())));
            String parameters = tree.getParameters().stream().filter(one -> one != flag).map(one -> workspace.text(new TreePath(path, one))).collect(Collectors.joining(", "));
            int open = head.lastIndexOf('(', workspace.from(new TreePath(path, tree.getParameters().get(0))) - workspace.from(path));
            int close = head.indexOf(')', workspace.to(new TreePath(path, tree.getParameters().get(tree.getParameters().size() - 1))) - workspace.from(path));
            String before = head.substring(0, open).replaceFirst("\\b" + each.getSimpleName() + "\\s*$", Matcher.quoteReplacement(names[value ? 1 : 0]));
            String body = tree.getBody() == null ? "" : specialised(each.getParameters().get(at), value).of(new TreePath(path, tree.getBody()));
            return unit.bare(comment + before + "(" + parameters + head.substring(close) + body, unit.indentAt(workspace.from(path)));
        }

        private Specialised specialised(VariableElement flag, boolean value) {
            Specialised[] body = new Specialised[1];
            body[0] = new Specialised(workspace, flag, value, path -> calls.stream().filter(each -> each.path().getLeaf() == path.getLeaf()).findFirst().flatMap(each -> again(each, flag, value, body[0])));
            return body[0];
        }

        /** Where the routine calls itself for one of the two, it calls that one. */
        private Optional<String> again(Call call, VariableElement flag, boolean value, Specialised body) {
            Boolean said = flag.equals(workspace.element(call.arguments().get(at))) ? Boolean.valueOf(value) : literal(call);
            if (said == null) {
                return Optional.empty();
            }
            List<String> arguments = new ArrayList<>();
            for (int i = 0; i < call.arguments().size(); i++) {
                if (i != at) {
                    arguments.add(body.of(call.arguments().get(i)));
                }
            }
            return Optional.of(new Calls(workspace).before(call) + names[said ? 1 : 0] + "(" + String.join(", ", arguments) + ")");
        }

        /** Whether a call stands in what is split, which goes. */
        private boolean isWithin(Call call) {
            return family.stream().anyMatch(each -> Uses.isWithin(call.path(), path(each)));
        }

        private void redirect(Call call) {
            drafting.callSite(call.path());
            String file = workspace.unit(call.path()).file();
            String arguments = "";
            for (int i = 0; i < call.arguments().size(); i++) {
                TreePath each = call.arguments().get(i);
                arguments += i == at ? "" : (arguments.isEmpty() ? "" : ", ") + script.text(file, workspace.from(each), workspace.to(each));
            }
            String name = names[literal(call) ? 1 : 0];
            int nameFrom = workspace.to(call.name()) - routine.getSimpleName().length();
            script.replace(file, nameFrom, workspace.to(call.name()), name);
            int open = workspace.unit(call.path()).text().indexOf('(', workspace.to(call.name()));
            script.replace(file, open + 1, workspace.to(call.path()) - 1, arguments);
        }

        /** The old routine, for those who do not know which they want before they run. */
        private void choose(ExecutableElement each) {
            TreePath path = path(each);
            MethodTree tree = (MethodTree) path.getLeaf();
            if (tree.getBody() == null) {
                return;
            }
            Unit unit = workspace.unit(path);
            String others = tree.getParameters().stream().filter(one -> tree.getParameters().indexOf(one) != at).map(one -> one.getName().toString())
                    .collect(Collectors.joining(", ", "(", ")"));
            String flag = tree.getParameters().get(at).getName().toString();
            boolean nothing = tree.getReturnType().toString().equals("void");
            String choice = nothing ? "{\n    if (" + flag + ") {\n        " + names[1] + others + ";\n    } else {\n        " + names[0] + others + ";\n    }\n}"
                    : "{\n    return " + flag + " ? " + names[1] + others + " : " + names[0] + others + ";\n}";
            String indent = unit.indentAt(workspace.from(path));
            TreePath body = new TreePath(path, tree.getBody());
            script.replace(unit.file(), workspace.from(body), workspace.to(body), unit.styled(choice, indent).substring(indent.length()));
        }
    }
}
