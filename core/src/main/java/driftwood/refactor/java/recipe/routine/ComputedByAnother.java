package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Injection;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Openings;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Envy;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/** strategy for what a class computes from the parts of another: an object of its own does it, and can be another one. */
public final class ComputedByAnother implements Recipe {

    @Override
    public String pattern() {
        return "strategy";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Envy;
    }

    @Override
    public Set<String> words(Finding finding) {
        Symbol symbol = Symbol.of(((Envy) finding.detail()).routine());
        return Set.of(symbol.simpleType(), symbol.member());
    }

    @Override
    public void write(Drafting drafting) {
        new Apart(drafting, drafting.workspace().routine(((Envy) drafting.finding().detail()).routine())).write();
    }

    private static final class Apart {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement routine;
        private final TypeElement home;
        private final TreePath path;
        private final Unit unit;
        private final Captures captures;

        Apart(Drafting drafting, ExecutableElement routine) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.routine = routine;
            this.home = (TypeElement) routine.getEnclosingElement();
            this.path = workspace.path(routine).orElseThrow();
            this.unit = workspace.unit(path);
            refuse();
            this.captures = Captures.of(workspace, List.of(new TreePath(path, ((MethodTree) path.getLeaf()).getBody())));
            if (captures.asksSuper()) {
                throw new Refused(routine.getSimpleName() + "() asks super");
            }
        }

        private void refuse() {
            String name = routine.getSimpleName() + "()";
            if (home.getKind() != ElementKind.CLASS || home.getNestingKind() != NestingKind.TOP_LEVEL && !home.getModifiers().contains(Modifier.STATIC)) {
                throw new Refused(home.getSimpleName() + " is no class of its own, which could be handed an object");
            }
            if (routine.getModifiers().contains(Modifier.STATIC) || ((MethodTree) path.getLeaf()).getBody() == null) {
                throw new Refused(name + " is static: no object has it that could be handed another way to compute it");
            }
            if (!routine.getTypeParameters().isEmpty() || !home.getTypeParameters().isEmpty() || routine.isVarArgs()) {
                throw new Refused(name + " has type parameters around it, or takes any number of arguments");
            }
            if (new Calls(workspace).family(routine).size() > 1) {
                throw new Refused(name + " is overridden or overrides another");
            }
        }

        void write() {
            String word = Words.upper(routine.getSimpleName().toString().replaceFirst("^(?:get|compute|calculate)(?=[A-Z])", ""));
            String strategy = drafting.typeName("strategy", home, word, word + "Way", home.getSimpleName() + word);
            String usual = drafting.typeName("concrete strategy", home, "Usual" + strategy);
            String field = Words.lower(strategy);
            if (ElementFilter.fieldsIn(home.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(field))
                    || routine.getParameters().stream().anyMatch(each -> each.getSimpleName().contentEquals(field))) {
                throw new Refused("there is a " + field + " already");
            }
            boolean asks = captures.needsObject();
            String context = Words.lower(home.getSimpleName().toString());
            drafting.script().stage("Add " + strategy + ", and " + usual + " with what " + routine.getSimpleName() + "() does", List.of(workspace.place(path, "the routine")));
            String open = Drafting.openness(home);
            contract(strategy, open, asks ? context : "");
            concrete(usual, strategy, open, asks ? context : "");
            drafting.script().stage("Let " + home.getSimpleName() + " be handed its " + strategy + ", and ask it", List.of(workspace.place(path, "asks it")));
            drafting.declarations().add(workspace.path(home).orElseThrow(), "private final " + strategy + " " + field + ";", Where.FIELDS);
            new Injection(drafting, home).inject(strategy, field, "this." + field + " = " + field + ";", each -> "new " + usual + "()", each -> Optional.empty());
            TreePath body = new TreePath(path, ((MethodTree) path.getLeaf()).getBody());
            String arguments = Stream.concat(asks ? Stream.of("this") : Stream.of(), Stream.of(Imports.arguments(routine.getParameters())).filter(each -> !each.isEmpty())).collect(Collectors.joining(", "));
            boolean nothing = ((MethodTree) path.getLeaf()).getReturnType().toString().equals("void");
            String indent = unit.indentAt(workspace.from(path));
            drafting.script().replace(unit.file(), workspace.from(body), workspace.to(body), unit.styled("{\n    " + (nothing ? "" : "return ") + field + "." + routine.getSimpleName() + "(" + arguments + ");\n}", indent).substring(indent.length()));
        }

        private String head(NewFile file, String context) {
            String head = file.head(routine);
            return context.isEmpty() ? head : head.replaceFirst("\\(", "(" + home.getSimpleName() + " " + context + (routine.getParameters().isEmpty() ? "" : ", "));
        }

        private void contract(String strategy, String open, String context) {
            NewFile file = new NewFile(drafting, unit, strategy);
            String comment = Comments.doc(workspace, path);
            file.write("/** How " + home.getSimpleName() + " does " + routine.getSimpleName() + "(). */\n" + open + "interface " + strategy + " {\n    "
                    + Code.deeper(comment + head(file, context)) + ";\n}\n");
        }

        private void concrete(String usual, String strategy, String open, String context) {
            TreePath body = new TreePath(path, ((MethodTree) path.getLeaf()).getBody());
            Moving moving = new Moving(drafting, home, unit, context, "");
            String code = unit.bare(new Rewriting(workspace, moving).of(body), unit.indentAt(workspace.from(path)));
            new Openings(drafting).openBeside(moving.needed());
            NewFile file = new NewFile(drafting, unit, usual).importing(code);
            file.write("/** The usual way to do " + routine.getSimpleName() + "() of " + home.getSimpleName() + ". */\n" + open + "class " + usual + " implements " + strategy + " {\n    @Override\n    public " + Code.deeper(head(file, context) + " " + code) + "\n}\n");
        }
    }
}
