package driftwood.refactor.java.recipe.twin;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
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
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** What one of several twins has for itself: routines that each has in its own way, and what only they use. */
final class OwnPart {
    private final Workspace workspace;
    private final Alike alike;
    private final TypeElement twin;
    private final Unit unit;
    private final List<TreePath> hooks = new ArrayList<>();
    private final List<TreePath> others = new ArrayList<>();
    private final Moving moving;
    /** The bodies of the routines, as they stand in a class of their own. */
    private final Map<TreePath, String> bodies = new LinkedHashMap<>();

    /** @param context by which name the object around is handed over, where it is needed */
    OwnPart(Drafting drafting, Alike alike, TypeElement twin, String context) {
        this.workspace = drafting.workspace();
        this.alike = alike;
        this.twin = twin;
        this.unit = workspace.unit(workspace.path(twin).orElseThrow());
        alike.members().get(twin).forEach((key, member) -> {
            if (!alike.shared().contains(key)) {
                (isHook(member) ? hooks : others).add(member);
            }
        });
        hooks.sort((a, b) -> ((MethodTree) a.getLeaf()).getName().toString().compareTo(((MethodTree) b.getLeaf()).getName().toString()));
        this.moving = new Moving(drafting, twin, unit, context, "");
        Set<Element> own = new LinkedHashSet<>();
        others.forEach(each -> own.add(workspace.element(each)));
        for (TreePath each : hooks) {
            TreePath body = new TreePath(each, ((MethodTree) each.getLeaf()).getBody());
            String text = new Rewriting(workspace, path -> own.contains(workspace.element(path)) || workspace.element(path) instanceof TypeElement ? Optional.empty() : moving.apply(path)).of(body);
            bodies.put(each, unit.bare(text, unit.indentAt(workspace.from(each))));
        }
    }

    private boolean isHook(TreePath member) {
        return member.getLeaf() instanceof MethodTree method && method.getReturnType() != null && method.getBody() != null
                && alike.twins().stream().allMatch(each -> alike.members().get(each).values().stream().anyMatch(one -> one.getLeaf() instanceof MethodTree other && Alike.isSameHead(method, other)));
    }

    /** @throws Refused where something of its own cannot stand apart */
    void refuse() {
        for (TreePath each : hooks) {
            if (workspace.element(each).getModifiers().contains(Modifier.STATIC)) {
                throw new Refused(workspace.element(each).getSimpleName() + "() is static, and no object can do it in its own way");
            }
        }
        for (TreePath each : others) {
            Element member = workspace.element(each);
            if (!member.getModifiers().contains(Modifier.PRIVATE)) {
                throw new Refused(twin.getSimpleName() + " has a member of its own that others see: " + member.getSimpleName());
            }
            boolean set = each.getLeaf() instanceof VariableTree field && field.getInitializer() == null;
            boolean elsewhere = workspace.uses().of(member).stream().anyMatch(use -> hooks.stream().noneMatch(hook -> Uses.isWithin(use, hook)) && others.stream().noneMatch(other -> Uses.isWithin(use, other)));
            if (set || elsewhere) {
                throw new Refused("what they share uses " + member.getSimpleName() + " of " + twin.getSimpleName() + ", which is its own");
            }
            if (each.getLeaf() instanceof MethodTree && !member.getModifiers().contains(Modifier.STATIC) && alike.members().get(twin).values().stream().filter(one -> !others.contains(one))
                    .map(workspace::element).anyMatch(one -> one != null && !workspace.uses().of(one, each).isEmpty())) {
                throw new Refused(member.getSimpleName() + "() of " + twin.getSimpleName() + " needs the object around");
            }
        }
    }

    /** Routines that all twins have, each in its own way; in the order of their names. */
    List<TreePath> hooks() {
        return hooks;
    }

    /** Whether it needs the object around. */
    boolean asks() {
        return !moving.needed().isEmpty();
    }

    /** Whether it needs a member of the object around. */
    boolean needs(String member) {
        return moving.needed().stream().anyMatch(each -> each.getSimpleName().contentEquals(member));
    }

    /** A routine as an object of its own has it, up to its body. @param taken a parameter before all others; empty for none */
    String head(TreePath hook, String taken) {
        MethodTree method = (MethodTree) hook.getLeaf();
        List<String> parameters = new ArrayList<>(taken.isEmpty() ? List.of() : List.of(taken));
        method.getParameters().forEach(each -> parameters.add(workspace.text(new TreePath(hook, each))));
        String thrown = method.getThrows().isEmpty() ? "" : " throws " + method.getThrows().stream().map(Object::toString).collect(Collectors.joining(", "));
        return workspace.text(new TreePath(hook, method.getReturnType())) + " " + method.getName() + "(" + String.join(", ", parameters) + ")" + thrown;
    }

    /** What the class is called, from what the twin's name has before or behind what all have. */
    String name(String strategy, String common) {
        String word = twin.getSimpleName().toString().replace(common, "");
        return (word.isEmpty() ? "Own" : word) + strategy;
    }

    /** The class. @param taken as for {@link #head} */
    String code(String name, String strategy, String taken) {
        StringBuilder code = new StringBuilder("private static final class " + name + " implements " + strategy + " {\n");
        String between = "";
        for (TreePath each : others) {
            Tree leaf = each.getLeaf();
            code.append(leaf instanceof VariableTree ? "" : between).append("    ").append(Code.deeper(unit.bare(Comments.before(workspace, each) + workspace.text(each), unit.indentAt(workspace.from(each))))).append("\n");
            between = "\n";
        }
        for (TreePath each : hooks) {
            code.append(between).append("    ").append(Code.deeper("@Override\npublic " + head(each, taken) + " " + bodies.get(each))).append("\n");
            between = "\n";
        }
        return code.append("}").toString();
    }
}
