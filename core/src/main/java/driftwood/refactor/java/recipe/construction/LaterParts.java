package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.TypeFacts.Unfinished;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/** A type whose parts are set after it is created: its one constructor, the setters, and the places where that is done. */
final class LaterParts {
    private final Drafting drafting;
    private final Workspace workspace;
    final TypeElement type;
    final TreePath home;
    final Unit unit;
    final ExecutableElement constructor;
    /** The fields that what all need is stored in, by their setters. */
    final Map<ExecutableElement, VariableElement> needed = new LinkedHashMap<>();

    /**
     * A place where an object is created and its parts are set right after.
     *
     * @param setting statements that set what all need
     * @param values  by setter, as they stand there
     * @param mixed   whether statements that set other parts stand between those
     */
    record Site(TreePath creation, List<TreePath> setting, Map<ExecutableElement, TreePath> values, boolean mixed) {
    }

    LaterParts(Drafting drafting, Unfinished fact) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.type = workspace.type(fact.type());
        this.home = workspace.path(type).orElseThrow();
        this.unit = workspace.unit(home);
        if (type.getModifiers().contains(Modifier.ABSTRACT) || !new Calls(workspace).below(type).isEmpty()) {
            throw new Refused(type.getSimpleName() + " is abstract or has subclasses, whose constructors call its own");
        }
        for (String each : fact.setters()) {
            ExecutableElement setter = setters().stream().filter(one -> one.getSimpleName().contentEquals(bare(each))).findFirst()
                    .orElseThrow(() -> new Refused(bare(each) + " is no routine of " + type.getSimpleName() + " that takes one value"));
            needed.put(setter, field(setter).orElseThrow(() -> new Refused(setter.getSimpleName() + "() does more than store its value")));
        }
        List<ExecutableElement> constructors = ElementFilter.constructorsIn(type.getEnclosedElements());
        if (constructors.size() != 1) {
            throw new Refused(type.getSimpleName() + " has " + constructors.size() + " constructors");
        }
        this.constructor = constructors.get(0);
        if (constructor.isVarArgs()) {
            throw new Refused("its constructor takes any number of arguments");
        }
    }

    static Set<String> words(Unfinished fact) {
        Set<String> words = new LinkedHashSet<>(List.of(Symbol.of(fact.type()).simpleType()));
        fact.setters().forEach(each -> words.add(bare(each)));
        return words;
    }

    private static String bare(String setter) {
        return setter.replaceAll("\\(.*", "").replaceAll(".*\\.", "");
    }

    private List<ExecutableElement> setters() {
        return ElementFilter.methodsIn(type.getEnclosedElements()).stream().filter(each -> each.getParameters().size() == 1).toList();
    }

    /** The field that a setter stores its value in; empty where anything else is done by it. */
    Optional<VariableElement> field(ExecutableElement setter) {
        TreePath path = workspace.path(setter).orElse(null);
        if (path != null && path.getLeaf() instanceof MethodTree tree && tree.getBody() != null && setter.getParameters().size() == 1
                && tree.getBody().getStatements().size() == 1 && tree.getBody().getStatements().get(0) instanceof ExpressionStatementTree only
                && only.getExpression() instanceof AssignmentTree set) {
            TreePath assignment = new TreePath(new TreePath(new TreePath(path, tree.getBody()), only), set);
            Element field = workspace.element(new TreePath(assignment, set.getVariable()));
            boolean plain = setter.getParameters().get(0).equals(workspace.element(new TreePath(assignment, set.getExpression())));
            if (plain && field instanceof VariableElement found && field.getKind() == ElementKind.FIELD && field.getEnclosingElement().equals(type)) {
                return Optional.of(found);
            }
        }
        return Optional.empty();
    }

    boolean isWritten() {
        return workspace.written(constructor).isPresent();
    }

    /** Whether the one constructor is written, takes nothing and does nothing: another takes its place. */
    boolean isEmpty() {
        Optional<TreePath> path = workspace.written(constructor);
        return constructor.getParameters().isEmpty() && path.isPresent() && path.get().getLeaf() instanceof MethodTree tree
                && workspace.text(new TreePath(path.get(), tree.getBody())).replaceAll("\\s", "").equals("{}") && Comments.before(workspace, path.get()).isBlank();
    }

    /** All places that create one. @param more whether setters that only some call are gathered as well */
    List<Site> sites(boolean more) {
        return new Calls(workspace).of(Set.of(constructor)).stream().map(each -> site(each, more)).toList();
    }

    private Site site(Call call, boolean more) {
        TreePath declared = call.path().getParentPath();
        String where = " at " + workspace.unit(call.path()).file() + ":" + workspace.unit(call.path()).line(workspace.from(call.path()));
        if (!(declared.getLeaf() instanceof VariableTree) || !(declared.getParentPath().getLeaf() instanceof BlockTree block) || ((NewClassTree) call.path().getLeaf()).getClassBody() != null) {
            throw new Refused("it is created" + where + " without its parts being set right after");
        }
        Element local = workspace.element(declared);
        Map<ExecutableElement, TreePath> values = new LinkedHashMap<>();
        List<TreePath> setting = new ArrayList<>();
        boolean passed = false;
        boolean mixed = false;
        int at = block.getStatements().indexOf(declared.getLeaf()) + 1;
        while (at < block.getStatements().size()) {
            StatementTree each = block.getStatements().get(at);
            TreePath statement = new TreePath(declared.getParentPath(), each);
            if (!(each instanceof ExpressionStatementTree evaluate) || !(evaluate.getExpression() instanceof MethodInvocationTree invoked) || invoked.getArguments().size() != 1) {
                break;
            }
            TreePath invocation = new TreePath(statement, invoked);
            Element called = workspace.element(new TreePath(invocation, invoked.getMethodSelect()));
            TreePath value = new TreePath(invocation, invoked.getArguments().get(0));
            boolean own = workspace.uses().of(local, statement).size() == 1 && workspace.text(new TreePath(invocation, invoked.getMethodSelect())).startsWith(local.getSimpleName() + ".");
            if (!own || !(called instanceof ExecutableElement setter) || values.containsKey(setter)
                    || !needed.containsKey(setter) && !(setters().contains(setter) && field(setter).isPresent())) {
                break;
            }
            at++;
            if (!needed.containsKey(setter) && !more) {
                // Another part, of which nothing depends on when it is set.
                if (Purity.mayAct(value)) {
                    break;
                }
                passed = true;
                continue;
            }
            mixed |= passed;
            values.put(setter, value);
            setting.add(statement);
        }
        if (!values.keySet().containsAll(needed.keySet())) {
            throw new Refused("not all of its parts are set right after it is created" + where);
        }
        return new Site(call.path(), setting, values, mixed);
    }

    /** The value of a setter at a place, with all that is changed in it meanwhile. */
    String value(Site site, ExecutableElement setter) {
        Unit file = workspace.unit(site.creation());
        return drafting.script().text(file.file(), workspace.from(site.values().get(setter)), workspace.to(site.values().get(setter)));
    }

    /** Takes the statements away that set its parts. */
    void unset(Site site) {
        Unit file = workspace.unit(site.creation());
        if (site.mixed()) {
            site.setting().forEach(each -> unset(file, workspace.from(each), workspace.to(each)));
            return;
        }
        TreePath last = site.setting().get(site.setting().size() - 1);
        int from = file.lineEnd(workspace.to(site.creation()));
        boolean alone = file.text().substring(workspace.to(site.creation()), from).strip().equals(";");
        drafting.script().replace(file.file(), alone ? from : workspace.to(site.creation().getParentPath()), alone ? file.lineEnd(workspace.to(last)) : workspace.to(last), "");
    }

    private void unset(Unit file, int from, int to) {
        boolean alone = file.text().substring(file.lineStart(from), from).isBlank() && file.text().substring(to, file.lineEnd(to)).isBlank();
        drafting.script().replace(file.file(), alone ? file.lineStart(from) : from, alone ? file.lineEnd(to) : to, "");
    }

    /** Setters that nobody calls any more go. @param some that were called at the places */
    void removeSetters(Set<ExecutableElement> some, List<Site> sites) {
        List<ExecutableElement> going = some.stream().filter(each -> workspace.uses().of(each).size() == sites.stream().filter(site -> site.values().containsKey(each)).count()
                && new Calls(workspace).family(each).size() == 1).toList();
        drafting.script().stage("Remove the setters that nobody calls any more", going.stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "goes")).toList());
        going.forEach(each -> {
            drafting.changes(each);
            drafting.declarations().remove(workspace.path(each).orElseThrow());
        });
    }

    /** Nobody makes a half-built one any more. @param replaced whether another constructor stands in its place: it goes where it does nothing */
    void close(boolean replaced) {
        boolean goes = replaced && isEmpty();
        drafting.script().stage((goes ? "Remove" : "Close") + " the constructor that leaves it half built", List.of(workspace.place(workspace.path(constructor).orElseThrow(), goes ? "goes" : "private")));
        drafting.changes(constructor);
        drafting.closes(constructor);
        if (goes) {
            drafting.declarations().remove(workspace.path(constructor).orElseThrow());
            return;
        }
        Constructors.close(drafting, workspace.path(constructor).orElseThrow());
    }
}
