package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.Set;
import javax.lang.model.type.TypeMirror;

/** Annotations that say that something may be null. */
final class Nullness {
    private static final Set<String> NAMES = Set.of("Nullable", "CheckForNull", "NullableDecl", "NullAllowed");

    private Nullness() {
    }

    /** A type without its annotations and packages, as people call it. */
    static String bare(TypeMirror type) {
        return type.toString().replaceAll("@[\\w.]+(\\([^()]*\\))?,? ?", "").replaceAll("\\b[a-z_][\\w]*\\.", "");
    }

    /** Asks an optional value. @param absent whether for nothing */
    static String asked(Drafting drafting, String optional, boolean absent) {
        return !absent ? optional + ".isPresent()" : drafting.hasEmptiness() ? optional + ".isEmpty()" : "!" + optional + ".isPresent()";
    }

    /** Takes them off what is an optional value from now on. @param declaration with these modifiers */
    static void forget(Drafting drafting, TreePath declaration, ModifiersTree modifiers) {
        Workspace workspace = drafting.workspace();
        Unit unit = workspace.unit(declaration);
        for (AnnotationTree each : modifiers.getAnnotations()) {
            String name = each.getAnnotationType().toString();
            TreePath path = new TreePath(new TreePath(declaration, modifiers), each);
            if (NAMES.contains(name.substring(name.lastIndexOf('.') + 1)) && workspace.from(path) >= 0) {
                int end = workspace.to(path);
                while (end < unit.text().length() && Character.isWhitespace(unit.text().charAt(end))) {
                    end++;
                }
                drafting.script().replace(unit.file(), workspace.from(path), end, "");
            }
        }
    }
}
