package driftwood.refactor.java.recipe.routine;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.util.ElementFilter;

/**
 * The fields that work needs which moves out of its type.
 *
 * @param home   the type
 * @param moved  nobody else uses them: they go with the work
 * @param shared never set again: both have them
 */
record GuardedFields(Workspace workspace, TypeElement home, List<VariableElement> moved, List<VariableElement> shared) {

    /** @throws Refused where the work and its guards change one and the same field */
    static GuardedFields of(Workspace workspace, TypeElement home, TreePath core, List<VariableElement> needed) {
        List<VariableElement> moved = new ArrayList<>();
        List<VariableElement> shared = new ArrayList<>();
        for (VariableElement field : needed) {
            if (field.getModifiers().contains(Modifier.VOLATILE) || !field.getAnnotationMirrors().isEmpty()) {
                throw new Refused(field.getSimpleName() + " is " + (field.getAnnotationMirrors().isEmpty() ? "volatile: other threads see it" : "annotated: somebody else may set it"));
            }
            boolean alone = workspace.uses().of(field).stream().allMatch(use -> Uses.isWithin(use, core) || assigned(workspace, home, use) != null);
            if (alone && field.getModifiers().contains(Modifier.PRIVATE)) {
                moved.add(field);
            } else if (field.getModifiers().contains(Modifier.FINAL)) {
                shared.add(field);
            } else {
                throw new Refused("the work and what is around it both use " + field.getSimpleName());
            }
        }
        return new GuardedFields(workspace, home, moved, shared);
    }

    /** The statement at the top of a constructor that gives a field its value; null where the use is another. */
    private static TreePath assigned(Workspace workspace, TypeElement home, TreePath use) {
        TreePath at = use;
        while (at.getParentPath() != null && !(at.getParentPath().getLeaf() instanceof AssignmentTree)) {
            at = at.getParentPath();
        }
        TreePath set = at.getParentPath();
        if (set == null || ((AssignmentTree) set.getLeaf()).getVariable() != at.getLeaf() || !(set.getParentPath().getLeaf() instanceof ExpressionStatementTree)) {
            return null;
        }
        TreePath routine = set.getParentPath().getParentPath().getParentPath();
        boolean constructor = routine.getLeaf() instanceof MethodTree method && method.getReturnType() == null && workspace.element(routine).getEnclosingElement().equals(home);
        return constructor ? set.getParentPath() : null;
    }

    private boolean isInitial(VariableElement field) {
        return ((VariableTree) workspace.path(field).orElseThrow().getLeaf()).getInitializer() != null;
    }

    /** What the new type is handed when it is made. */
    private List<VariableElement> handed() {
        List<VariableElement> handed = new ArrayList<>(moved.stream().filter(each -> !isInitial(each) && workspace.uses().of(each).stream().anyMatch(use -> assigned(workspace, home, use) != null)).toList());
        handed.addAll(shared);
        return handed;
    }

    /** The fields of the new type. */
    String declared(NewFile file, Workspace workspace) {
        StringBuilder text = new StringBuilder();
        for (VariableElement each : moved) {
            TreePath path = workspace.path(each).orElseThrow();
            String initial = "";
            if (isInitial(each)) {
                TreePath value = new TreePath(path, ((VariableTree) path.getLeaf()).getInitializer());
                Captures captures = Captures.of(workspace, List.of(value));
                if (captures.needsObject() || !captures.statics().isEmpty()) {
                    throw new Refused(each.getSimpleName() + " begins with something of " + home.getSimpleName() + "'s own");
                }
                initial = " = " + workspace.text(value);
            }
            boolean kept = each.getModifiers().contains(Modifier.FINAL);
            text.append("    private ").append(kept ? "final " : "").append(file.name(each.asType())).append(' ').append(each.getSimpleName()).append(initial).append(";\n");
        }
        shared.forEach(each -> text.append("    private final ").append(file.name(each.asType())).append(' ').append(each.getSimpleName()).append(";\n"));
        return text.isEmpty() ? "" : text.append('\n').toString();
    }

    /** The constructor of the new type; empty where it is handed nothing. */
    String constructor(NewFile file, String name) {
        if (handed().isEmpty()) {
            return "";
        }
        return "    " + name + "(" + handed().stream().map(each -> file.name(each.asType()) + " " + each.getSimpleName()).collect(Collectors.joining(", ")) + ") {\n"
                + handed().stream().map(each -> "        this." + each.getSimpleName() + " = " + each.getSimpleName() + ";\n").collect(Collectors.joining()) + "    }\n\n";
    }

    /** Lets the old type have one of the new, and no longer what went with the work. */
    void leave(Drafting drafting, String contract, String plain, String field) {
        TreePath type = workspace.path(home).orElseThrow();
        moved.forEach(each -> drafting.declarations().remove(workspace.path(each).orElseThrow()));
        if (handed().stream().allMatch(this::isInitial)) {
            String arguments = handed().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", "));
            drafting.declarations().add(type, "private final " + contract + " " + field + " = new " + plain + "(" + arguments + ");", Where.FIELDS);
            return;
        }
        drafting.declarations().add(type, "private final " + contract + " " + field + ";", Where.FIELDS);
        for (ExecutableElement each : ElementFilter.constructorsIn(home.getEnclosedElements())) {
            TreePath constructor = workspace.path(each).orElseThrow();
            if (!Constructors.isHandingOn(constructor)) {
                create(drafting, constructor, plain, field);
            }
        }
    }

    /** Where the last of what it is handed gets its value, one of the new type is made. */
    private void create(Drafting drafting, TreePath constructor, String plain, String field) {
        Unit unit = workspace.unit(constructor);
        TreeMap<Integer, TreePath> statements = new TreeMap<>();
        List<String> arguments = new ArrayList<>();
        for (VariableElement each : handed()) {
            List<TreePath> here = workspace.uses().of(each, constructor).stream().map(use -> assigned(workspace, home, use)).filter(Objects::nonNull).toList();
            if (isInitial(each)) {
                arguments.add(each.getSimpleName().toString());
                continue;
            }
            if (here.size() != 1) {
                throw new Refused("a constructor does not set " + each.getSimpleName() + " exactly once");
            }
            TreePath set = new TreePath(here.get(0), ((ExpressionStatementTree) here.get(0).getLeaf()).getExpression());
            TreePath value = new TreePath(set, ((AssignmentTree) set.getLeaf()).getExpression());
            arguments.add(moved.contains(each) ? workspace.text(value) : "this." + each.getSimpleName());
            statements.put(workspace.from(here.get(0)), here.get(0));
            boolean plainValue = value.getLeaf() instanceof IdentifierTree || value.getLeaf() instanceof LiteralTree;
            if (handed().size() > 1 && !plainValue) {
                throw new Refused("a constructor works " + each.getSimpleName() + " out, and the order would change");
            }
        }
        TreePath last = statements.lastEntry().getValue();
        String made = "this." + field + " = new " + plain + "(" + String.join(", ", arguments) + ");";
        for (TreePath each : statements.values()) {
            boolean goes = moved.stream().anyMatch(one -> workspace.uses().of(one, each).stream().anyMatch(use -> assigned(workspace, home, use) != null));
            if (each == last) {
                String kept = goes ? "" : workspace.text(each) + unit.newLine() + unit.indentAt(workspace.from(each));
                drafting.script().replace(unit.file(), workspace.from(each), workspace.to(each), kept + made);
            } else if (goes) {
                drafting.script().replace(unit.file(), unit.lineStart(workspace.from(each)), unit.lineEnd(workspace.to(each)), "");
            }
        }
    }
}
