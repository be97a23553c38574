package driftwood.refactor.java.ground;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreeScanner;
import driftwood.refactor.Refused;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/**
 * What names become when code moves from its type onto another, which was asked about there: that one is {@code this} now,
 * and the object around is handed over.
 */
public final class Moving implements Function<TreePath, Optional<String>> {
    private final Workspace workspace;
    private final Imports imports;
    private final TypeElement home;
    private final Unit target;
    private final String context;
    private final String subject;
    /** Null where the code goes to no type that has constants. */
    private TypeElement onto;
    private final Set<Element> selves = new LinkedHashSet<>();
    private final Set<Element> needed = new LinkedHashSet<>();

    /**
     * @param home    where the code is
     * @param target  the file that it goes to
     * @param context the name by which the object around is handed over
     * @param subject what was asked about, as written; empty where nothing becomes {@code this}
     */
    public Moving(Drafting drafting, TypeElement home, Unit target, String context, String subject) {
        this.workspace = drafting.workspace();
        this.imports = drafting.imports();
        this.home = home;
        this.target = target;
        this.context = context;
        this.subject = subject;
    }

    /** @param type that the code goes to: its own constants need no more than their names there */
    public Moving onto(TypeElement type) {
        onto = type;
        return this;
    }

    /** Another name of what becomes {@code this}. */
    public Moving self(Element alias) {
        if (alias != null) {
            selves.add(alias);
        }
        return this;
    }

    /** Members of the old home that the moved code needs to reach. */
    public Set<Element> needed() {
        return needed;
    }

    @Override
    public Optional<String> apply(TreePath path) {
        Tree tree = path.getLeaf();
        if (tree instanceof VariableTree local && local.getInitializer() != null && isSelf(new TreePath(path, local.getInitializer())) && isAlias(path)) {
            selves.add(workspace.element(path));
            return Optional.of("");
        }
        if (tree instanceof ParenthesizedTree inside && isSelf(new TreePath(path, inside.getExpression())) || isSelf(path)) {
            if (isInner(path)) {
                throw new Refused("a class within the code hands on what is asked about: " + workspace.text(path));
            }
            return Optional.of("this");
        }
        if (tree instanceof MemberSelectTree select) {
            TreePath on = new TreePath(path, select.getExpression());
            if (isSelf(on) || on.getLeaf() instanceof ParenthesizedTree inside && isSelf(new TreePath(on, inside.getExpression()))) {
                Element member = workspace.element(path);
                return Optional.of((member != null && member.getKind().isField() && isHidden(path, select.getIdentifier().toString()) ? "this." : "") + select.getIdentifier());
            }
            if (select.getExpression().toString().equals("this") && !isInner(on)) {
                needed.add(workspace.element(path));
                return Optional.of(context + "." + select.getIdentifier());
            }
            return isOwnConstant(path, workspace.element(path)) ? Optional.of(select.getIdentifier().toString()) : Optional.empty();
        }
        return tree instanceof IdentifierTree name ? identifier(path, name.getName().toString()) : Optional.empty();
    }

    private boolean isOwnConstant(TreePath path, Element element) {
        return onto != null && element != null && element.getKind() == ElementKind.ENUM_CONSTANT && onto.equals(element.getEnclosingElement())
                && !isHidden(path, element.getSimpleName().toString());
    }

    /** Whether a local or parameter of the routine around has the name. */
    private static boolean isHidden(TreePath path, String name) {
        TreePath around = path;
        while (around != null && !(around.getLeaf() instanceof MethodTree)) {
            around = around.getParentPath();
        }
        boolean[] hidden = new boolean[1];
        new TreeScanner<Void, Void>() {
            @Override
            public Void visitVariable(VariableTree tree, Void nothing) {
                hidden[0] |= tree.getName().contentEquals(name);
                return super.visitVariable(tree, nothing);
            }
        }.scan(around == null ? null : around.getLeaf(), null);
        return hidden[0];
    }

    private Optional<String> identifier(TreePath path, String name) {
        Element element = workspace.element(path);
        if (element == null || name.equals("super")) {
            throw new Refused(name.equals("super") ? "the code asks super" : name + " is not known");
        }
        if (name.equals("this")) {
            return isInner(path) ? Optional.empty() : Optional.of(context);
        }
        if (element instanceof TypeElement type) {
            if (!workspace.isHere(type) && Workspace.outermost(type) == null) {
                return Optional.empty();
            }
            return Optional.of(imports.name(type, target));
        }
        boolean member = element.getKind().isField() || element.getKind() == ElementKind.METHOD;
        if (!member || element.getKind() == ElementKind.ENUM_CONSTANT && path.getParentPath().getLeaf().getKind() == Tree.Kind.CASE) {
            return Optional.empty();
        }
        TypeElement owner = Workspace.typeAround(element);
        boolean inner = workspace.path(owner).filter(declared -> Uses.isWithin(path, declared)).isPresent() && !owner.equals(home) && !isAround(owner);
        if (inner) {
            return Optional.empty();
        }
        needed.add(element);
        if (isOwnConstant(path, element)) {
            return Optional.empty();
        }
        return Optional.of((element.getModifiers().contains(Modifier.STATIC) ? imports.name(owner, target) : context) + "." + name);
    }

    /** Whether code stands in a class within the moved code, whose object is its own. */
    private boolean isInner(TreePath path) {
        TreePath at = path;
        while (at != null && !(at.getLeaf() instanceof ClassTree)) {
            at = at.getParentPath();
        }
        return at != null && !home.equals(workspace.element(at));
    }

    private boolean isAround(TypeElement owner) {
        for (Element at = home; at != null; at = at.getEnclosingElement()) {
            if (at.equals(owner)) {
                return true;
            }
        }
        return false;
    }

    private boolean isSelf(TreePath path) {
        Tree tree = path.getLeaf();
        if (tree instanceof ParenthesizedTree inside) {
            return isSelf(new TreePath(path, inside.getExpression()));
        }
        if (tree instanceof TypeCastTree cast) {
            return isSelf(new TreePath(path, cast.getExpression()));
        }
        if (tree instanceof IdentifierTree && selves.contains(workspace.element(path))) {
            return true;
        }
        return !subject.isEmpty() && (tree instanceof IdentifierTree || tree instanceof MemberSelectTree || tree.getKind() == Tree.Kind.METHOD_INVOCATION)
                && workspace.text(path).equals(subject);
    }

    /** A local that is never given another value. */
    private boolean isAlias(TreePath local) {
        Element element = workspace.element(local);
        return element != null && element.getKind() == ElementKind.LOCAL_VARIABLE && (element.getModifiers().contains(Modifier.FINAL)
                || Captures.of(workspace, List.of(local.getParentPath())).written().stream().noneMatch(element::equals)
                && workspace.uses().of(element).stream().noneMatch(Moving::isWritten));
    }

    /** Whether a use gives what is named another value. */
    public static boolean isWritten(TreePath use) {
        Tree parent = use.getParentPath().getLeaf();
        return parent instanceof AssignmentTree set && set.getVariable() == use.getLeaf()
                || parent instanceof CompoundAssignmentTree more && more.getVariable() == use.getLeaf() || parent.getKind().name().contains("CREMENT");
    }
}
