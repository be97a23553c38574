package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Openings;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.RoutineFacts.Guarded;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;

/** decorator: the work moves into an object of the same interface, and the routine keeps its guards around that one. */
public final class WorkBehindGuards implements Recipe {

    @Override
    public String pattern() {
        return "decorator";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Guarded;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(finding.symbol()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        Guarded fact = (Guarded) drafting.finding().detail();
        ExecutableElement routine = workspace.routine(fact.routine());
        TypeElement home = (TypeElement) routine.getEnclosingElement();
        refuseForms(workspace, routine, home);
        TreePath path = workspace.path(routine).orElseThrow();
        TreePath core = core(workspace, path, fact);
        TreePath work = work(workspace, core, routine);
        Captures captures = Captures.of(workspace, List.of(core.getLeaf() instanceof VariableTree ? work : core));
        refuseTies(captures, routine, home);
        GuardedFields fields = GuardedFields.of(workspace, home, core, captures.members().stream().map(VariableElement.class::cast).toList());

        Unit unit = workspace.unit(path);
        String simple = home.getSimpleName().toString();
        String contract = drafting.typeName("component", home, simple + "Work", simple + "Task");
        String plain = drafting.typeName("wrapped", home, "Unguarded" + simple, "Bare" + simple);
        String field = drafting.name("inner", "unguarded");
        refuseTaken(workspace, home, path, field);

        drafting.script().stage("Add " + contract + ", and " + plain + ", which does the work alone", List.of(workspace.place(core, "the work")));
        new Openings(drafting).openBeside(captures.statics().stream().filter(each -> home.equals(each.getEnclosingElement())).collect(Collectors.toSet()));
        NewFile file = new NewFile(drafting, unit, contract);
        String head = file.head(routine);
        file.write("/** What " + Words.one(simple) + " does, with guards around it or without. */\n" + Drafting.openness(home) + "interface " + contract + " {\n    " + head + ";\n}\n");
        NewFile alone = new NewFile(drafting, unit, plain);
        String moved = new Rewriting(workspace, each -> qualified(workspace, each, home)).of(work);
        String body = core.getLeaf() instanceof VariableTree ? "return " + moved + ";" : moved;
        String text = fields.declared(alone, workspace) + fields.constructor(alone, plain) + "    @Override\n    public " + alone.head(routine) + " {\n        "
                + unit.bare(body, unit.indentAt(workspace.from(core))).replace("\n", "\n        ") + "\n    }\n";
        alone.importing(text).write("/** Does the work of " + Words.one(simple) + " and guards nothing. */\nclass " + plain + " implements " + contract + " {\n" + text + "}\n");

        drafting.script().stage("Let " + simple + " guard one and pass on to it", List.of(workspace.place(path, "keeps its guards")));
        drafting.declarations().implement(workspace.path(home).orElseThrow(), contract);
        String call = field + "." + routine.getSimpleName() + "(" + routine.getParameters().stream().map(VariableElement::getSimpleName).collect(Collectors.joining(", ")) + ")";
        if (core.getLeaf() instanceof VariableTree) {
            drafting.script().replace(unit.file(), workspace.from(work), workspace.to(work), call);
        } else {
            drafting.script().replace(unit.file(), workspace.from(core), workspace.to(core), (core.getLeaf() instanceof ReturnTree ? "return " : "") + call + ";");
        }
        overrides(drafting, path, routine);
        fields.leave(drafting, contract, plain, field);
    }

    private static void refuseForms(Workspace workspace, ExecutableElement routine, TypeElement home) {
        if (home.getKind() != ElementKind.CLASS || routine.getModifiers().contains(Modifier.STATIC) || routine.getModifiers().contains(Modifier.PRIVATE)) {
            throw new Refused(routine.getSimpleName() + "() is " + (home.getKind() != ElementKind.CLASS ? "no routine of a class" : routine.getModifiers().contains(Modifier.STATIC) ? "static" : "private")
                    + ": no interface can have it");
        }
        if (!home.getTypeParameters().isEmpty() || !routine.getTypeParameters().isEmpty() || home.getNestingKind().isNested()) {
            throw new Refused(home.getSimpleName() + (home.getNestingKind().isNested() ? " stands within another type" : " has type parameters"));
        }
        if (!routine.getModifiers().contains(Modifier.PUBLIC) && home.getModifiers().contains(Modifier.PUBLIC)) {
            throw new Refused(routine.getSimpleName() + "() is not public, and the routines of an interface are");
        }
        if (workspace.types().isSubtype(home.asType(), workspace.elements().getTypeElement("java.io.Serializable").asType())) {
            throw new Refused(home.getSimpleName() + " is serialised, and its form would change");
        }
    }

    /** The statement that the guards are for. */
    private static TreePath core(Workspace workspace, TreePath routine, Guarded fact) {
        TreePath body = new TreePath(routine, ((MethodTree) routine.getLeaf()).getBody());
        for (StatementTree each : ((MethodTree) routine.getLeaf()).getBody().getStatements()) {
            TreePath path = new TreePath(body, each);
            if (workspace.unit(path).line(workspace.from(path)) == fact.line()) {
                return path;
            }
        }
        throw new Refused("the work stands within another statement");
    }

    /** What moves: the statement, or the value that is kept in a local. */
    private static TreePath work(Workspace workspace, TreePath core, ExecutableElement routine) {
        boolean gives = routine.getReturnType().getKind() != TypeKind.VOID;
        if (core.getLeaf() instanceof ReturnTree) {
            return core;
        }
        if (core.getLeaf() instanceof VariableTree kept && kept.getInitializer() != null) {
            TreePath value = new TreePath(core, kept.getInitializer());
            if (!workspace.types().isSameType(workspace.element(core).asType(), routine.getReturnType())) {
                throw new Refused("the work gives a " + workspace.element(core).asType() + ", and the routine gives something else");
            }
            return value;
        }
        if (gives || core.getLeaf() instanceof VariableTree) {
            throw new Refused("the work gives nothing, and the routine gives something that it works out besides");
        }
        return core;
    }

    private static void refuseTies(Captures captures, ExecutableElement routine, TypeElement home) {
        captures.read().stream().filter(each -> !routine.getParameters().contains(each)).findFirst().ifPresent(each -> {
            throw new Refused("the work needs " + each.getSimpleName() + ", which the guards work out");
        });
        if (!captures.written().isEmpty() || !captures.leaves().isEmpty() || captures.asksSuper() || captures.namesThis()) {
            throw new Refused(captures.asksSuper() ? "the work asks the parent" : captures.namesThis() ? "the work hands the " + home.getSimpleName() + " on"
                    : "the work sets a local or jumps to what is around it");
        }
        captures.members().stream().filter(each -> each.getKind() != ElementKind.FIELD || !home.equals(each.getEnclosingElement())).findFirst().ifPresent(each -> {
            throw new Refused("the work needs " + each.getSimpleName() + (each.getKind() == ElementKind.METHOD ? "()" : "") + " of " + home.getSimpleName());
        });
    }

    private static void refuseTaken(Workspace workspace, TypeElement home, TreePath routine, String field) {
        boolean taken = home.getEnclosedElements().stream().anyMatch(each -> each.getSimpleName().contentEquals(field))
                || Captures.of(workspace, List.of(routine)).declared().stream().anyMatch(each -> each.getSimpleName().contentEquals(field));
        if (taken) {
            throw new Refused(home.getSimpleName() + " has a " + field + " already; give it another name with --name inner=NAME");
        }
    }

    /** Static members and nested types are named with their type from outside. */
    private static Optional<String> qualified(Workspace workspace, TreePath path, TypeElement home) {
        if (!(path.getLeaf() instanceof IdentifierTree)) {
            return Optional.empty();
        }
        Element element = workspace.element(path);
        boolean own = element != null && home.equals(element.getEnclosingElement()) && (element.getModifiers().contains(Modifier.STATIC) || element.getKind().isClass() || element.getKind().isInterface());
        if (own && !(element instanceof VariableElement || element instanceof ExecutableElement) && element.getModifiers().contains(Modifier.PRIVATE)) {
            throw new Refused("the work names " + element.getSimpleName() + ", which is private to " + home.getSimpleName());
        }
        return own ? Optional.of(home.getSimpleName() + "." + element.getSimpleName()) : Optional.empty();
    }

    private static void overrides(Drafting drafting, TreePath path, ExecutableElement routine) {
        Workspace workspace = drafting.workspace();
        Unit unit = workspace.unit(path);
        int from = workspace.from(path);
        boolean marked = routine.getAnnotation(Override.class) != null;
        String mark = marked ? "" : "@Override" + unit.newLine() + unit.indentAt(from);
        if (routine.getModifiers().contains(Modifier.PUBLIC)) {
            drafting.script().insert(unit.file(), from, mark);
        } else if (routine.getAnnotationMirrors().isEmpty() && !routine.getModifiers().contains(Modifier.PROTECTED)) {
            drafting.script().insert(unit.file(), from, mark + "public ");
        } else {
            throw new Refused(routine.getSimpleName() + "() is not public, and the routines of an interface are");
        }
    }
}
