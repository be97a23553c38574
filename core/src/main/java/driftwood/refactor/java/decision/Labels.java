package driftwood.refactor.java.decision;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.pattern.Words;
import driftwood.refactor.java.ground.Workspace;
import java.util.HashSet;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;

/** The labels of arms as values and as parts of names. */
public final class Labels {
    private Labels() {
    }

    /** A label as an expression: enum constants of a switch with their type. @param type as it is written there */
    public static String expression(Workspace workspace, TreePath label, String type) {
        Element element = workspace.element(label);
        return label.getLeaf() instanceof IdentifierTree && element != null && element.getKind() == ElementKind.ENUM_CONSTANT ? type + "." + element.getSimpleName() : workspace.text(label);
    }

    /** A label as a word with a capital: {@code FIRST_CLASS}, {@code "first-class"} and {@code 4} become words. */
    public static String word(Workspace workspace, TreePath label) {
        Element element = workspace.element(label);
        String said = label.getLeaf() instanceof LiteralTree literal ? String.valueOf(literal.getValue()) : element == null ? workspace.text(label) : element.getSimpleName().toString();
        return Words.ofLabel(said);
    }

    /** A name that no local of a routine has. */
    public static String freeLocal(Workspace workspace, TreePath routine, String wanted) {
        Set<String> taken = new HashSet<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitVariable(VariableTree tree, Void nothing) {
                taken.add(tree.getName().toString());
                return super.visitVariable(tree, nothing);
            }
        }.scan(routine, null);
        String name = wanted;
        for (int i = 2; taken.contains(name); i++) {
            name = wanted + i;
        }
        return name;
    }
}
