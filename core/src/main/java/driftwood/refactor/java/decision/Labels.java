package driftwood.refactor.java.decision;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Workspace;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

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

    /** Whether arms ask for the very same object of a type that takes others for equal: what is looked up by equality would be found for those too. */
    public static boolean areTheVerySame(Workspace workspace, Decision decision) {
        return workspace.trees().getTypeMirror(decision.subject()) instanceof DeclaredType type && hasOwnEquals(type)
                && decision.arms().stream().flatMap(each -> each.labels().stream()).anyMatch(Labels::isCompared);
    }

    private static boolean isCompared(TreePath label) {
        Tree around = label.getParentPath().getLeaf();
        return around instanceof ParenthesizedTree ? isCompared(label.getParentPath()) : around.getKind() == Tree.Kind.EQUAL_TO;
    }

    /** An enum has none, and what only the root of all types says is identity. */
    private static boolean hasOwnEquals(DeclaredType type) {
        TypeElement element = (TypeElement) type.asElement();
        boolean own = ElementFilter.methodsIn(element.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals("equals") && each.getParameters().size() == 1);
        boolean root = element.getKind() == ElementKind.ENUM || element.getQualifiedName().contentEquals("java.lang.Object");
        return !root && (own || element.getSuperclass() instanceof DeclaredType parent && hasOwnEquals(parent));
    }

    /** Names of the parameters and locals that stand in some code. */
    public static Set<String> locals(TreePath code) {
        Set<String> taken = new HashSet<>();
        new TreePathScanner<Void, Void>() {
            @Override
            public Void visitVariable(VariableTree tree, Void nothing) {
                taken.add(tree.getName().toString());
                return super.visitVariable(tree, nothing);
            }
        }.scan(code, null);
        return taken;
    }

    /** A name that no local of a routine has. */
    public static String freeLocal(TreePath routine, String wanted) {
        return free(locals(routine), wanted);
    }

    /** A name that is not taken: the wanted one, or that with a number. */
    public static String free(Set<String> taken, String wanted) {
        String name = wanted;
        for (int i = 2; taken.contains(name); i++) {
            name = wanted + i;
        }
        return name;
    }

    /** The first of two arms for the same key is the one that is taken. @throws Refused where there are two */
    public static void refuseRepeated(Workspace workspace, Decision decision) {
        Set<Object> known = new HashSet<>();
        decision.arms().stream().flatMap(each -> each.labels().stream()).forEach(label -> {
            Object value = workspace.element(label) instanceof VariableElement named && named.getConstantValue() != null ? named.getConstantValue()
                    : label.getLeaf() instanceof LiteralTree literal ? literal.getValue() : workspace.text(label);
            if (!known.add(decision.foldsCase() ? value.toString().toLowerCase(Locale.ROOT) : value)) {
                throw new Refused("two arms are for " + workspace.text(label));
            }
        });
    }

    /** The cast that a label needs: a constant of another number type than the key becomes no box of the key's by itself. @param key declared */
    public static String widened(Workspace workspace, TreePath label, TypeMirror key) {
        TypeMirror of = workspace.trees().getTypeMirror(label);
        String boxed = ((TypeElement) ((DeclaredType) key).asElement()).getQualifiedName().toString();
        return of == null || !of.getKind().isPrimitive() || !boxed.startsWith("java.lang.") || of.getKind() == workspace.types().unboxedType(key).getKind() ? ""
                : "(" + workspace.types().unboxedType(key) + ") ";
    }
}
