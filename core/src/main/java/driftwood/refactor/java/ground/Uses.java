package driftwood.refactor.java.ground;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.ImportTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.lang.model.element.Element;

/** Who names whom. Imports and doc comments do not count. */
public final class Uses {
    private final Map<Element, List<TreePath>> all = new HashMap<>();

    private Uses() {
    }

    static Uses in(Workspace workspace) {
        Uses uses = new Uses();
        for (Unit unit : workspace.units()) {
            new TreePathScanner<Void, Void>() {

                private void found() {
                    Element element = workspace.element(getCurrentPath());
                    if (element != null && workspace.to(getCurrentPath()) >= 0) {
                        uses.add(element, getCurrentPath());
                    }
                }

                @Override
                public Void visitImport(ImportTree tree, Void nothing) {
                    return null;
                }

                @Override
                public Void visitIdentifier(IdentifierTree tree, Void nothing) {
                    found();
                    return super.visitIdentifier(tree, nothing);
                }

                @Override
                public Void visitMemberSelect(MemberSelectTree tree, Void nothing) {
                    found();
                    return super.visitMemberSelect(tree, nothing);
                }

                @Override
                public Void visitMemberReference(MemberReferenceTree tree, Void nothing) {
                    found();
                    return super.visitMemberReference(tree, nothing);
                }

                @Override
                public Void visitNewClass(NewClassTree tree, Void nothing) {
                    if (tree.getClassBody() == null) {
                        found();
                    } else {
                        uses.add(parent(getCurrentPath(), tree.getClassBody(), workspace), getCurrentPath());
                    }
                    return super.visitNewClass(tree, nothing);
                }
            }.scan(unit.tree(), null);
        }
        return uses;
    }

    private void add(Element element, TreePath path) {
        if (element != null) {
            all.computeIfAbsent(element, key -> new ArrayList<>()).add(path);
        }
    }

    /** What the constructor that an anonymous class is given by the compiler calls; null where it has none. */
    private static Element parent(TreePath creation, ClassTree body, Workspace workspace) {
        for (Tree each : body.getMembers()) {
            if (each instanceof MethodTree made && made.getReturnType() == null && made.getBody() != null && !made.getBody().getStatements().isEmpty()
                    && made.getBody().getStatements().get(0) instanceof ExpressionStatementTree first && first.getExpression() instanceof MethodInvocationTree call) {
                TreePath path = new TreePath(new TreePath(new TreePath(new TreePath(new TreePath(creation, body), made), made.getBody()), first), call);
                return workspace.element(new TreePath(path, call.getMethodSelect()));
            }
        }
        return null;
    }

    /** Every tree that names an element: names, selections, references, and creations for a constructor. */
    public List<TreePath> of(Element element) {
        return all.getOrDefault(element, List.of());
    }

    /** Those of them that stand within a tree. */
    public List<TreePath> of(Element element, TreePath within) {
        return of(element).stream().filter(each -> isWithin(each, within)).toList();
    }

    /** Whether one tree stands within another. */
    public static boolean isWithin(TreePath path, TreePath around) {
        for (TreePath at = path; at != null; at = at.getParentPath()) {
            if (at.getLeaf() == around.getLeaf()) {
                return true;
            }
        }
        return false;
    }
}
