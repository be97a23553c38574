package driftwood.refactor.java;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.MemberReferenceTree.ReferenceMode;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.decision.Labels;
import driftwood.refactor.java.ground.Calls.HandedOn;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.SourceVersion;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.util.ElementFilter;

/** Calls in place of routines that are handed on as functions, {@code title -> find(title)} for {@code this::find}: a recipe that asks who calls them goes on from there. */
final class CallsWrittenOut {
    private final Drafting drafting;
    private final Workspace workspace;

    CallsWrittenOut(Drafting drafting) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
    }

    /** @throws HandedOn the same, where one of them cannot be written out */
    void of(HandedOn handed) {
        List<ExecutableElement> routines = handed.routines().stream().filter(each -> !references(each).isEmpty()).toList();
        String names = String.join(", ", routines.stream().map(CallsWrittenOut::called).distinct().sorted().toList());
        drafting.script().stage("Write out the calls of " + names + ", which is handed on as a function",
                routines.stream().flatMap(each -> references(each).stream()).map(each -> workspace.place(each, "calls it")).toList());
        for (ExecutableElement routine : routines) {
            for (TreePath each : references(routine)) {
                Unit unit = workspace.unit(each);
                drafting.script().replace(unit.file(), workspace.from(each), workspace.to(each), function(each, routine).orElseThrow(() -> handed));
            }
        }
    }

    private static String called(ExecutableElement routine) {
        return routine.getKind() == ElementKind.CONSTRUCTOR ? "new " + routine.getEnclosingElement().getSimpleName() + "()" : routine.getSimpleName() + "()";
    }

    private List<TreePath> references(ExecutableElement routine) {
        return workspace.uses().of(routine).stream().filter(each -> each.getLeaf() instanceof MemberReferenceTree).toList();
    }

    private Optional<String> function(TreePath path, ExecutableElement routine) {
        MemberReferenceTree reference = (MemberReferenceTree) path.getLeaf();
        TreePath on = new TreePath(path, reference.getQualifierExpression());
        int values = values(path);
        boolean first = !routine.getModifiers().contains(Modifier.STATIC) && reference.getMode() == ReferenceMode.INVOKE && workspace.element(on) instanceof TypeElement;
        if (values < (first ? 1 : 0) || reference.getTypeArguments() != null || !first && !isSettled(on)) {
            return Optional.empty();
        }
        List<String> names = names(path, routine, values, first);
        String arguments = "(" + String.join(", ", names.subList(first ? 1 : 0, names.size())) + ")";
        String parameters = names.size() == 1 ? names.get(0) : "(" + String.join(", ", names) + ")";
        return Optional.of(parameters + " -> " + (first ? names.get(0) + "." + reference.getName() : before(on, reference, routine)) + arguments);
    }

    private String before(TreePath on, MemberReferenceTree reference, ExecutableElement routine) {
        String text = workspace.text(on);
        if (reference.getMode() == ReferenceMode.NEW) {
            boolean bare = !text.contains("<") && !((TypeElement) routine.getEnclosingElement()).getTypeParameters().isEmpty();
            return "new " + text + (bare ? "<>" : "");
        }
        return text.equals("this") ? reference.getName().toString() : text + "." + reference.getName();
    }

    /** Whether what a routine is called on is the same whenever it is asked: a function asks for it each time, not when it is made. */
    private boolean isSettled(TreePath on) {
        Element named = workspace.element(on);
        boolean type = named instanceof TypeElement || on.getLeaf().getKind() == Tree.Kind.PARAMETERIZED_TYPE;
        boolean own = on.getLeaf() instanceof IdentifierTree name && (name.getName().contentEquals("this") || name.getName().contentEquals("super"))
                || on.getLeaf() instanceof MemberSelectTree select && (select.getIdentifier().contentEquals("this") || select.getIdentifier().contentEquals("super"));
        return type || own || on.getLeaf() instanceof IdentifierTree && named != null && (named.getKind() != ElementKind.FIELD || named.getModifiers().contains(Modifier.FINAL));
    }

    /** How many values the function is given; -1 where nobody can say. */
    private int values(TreePath reference) {
        if (!(workspace.trees().getTypeMirror(reference) instanceof DeclaredType declared) || !(declared.asElement() instanceof TypeElement type)) {
            return -1;
        }
        TypeElement object = workspace.elements().getTypeElement("java.lang.Object");
        return ElementFilter.methodsIn(workspace.elements().getAllMembers(type)).stream().filter(each -> each.getModifiers().contains(Modifier.ABSTRACT))
                .filter(each -> ElementFilter.methodsIn(object.getEnclosedElements()).stream().noneMatch(all -> workspace.elements().overrides(each, all, type)
                        || each.getSimpleName().equals(all.getSimpleName()) && each.getParameters().size() == all.getParameters().size()))
                .map(each -> each.getParameters().size()).findFirst().orElse(-1);
    }

    private List<String> names(TreePath reference, ExecutableElement routine, int values, boolean first) {
        Set<String> taken = taken(reference);
        List<String> names = new ArrayList<>();
        for (int i = 0; i < values; i++) {
            int at = Math.min(first ? i - 1 : i, routine.getParameters().size() - 1);
            String wanted = at < 0 ? decapitalised(routine.getEnclosingElement().getSimpleName().toString()) : routine.getParameters().get(at).getSimpleName().toString();
            names.add(Labels.free(taken, wanted));
            taken.add(names.get(i));
        }
        return names;
    }

    private static String decapitalised(String type) {
        String name = Character.toLowerCase(type.charAt(0)) + type.substring(1);
        return SourceVersion.isName(name) ? name : "each";
    }

    /** Locals of the member around, and what the reference itself names. */
    private Set<String> taken(TreePath reference) {
        TreePath member = reference;
        while (member.getParentPath() != null && !(member.getParentPath().getLeaf() instanceof ClassTree)) {
            member = member.getParentPath();
        }
        Set<String> taken = Labels.locals(member);
        taken.add(((MemberReferenceTree) reference.getLeaf()).getQualifierExpression().toString());
        return taken;
    }
}
