package driftwood.refactor.java.ground;

import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/** Members that code needs where it goes, opened as far as it takes and no further. */
public final class Openings {
    private final Drafting drafting;
    private final Workspace workspace;

    public Openings(Drafting drafting) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
    }

    /**
     * Lets a type reach members of another.
     *
     * @throws Refused where they are in different packages and a member is not public
     */
    public void open(Set<Element> members, TypeElement from, TypeElement to) {
        boolean near = workspace.elements().getPackageOf(from).equals(workspace.elements().getPackageOf(to));
        for (Element each : members) {
            Set<Modifier> modifiers = each.getModifiers();
            if (Workspace.outermost(each).equals(Workspace.outermost(to)) || modifiers.contains(Modifier.PUBLIC)) {
                continue;
            }
            if (!near) {
                throw new Refused(each.getSimpleName() + " of " + each.getEnclosingElement().getSimpleName() + " is not public, and " + to.getSimpleName() + " is in another package");
            }
            if (modifiers.contains(Modifier.PRIVATE)) {
                widen(each);
            }
        }
    }

    /** Lets a new type of the same package reach members. */
    public void openBeside(Set<Element> members) {
        members.stream().filter(each -> each.getModifiers().contains(Modifier.PRIVATE)).forEach(this::widen);
    }

    private void widen(Element member) {
        if (!drafting.opens(member)) {
            return;
        }
        TypeElement owner = Workspace.typeAround(member);
        if (member instanceof ExecutableElement routine && !member.getModifiers().contains(Modifier.STATIC) && new Calls(workspace).below(owner).stream()
                .anyMatch(each -> ElementFilter.methodsIn(each.getEnclosedElements()).stream().anyMatch(own -> own.getSimpleName().equals(member.getSimpleName())
                        && own.getParameters().size() == routine.getParameters().size()))) {
            throw new Refused("a subclass of " + owner.getSimpleName() + " has a " + member.getSimpleName() + "() of its own, which would override the private one once it is opened");
        }
        TreePath path = workspace.path(member).orElseThrow(() -> new Refused(member.getSimpleName() + " cannot be reached from outside"));
        Tree tree = path.getLeaf();
        ModifiersTree modifiers = tree instanceof MethodTree method ? method.getModifiers() : ((VariableTree) tree).getModifiers();
        Unit unit = workspace.unit(path);
        int from = workspace.from(modifiers, path.getCompilationUnit());
        int at = unit.text().indexOf("private", from);
        int end = at + "private".length();
        while (Character.isWhitespace(unit.text().charAt(end))) {
            end++;
        }
        drafting.script().replace(unit.file(), at, end, "");
    }
}
