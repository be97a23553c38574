package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Openings;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Envy;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** move-routine: a routine goes to the type whose parts it works with; who called it still can, or calls that one. */
public final class MoveRoutine implements Recipe {

    @Override
    public String pattern() {
        return "move-routine";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Envy;
    }

    @Override
    public Set<String> words(Finding finding) {
        Envy envy = (Envy) finding.detail();
        return new LinkedHashSet<>(List.of(Symbol.of(envy.home()).simpleType(), Symbol.of(envy.routine()).member()));
    }

    @Override
    public void write(Drafting drafting) {
        new Move(drafting, (Envy) drafting.finding().detail()).write();
    }

    private static final class Move {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement routine;
        private final TypeElement from;
        private final TypeElement to;
        private final TreePath path;
        private final MethodTree tree;
        private final VariableElement object;
        private final Captures captures;
        private final String name;
        private final String context;

        Move(Drafting drafting, Envy envy) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.routine = workspace.routine(envy.routine());
            this.from = (TypeElement) routine.getEnclosingElement();
            this.to = workspace.type(envy.home());
            this.path = workspace.path(routine).orElseThrow();
            this.tree = (MethodTree) path.getLeaf();
            if (to.getKind().isInterface() || tree.getBody() == null || new Calls(workspace).family(routine).size() > 1) {
                throw new Refused(to.getKind().isInterface() ? to.getSimpleName() + " is an interface: every class that implements it would get the routine"
                        : routine.getSimpleName() + "() is overridden or overrides another");
            }
            if (!routine.getTypeParameters().isEmpty() || !to.getTypeParameters().isEmpty()) {
                throw new Refused("type parameters would have to move with it");
            }
            TreePath body = new TreePath(path, tree.getBody());
            this.captures = Captures.of(workspace, List.of(body));
            this.object = object(body);
            if (captures.asksSuper()) {
                throw new Refused(routine.getSimpleName() + "() asks super");
            }
            this.name = name();
            this.context = Words.lower(from.getSimpleName().toString());
        }

        /** The parameter or field through which the other type is reached. */
        private VariableElement object(TreePath body) {
            List<VariableElement> all = new ArrayList<>(routine.getParameters());
            ElementFilter.fieldsIn(from.getEnclosedElements()).stream().filter(each -> !each.getModifiers().contains(Modifier.STATIC)).forEach(all::add);
            VariableElement best = null;
            for (VariableElement each : all) {
                int uses = workspace.uses().of(each, body).size();
                if (uses > 0 && workspace.types().isSameType(each.asType(), to.asType()) && (best == null || uses > workspace.uses().of(best, body).size())) {
                    best = each;
                }
            }
            if (best == null) {
                throw new Refused("no parameter and no field of " + from.getSimpleName() + " is the " + to.getSimpleName() + " that it works with");
            }
            if (workspace.uses().of(best, body).stream().anyMatch(Moving::isWritten)) {
                throw new Refused(routine.getSimpleName() + "() gives " + best.getSimpleName() + " another value");
            }
            return best;
        }

        private String name() {
            String proposed = drafting.name("routine", routine.getSimpleName().toString().replaceFirst("(?<=[a-z])(Of|For|In|At|By)?" + to.getSimpleName() + "$", ""));
            boolean taken = new Calls(workspace).below(to).stream().anyMatch(each -> has(each, proposed)) || has(to, proposed)
                    || new Calls(workspace).supertypes(to).stream().anyMatch(each -> has(each, proposed));
            if (taken) {
                throw new Refused(to.getSimpleName() + " has a " + proposed + "() already; give another name with --name routine=NAME");
            }
            return proposed;
        }

        private boolean has(TypeElement type, String wanted) {
            return ElementFilter.methodsIn(type.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(wanted));
        }

        private boolean needsContext() {
            Set<Element> own = new LinkedHashSet<>(captures.members());
            own.remove(object);
            return !own.isEmpty() || captures.namesThis();
        }

        void write() {
            drafting.script().stage("Add " + name + "() to " + to.getSimpleName() + ", whose parts it works with", List.of(workspace.place(path, "the routine"), workspace.place(workspace.path(to).orElseThrow(), "its new home")));
            add();
            boolean parameter = routine.getParameters().contains(object);
            List<Call> calls = new Calls(workspace).of(Set.of(routine));
            boolean goes = parameter && routine.getModifiers().contains(Modifier.PRIVATE) && calls.stream().allMatch(this::isPlain);
            if (goes) {
                drafting.script().stage("Let its callers ask the " + to.getSimpleName() + ", and remove it from " + from.getSimpleName(), calls.stream().map(each -> workspace.place(each.path(), "asks")).toList());
                calls.forEach(this::redirect);
                drafting.changes(routine);
                drafting.declarations().remove(path);
            } else {
                drafting.script().stage("Let " + from.getSimpleName() + "." + routine.getSimpleName() + "() hand on to it", List.of(workspace.place(path, "hands on")));
                Unit unit = workspace.unit(path);
                TreePath body = new TreePath(path, tree.getBody());
                String call = object.getSimpleName() + "." + name + "(" + arguments() + ");";
                boolean nothing = tree.getReturnType().toString().equals("void");
                String indent = unit.indentAt(workspace.from(path));
                drafting.script().replace(unit.file(), workspace.from(body), workspace.to(body), unit.styled("{\n    " + (nothing ? "" : "return ") + call + "\n}", indent).substring(indent.length()));
            }
        }

        private String arguments() {
            List<String> all = new ArrayList<>();
            if (needsContext()) {
                all.add("this");
            }
            routine.getParameters().stream().filter(each -> !each.equals(object)).forEach(each -> all.add(each.getSimpleName().toString()));
            return String.join(", ", all);
        }

        private boolean isPlain(Call call) {
            TreePath on = call.arguments().get(routine.getParameters().indexOf(object));
            return !Purity.mayAct(on) && on.getLeaf().getKind() != Tree.Kind.NULL_LITERAL
                    && (on.getLeaf().getKind() == Tree.Kind.IDENTIFIER || on.getLeaf().getKind() == Tree.Kind.MEMBER_SELECT)
                    && (!needsContext() || new Calls(workspace).before(call).isEmpty());
        }

        private void redirect(Call call) {
            drafting.callSite(call.path());
            Unit site = workspace.unit(call.path());
            int at = routine.getParameters().indexOf(object);
            List<String> arguments = new ArrayList<>();
            if (needsContext()) {
                arguments.add("this");
            }
            for (int i = 0; i < call.arguments().size(); i++) {
                if (i != at) {
                    arguments.add(drafting.script().text(site.file(), workspace.from(call.arguments().get(i)), workspace.to(call.arguments().get(i))));
                }
            }
            drafting.script().replace(site.file(), workspace.from(call.path()), workspace.to(call.path()),
                    workspace.text(call.arguments().get(at)) + "." + name + "(" + String.join(", ", arguments) + ")");
        }

        private void add() {
            TreePath home = workspace.path(to).orElseThrow();
            Unit target = workspace.unit(home);
            Unit unit = workspace.unit(path);
            String self = object.getKind().isField() && workspace.text(new TreePath(path, tree.getBody())).contains("this." + object.getSimpleName()) ? "this." + object.getSimpleName() : object.getSimpleName().toString();
            Moving moving = new Moving(drafting, from, target, context, self).self(object);
            TreePath body = new TreePath(path, tree.getBody());
            String code = new Rewriting(workspace, moving).of(body);
            Set<Element> needed = new LinkedHashSet<>(moving.needed());
            needed.remove(object);
            new Openings(drafting).open(needed, from, to);
            List<String> parameters = new ArrayList<>();
            if (needsContext()) {
                parameters.add(drafting.imports().name(from.asType(), target) + " " + context);
            }
            routine.getParameters().stream().filter(each -> !each.equals(object)).forEach(each -> parameters.add(drafting.imports().name(each.asType(), target) + (routine.isVarArgs()
                    && each == routine.getParameters().get(routine.getParameters().size() - 1) ? "..." : "") + " " + each.getSimpleName()));
            String thrown = drafting.imports().thrown(routine.getThrownTypes(), target);
            boolean near = workspace.elements().getPackageOf(from).equals(workspace.elements().getPackageOf(to));
            String comment = Comments.without(Comments.before(workspace, path), object.getSimpleName().toString());
            drafting.declarations().add(home, unit.bare(comment, unit.indentAt(workspace.from(path))) + (near && !routine.getModifiers().contains(Modifier.PUBLIC) ? "" : "public ") + drafting.imports().name(routine.getReturnType(), target) + " " + name + "("
                    + String.join(", ", parameters).replace("[]...", "...") + ")" + thrown + " " + unit.bare(code, unit.indentAt(workspace.from(path))), Where.END);
        }
    }
}
