package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
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
import javax.lang.model.util.ElementFilter;

/** A class whose constructors take what its code created, and hand it on to what it creates. */
final class TakenAtTheStart {
    private final Drafting drafting;
    private final Workspace workspace;
    private final TypeElement user;
    private final TreePath home;
    private final Unit unit;
    private final Assembly assembly;
    private final List<Call> sites;
    private final String name;
    private final String created;
    /** Constructors as they were, which hand over one of their own as long as nobody does; as they stand in the file. */
    private final List<String> own = new ArrayList<>();
    /** Fields that begin with it or with what is handed it, and what they are given by the constructors now. */
    private final Map<TreePath, String> begun = new LinkedHashMap<>();

    /** @param created how one is made, as written in the user's file */
    TakenAtTheStart(Drafting drafting, TypeElement user, Assembly assembly, String created) {
        this.created = created;
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.user = user;
        this.home = workspace.path(user).orElseThrow();
        this.unit = workspace.unit(home);
        this.assembly = assembly;
        this.sites = assembly.within(user);
        this.name = sites.stream().filter(assembly::isSole).map(this::holder).filter(each -> each != null).findFirst()
                .map(each -> each.getSimpleName().toString()).orElseGet(assembly::name);
    }

    /** The field that a creation is for, as its beginning or given in a constructor; null where it is for none. */
    private Element holder(Call site) {
        TreePath parent = site.path().getParentPath();
        if (!Assembly.isWhole(site.path())) {
            return null;
        }
        Element held = parent.getLeaf() instanceof AssignmentTree set ? workspace.element(new TreePath(parent, set.getVariable())) : workspace.element(parent);
        return held != null && held.getKind() == ElementKind.FIELD && held.getEnclosingElement().equals(user) && (parent.getLeaf() instanceof VariableTree || isInConstructor(site)) ? held : null;
    }

    private boolean isInConstructor(Call site) {
        return around(site.path(), MethodTree.class).filter(each -> ((MethodTree) each.getLeaf()).getReturnType() == null).isPresent();
    }

    /** The nearest tree of a kind around, below the class. */
    private Optional<TreePath> around(TreePath path, Class<?> kind) {
        for (TreePath at = path; at.getLeaf() != home.getLeaf(); at = at.getParentPath()) {
            if (kind.isInstance(at.getLeaf()) && at.getParentPath().getLeaf() == home.getLeaf()) {
                return Optional.of(at);
            }
        }
        return Optional.empty();
    }

    void write() {
        boolean kept = false;
        for (Call each : sites) {
            Optional<TreePath> field = around(each.path(), VariableTree.class);
            if (field.isPresent()) {
                begun.put(field.get(), "");
            } else if (!isInConstructor(each)) {
                kept = true;
                // One for each object in the place of one for each call.
                drafting.script().meant();
                TreePath routine = around(each.path(), MethodTree.class).orElseThrow(() -> new Refused("a block of " + user.getSimpleName() + " creates it"));
                if (!assembly.free(name, routine).equals(name)) {
                    throw new Refused(Constructors.told((ExecutableElement) workspace.element(routine)) + " has a " + name + " of its own");
                }
            }
        }
        boolean held = sites.stream().filter(assembly::isSole).map(this::holder).anyMatch(each -> each != null && each.getSimpleName().contentEquals(name));
        boolean added = kept && !held;
        if (added || !held) {
            if (ElementFilter.fieldsIn(user.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(name))) {
                throw new Refused(user.getSimpleName() + " has a " + name + " already");
            }
        }
        Set<Call> moved = new LinkedHashSet<>();
        begun.replaceAll((field, text) -> begin(field, moved));
        sites.stream().filter(each -> !moved.contains(each)).forEach(each -> inPlace(each));
        sites.stream().map(this::holder).filter(each -> each != null && each.getSimpleName().contentEquals(name)).findFirst().ifPresent(this::tellApart);
        if (added) {
            drafting.declarations().add(home, "private final " + type() + " " + name + ";", Where.FIELDS);
        }
        List<String> first = new ArrayList<>();
        if (added) {
            first.add("this." + name + " = " + name + ";");
        }
        begun.forEach((field, text) -> first.add("this." + ((VariableTree) field.getLeaf()).getName() + " = " + text + ";"));
        constructors(first);
    }

    /** In the constructors, its bare name means the parameter from now on. */
    private void tellApart(Element field) {
        for (TreePath use : workspace.uses().of(field, home)) {
            boolean constructing = around(use, MethodTree.class).filter(each -> ((MethodTree) each.getLeaf()).getReturnType() == null).isPresent();
            if (constructing && use.getLeaf() instanceof IdentifierTree) {
                drafting.script().insert(unit.file(), workspace.from(use), "this.");
            }
        }
    }

    private String type() {
        return drafting.imports().name(assembly.thing(), unit);
    }

    /** Takes a field's beginning away. @return what the constructors give it */
    private String begin(TreePath field, Set<Call> moved) {
        VariableTree tree = (VariableTree) field.getLeaf();
        TreePath value = new TreePath(field, tree.getInitializer());
        List<Call> inside = sites.stream().filter(each -> Uses.isWithin(each.path(), field)).toList();
        moved.addAll(inside);
        String text = new Rewriting(workspace, path -> inside.stream().filter(each -> each.path().getLeaf() == path.getLeaf()).findFirst().map(this::text)).of(value);
        int equals = unit.text().lastIndexOf('=', workspace.from(value));
        drafting.script().replace(unit.file(), unit.text().substring(0, equals).stripTrailing().length(), workspace.to(value), "");
        return unit.bare(text, unit.indentAt(workspace.from(field)));
    }

    private String text(Call site) {
        if (assembly.isSole(site)) {
            return name;
        }
        String text = workspace.text(site.path());
        return text.substring(0, text.length() - 1) + (site.arguments().isEmpty() ? "" : ", ") + name + ")";
    }

    private void inPlace(Call site) {
        if (assembly.isSole(site)) {
            drafting.script().replace(unit.file(), workspace.from(site.path()), workspace.to(site.path()), name);
        } else {
            if (!InstancePassedIn.isPlain(site)) {
                throw new Refused("an anonymous class descends from " + workspace.text(site.name()));
            }
            drafting.script().insert(unit.file(), workspace.to(site.path()) - 1, (site.arguments().isEmpty() ? "" : ", ") + name);
        }
    }

    private void constructors(List<String> first) {
        List<ExecutableElement> written = ElementFilter.constructorsIn(user.getEnclosedElements()).stream().filter(each -> workspace.written(each).isPresent()).toList();
        if (written.isEmpty()) {
            String open = user.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
            String made = open + user.getSimpleName() + "() {\n    this(" + created + ");\n}\n\n";
            own.add(unit.styled(made, unit.indentAt(workspace.from(home)) + unit.indent()));
            drafting.declarations().add(home, made + open + user.getSimpleName() + "(" + type() + " " + name + ") {\n    " + String.join("\n    ", first) + "\n}", Where.CONSTRUCTORS);
            return;
        }
        for (ExecutableElement each : written) {
            Constructors.refuseAnnotated(each);
            if (each.isVarArgs() || each.getParameters().stream().anyMatch(parameter -> parameter.getSimpleName().contentEquals(name))) {
                throw new Refused(Constructors.told(each) + (each.isVarArgs() ? " takes any number of arguments" : " has a parameter " + name + " already"));
            }
            drafting.changes(each);
            extend(workspace.path(each).orElseThrow(), first);
        }
    }

    /** Beside the new one stands the constructor as it was. */
    private void keep(TreePath constructor, MethodTree tree, TreePath body) {
        String indent = unit.indentAt(workspace.from(constructor));
        List<String> arguments = new ArrayList<>(tree.getParameters().stream().map(each -> each.getName().toString()).toList());
        arguments.add(created);
        String head = unit.bare(unit.text().substring(workspace.from(constructor), workspace.from(body)), indent);
        String text = unit.newLine() + unit.styled(head + "{\n    this(" + String.join(", ", arguments) + ");\n}", indent) + unit.newLine();
        own.add(text);
        drafting.script().insert(unit.file(), unit.lineEnd(workspace.to(constructor)), text);
    }

    /** A text of the file without the constructors that made their own. */
    String closed(String text) {
        String left = text;
        for (String each : own) {
            left = left.replace(each, "");
        }
        return left;
    }

    Unit unit() {
        return unit;
    }

    private void extend(TreePath constructor, List<String> first) {
        MethodTree tree = (MethodTree) constructor.getLeaf();
        TreePath body = new TreePath(constructor, tree.getBody());
        keep(constructor, tree, body);
        int behind = tree.getParameters().isEmpty() ? unit.text().indexOf('(', workspace.from(constructor))
                : workspace.to(new TreePath(constructor, tree.getParameters().get(tree.getParameters().size() - 1)));
        drafting.script().insert(unit.file(), unit.text().indexOf(')', behind), (tree.getParameters().isEmpty() ? "" : ", ") + type() + " " + name);
        if (Constructors.isHandingOn(constructor)) {
            Call chained = new Calls(workspace).of(new LinkedHashSet<>(ElementFilter.constructorsIn(user.getEnclosedElements()))).stream()
                    .filter(each -> each.isChained() && Uses.isWithin(each.path(), constructor)).findFirst().orElseThrow();
            drafting.script().insert(unit.file(), workspace.to(chained.path()) - 1, (chained.arguments().isEmpty() ? "" : ", ") + name);
            return;
        }
        if (first.isEmpty()) {
            return;
        }
        String inner = unit.indentAt(workspace.from(constructor)) + unit.indent();
        List<? extends StatementTree> statements = tree.getBody().getStatements();
        boolean parent = !statements.isEmpty() && statements.get(0) instanceof ExpressionStatementTree one && one.toString().startsWith("super(")
                && workspace.to(new TreePath(body, one)) > workspace.from(new TreePath(body, one)) && workspace.text(new TreePath(body, one)).startsWith("super");
        int at = parent ? workspace.to(new TreePath(body, statements.get(0))) : workspace.from(body) + 1;
        StringBuilder lines = new StringBuilder();
        first.forEach(each -> lines.append(unit.newLine()).append(unit.styled(each, inner)));
        boolean oneLine = unit.text().indexOf('\n', at) < 0 || unit.text().indexOf('\n', at) >= workspace.to(body);
        String rest = unit.text().substring(at, workspace.to(body) - 1).strip();
        if (oneLine) {
            drafting.script().replace(unit.file(), at, workspace.to(body) - 1, lines + (rest.isEmpty() ? "" : unit.newLine() + inner + rest) + unit.newLine() + unit.indentAt(workspace.from(constructor)));
        } else {
            drafting.script().insert(unit.file(), at, lines.toString());
        }
    }

}
