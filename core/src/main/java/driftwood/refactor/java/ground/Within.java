package driftwood.refactor.java.ground;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.TreePath;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/**
 * What names of a type become in an object within it: {@code this} is that object there, and its routines hide those of the
 * same names around.
 *
 * @param home where the code is, and the object will be
 * @param own  whether the object has a routine of a name, beside those that every object has
 */
public record Within(Workspace workspace, TypeElement home, Predicate<String> own) {
    private static final Set<String> OF_EVERY_OBJECT = Set.of("toString", "hashCode", "equals", "getClass", "clone", "finalize", "wait", "notify", "notifyAll");

    /** What a tree becomes; empty where it stays. */
    public Optional<String> anew(TreePath path) {
        if (!(path.getLeaf() instanceof IdentifierTree tree) || isInner(path)) {
            return Optional.empty();
        }
        String name = tree.getName().toString();
        String outer = home.getSimpleName() + ".this";
        if (name.equals("this")) {
            return Optional.of(outer);
        }
        Element element = workspace.element(path);
        boolean hidden = path.getParentPath().getLeaf() instanceof MethodInvocationTree call && call.getMethodSelect() == tree && element != null
                && element.getKind() == ElementKind.METHOD && (OF_EVERY_OBJECT.contains(name) || own.test(name));
        return hidden ? Optional.of((element.getModifiers().contains(Modifier.STATIC) ? home.getSimpleName().toString() : outer) + "." + name) : Optional.empty();
    }

    /** Whether code stands in a class within the code, whose object is its own. */
    private boolean isInner(TreePath path) {
        TreePath at = path;
        while (at != null && !(at.getLeaf() instanceof ClassTree)) {
            at = at.getParentPath();
        }
        return at != null && !home.equals(workspace.element(at));
    }
}
