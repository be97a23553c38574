package driftwood.read.java;

import com.sun.source.tree.CaseTree;
import com.sun.source.tree.Tree;
import java.lang.reflect.Method;
import java.util.List;
import java.util.Optional;

/**
 * What the compiler API of the floor version cannot name but the running JDK may have: labels of a case (a preview
 * API in JDK 17, final in 21) and its guard (since 21). Found by name, once.
 */
final class NewerTrees {
    private static final Optional<Method> LABELS = method("getLabels");
    private static final Optional<Method> GUARD = method("getGuard");

    private NewerTrees() {
    }

    private static Optional<Method> method(String name) {
        try {
            return Optional.of(CaseTree.class.getMethod(name));
        } catch (NoSuchMethodException olderJdk) {
            return Optional.empty();
        }
    }

    /** Constants, patterns, and {@code default} where it is a label. */
    static List<Tree> labels(CaseTree tree) {
        return LABELS.map(method -> ((List<?>) ask(method, tree)).stream().map(Tree.class::cast).toList())
                .orElseGet(() -> List.copyOf(tree.getExpressions()));
    }

    /** The condition behind {@code when}. */
    static Optional<Tree> guard(CaseTree tree) {
        return GUARD.map(method -> (Tree) ask(method, tree));
    }

    private static Object ask(Method method, CaseTree tree) {
        try {
            return method.invoke(tree);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    static boolean isPattern(Tree tree) {
        return tree.getKind().name().endsWith("_PATTERN");
    }

    /** Since JDK 21 each label is a tree of its own around the constant or pattern. */
    static boolean isWrapped(Tree tree) {
        return tree.getKind().name().endsWith("_CASE_LABEL");
    }
}
