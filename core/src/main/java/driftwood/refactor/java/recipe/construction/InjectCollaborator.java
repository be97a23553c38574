package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Injection;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Creating;
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

/** dependency-injection: the constructor takes the collaborator; the constructor as it was hands over what was created. */
public final class InjectCollaborator implements Recipe {

    @Override
    public String pattern() {
        return "dependency-injection";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Creating;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Creating) finding.detail()).client()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Creating fact = (Creating) drafting.finding().detail();
        Workspace workspace = drafting.workspace();
        TypeElement client = workspace.type(fact.client());
        if (client.getKind() != ElementKind.CLASS) {
            throw new Refused(client.getSimpleName() + " is no class");
        }
        List<TreePath> creations = RoutineCreations.anywhere(workspace, client, Symbol.of(fact.collaborator()).simpleType());
        if (creations.isEmpty()) {
            throw new Refused("the creation of a " + Symbol.of(fact.collaborator()).simpleType() + " is not found in " + client.getSimpleName());
        }
        Set<Element> fields = new LinkedHashSet<>();
        creations.forEach(each -> fields.add(fieldOf(workspace, each)));
        if (fields.size() == 1 && !fields.contains(null)) {
            intoField(drafting, client, (VariableElement) fields.iterator().next(), creations);
        } else if (fields.size() == 1) {
            bySource(drafting, client, creations);
        } else {
            throw new Refused("it is created for several fields or both for a field and within routines");
        }
    }

    /** The field that a creation is for: by its initialiser, or by an assignment in a constructor; null where there is none. */
    private static Element fieldOf(Workspace workspace, TreePath creation) {
        TreePath parent = creation.getParentPath();
        Element element = parent.getLeaf() instanceof VariableTree ? workspace.element(parent)
                : parent.getLeaf() instanceof AssignmentTree set ? workspace.element(new TreePath(parent, set.getVariable())) : null;
        boolean field = element != null && element.getKind() == ElementKind.FIELD && !element.getModifiers().contains(Modifier.STATIC);
        TreePath around = parent;
        while (field && parent.getLeaf() instanceof AssignmentTree && !(around.getLeaf() instanceof MethodTree)) {
            around = around.getParentPath();
        }
        boolean constructed = parent.getLeaf() instanceof VariableTree || around.getLeaf() instanceof MethodTree method && method.getReturnType() == null
                && parent.getParentPath().getLeaf() instanceof ExpressionStatementTree && parent.getParentPath().getParentPath().getParentPath().getLeaf() == method;
        return field && constructed ? element : null;
    }

    private static void intoField(Drafting drafting, TypeElement client, VariableElement field, List<TreePath> creations) {
        Workspace workspace = drafting.workspace();
        Unit unit = workspace.unit(workspace.path(client).orElseThrow());
        String name = field.getSimpleName().toString();
        String type = drafting.imports().name(field.asType(), unit);
        Injection injection = new Injection(drafting, client);
        drafting.script().stage("Let " + client.getSimpleName() + " be given its " + name + ", and create it only where nobody does", creations.stream().map(each -> workspace.place(each, "is handed over")).toList());
        TreePath initial = creations.stream().filter(each -> each.getParentPath().getLeaf() instanceof VariableTree).findFirst().orElse(null);
        if (initial != null) {
            if (creations.size() > 1) {
                throw new Refused(name + " is created twice");
            }
            refuseOwn(workspace, initial, Set.of());
            String created = drafting.script().text(unit.file(), workspace.from(initial), workspace.to(initial));
            int from = workspace.from(initial);
            int end = unit.text().lastIndexOf('=', from);
            drafting.script().replace(unit.file(), unit.text().substring(0, end).stripTrailing().length(), workspace.to(initial), "");
            injection.inject(type, name, "this." + name + " = " + name + ";", each -> created, path -> Optional.empty());
            return;
        }
        Map<ExecutableElement, EarlyCreation> early = new LinkedHashMap<>();
        for (ExecutableElement each : ElementFilter.constructorsIn(client.getEnclosedElements())) {
            workspace.written(each).flatMap(path -> creations.stream().filter(creation -> Uses.isWithin(creation, path)).findFirst())
                    .ifPresent(creation -> early.put(each, EarlyCreation.of(workspace, each, creation)));
        }
        injection.inject(type, name, "", constructor -> {
            if (!early.containsKey(constructor)) {
                throw new Refused("one constructor does not create it");
            }
            return early.get(constructor).text();
        }, path -> early.values().stream().anyMatch(each -> each.isForIt(path)) ? Optional.of(Injection.GONE)
                : creations.stream().anyMatch(each -> each.getLeaf() == path.getLeaf()) ? Optional.of(name)
                : path.getLeaf() instanceof IdentifierTree && field.equals(workspace.element(path)) ? Optional.of("this." + name) : Optional.empty());
    }

    private static void refuseOwn(Workspace workspace, TreePath creation, Set<VariableElement> allowed) {
        Captures captures = Captures.of(workspace, List.of(creation));
        if (captures.needsObject() || !allowed.containsAll(captures.read())) {
            throw new Refused("what is created needs the object or locals around it: " + workspace.text(creation));
        }
    }

    /** Created in routines, each time anew: they are given a source of it. */
    private static void bySource(Drafting drafting, TypeElement client, List<TreePath> creations) {
        Workspace workspace = drafting.workspace();
        Unit unit = workspace.unit(workspace.path(client).orElseThrow());
        String first = workspace.text(creations.get(0));
        for (TreePath each : creations) {
            ExecutableElement made = (ExecutableElement) workspace.element(each);
            if (!made.getThrownTypes().isEmpty()) {
                throw new Refused("its constructor throws " + made.getThrownTypes().get(0));
            }
            TreePath around = each;
            while (!(around.getLeaf() instanceof MethodTree) && !around.getLeaf().equals(workspace.path(client).orElseThrow().getLeaf())) {
                around = around.getParentPath();
            }
            if (!(around.getLeaf() instanceof MethodTree) || workspace.element(around).getModifiers().contains(Modifier.STATIC)) {
                throw new Refused("a static routine has no object that could be given it");
            }
            if (((MethodTree) around.getLeaf()).getReturnType() == null) {
                throw new Refused("the constructor creates it for a moment only");
            }
            refuseOwn(workspace, each, Set.of());
            if (!workspace.text(each).equals(first)) {
                throw new Refused("it is created in different ways: " + first + " and " + workspace.text(each));
            }
        }
        TypeElement made = (TypeElement) workspace.element(creations.get(0)).getEnclosingElement();
        String simple = made.getSimpleName().toString();
        String name = drafting.name("source", Words.lower(simple) + "Source");
        if (ElementFilter.fieldsIn(client.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(name))) {
            throw new Refused(client.getSimpleName() + " has a " + name + " already");
        }
        drafting.script().stage("Let " + client.getSimpleName() + " be given a source of " + simple + ", and use its own only where nobody does", creations.stream().map(each -> workspace.place(each, "asks the source")).toList());
        String type = drafting.imports().platform("java.util.function.Supplier", unit) + "<" + drafting.imports().name(made, unit) + ">";
        drafting.declarations().add(workspace.path(client).orElseThrow(), "private final " + type + " " + name + ";", Where.FIELDS);
        boolean bare = ((NewClassTree) creations.get(0).getLeaf()).getArguments().isEmpty();
        String given = bare ? workspace.text(new TreePath(creations.get(0), ((NewClassTree) creations.get(0).getLeaf()).getIdentifier())) + "::new" : "() -> " + first;
        creations.forEach(each -> drafting.script().replace(unit.file(), workspace.from(each), workspace.to(each), name + ".get()"));
        new Injection(drafting, client).inject(type, name, "this." + name + " = " + name + ";", each -> given, path -> Optional.empty());
    }
}
