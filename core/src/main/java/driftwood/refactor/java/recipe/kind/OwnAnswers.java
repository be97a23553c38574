package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ModifiersTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

/**
 * What some variants answer by a routine that they have already, under the name of the routine that decides: a container whose
 * own walk asks the containers among its parts for the same.
 *
 * @param around   the routine that decides
 * @param routines by variant: the container's own, and that of any other whose arm is the call of one
 */
record OwnAnswers(Workspace workspace, ExecutableElement around, Map<Element, ExecutableElement> routines) {

    /** Empty where the routine that decides is none of a variant, or its name would mean something else on another. */
    static Optional<OwnAnswers> of(Workspace workspace, ExecutableElement around, Variants kinds, Outcome outcome) {
        Element home = around.getEnclosingElement();
        boolean fits = kinds.arms().containsKey(home) && around.getKind() == ElementKind.METHOD && around.getTypeParameters().isEmpty() && !outcome.asks()
                && new HashSet<>(around.getParameters()).equals(outcome.needs()) && workspace.types().isSameType(around.getReturnType(), outcome.type());
        OwnAnswers found = new OwnAnswers(workspace, around, new LinkedHashMap<>());
        for (Map.Entry<Element, Arm> each : fits ? kinds.arms().entrySet() : Set.<Map.Entry<Element, Arm>>of()) {
            Optional<TreePath> call = outcome.sole(workspace, each.getValue());
            ElementFilter.methodsIn(each.getKey().getEnclosedElements()).stream().filter(own -> call.isPresent() && found.isAlike(own) && found.isCall(call.get(), own, kinds, each.getValue()))
                    .forEach(own -> found.routines().put(each.getKey(), own));
        }
        return found.routines().containsKey(home) && found.isFree(kinds.base()) ? Optional.of(found) : Optional.empty();
    }

    private boolean isAlike(ExecutableElement own) {
        return own.getSimpleName().equals(around.getSimpleName()) && own.getParameters().size() == around.getParameters().size() && workspace.isWritten(own)
                && own.getModifiers().stream().noneMatch(Set.of(Modifier.STATIC, Modifier.PRIVATE, Modifier.PROTECTED)::contains) && own.getTypeParameters().isEmpty()
                && workspace.types().isSameType(own.getReturnType(), around.getReturnType());
    }

    /** Whether an expression asks the subject for it, with what the routine that decides was handed, in its order. */
    private boolean isCall(TreePath expression, ExecutableElement own, Variants kinds, Arm arm) {
        TreePath path = bare(expression);
        if (!(path.getLeaf() instanceof MethodInvocationTree call) || !own.equals(workspace.element(path)) || !(call.getMethodSelect() instanceof MemberSelectTree select)) {
            return false;
        }
        Element on = workspace.element(bare(new TreePath(new TreePath(path, select), select.getExpression())));
        boolean asked = on != null && (on.equals(arm.binding()) || on.equals(workspace.element(kinds.decision().subject())));
        List<? extends ExpressionTree> given = call.getArguments();
        for (int i = 0; asked && i < given.size(); i++) {
            asked = around.getParameters().get(i).equals(workspace.element(new TreePath(path, given.get(i))));
        }
        return asked;
    }

    private static TreePath bare(TreePath path) {
        TreePath at = path;
        while (true) {
            if (at.getLeaf() instanceof ParenthesizedTree inner) {
                at = new TreePath(at, inner.getExpression());
            } else if (at.getLeaf() instanceof TypeCastTree cast) {
                at = new TreePath(at, cast.getExpression());
            } else {
                return at;
            }
        }
    }

    /** Whether nobody else of the family has a routine of the name. */
    private boolean isFree(TypeElement base) {
        Calls calls = new Calls(workspace);
        Set<TypeElement> family = new HashSet<>(calls.below(base));
        family.add(base);
        family.addAll(calls.supertypes(base));
        return family.stream().flatMap(each -> ElementFilter.methodsIn(each.getEnclosedElements()).stream())
                .noneMatch(each -> each.getSimpleName().equals(around.getSimpleName()) && !routines.containsValue(each));
    }

    /** Marks a variant's routine as its answer. @param openness of the routine on what the variants share: "public " or empty */
    void mark(Element variant, Drafting drafting, String openness) {
        ExecutableElement own = routines.get(variant);
        TreePath path = workspace.path(own).orElseThrow();
        Unit unit = workspace.unit(path);
        ModifiersTree modifiers = ((MethodTree) path.getLeaf()).getModifiers();
        int from = workspace.from(path);
        int open = from;
        if (!modifiers.getAnnotations().isEmpty()) {
            open = workspace.to(modifiers.getAnnotations().get(modifiers.getAnnotations().size() - 1), path.getCompilationUnit());
            while (Character.isWhitespace(unit.text().charAt(open))) {
                open++;
            }
        }
        String opened = own.getModifiers().contains(Modifier.PUBLIC) ? "" : openness;
        boolean said = modifiers.getAnnotations().stream().anyMatch(each -> each.getAnnotationType().toString().equals("Override"));
        String override = said ? "" : "@Override" + unit.newLine() + unit.indentAt(from);
        if (open == from) {
            drafting.script().insert(unit.file(), from, override + opened);
        } else {
            drafting.script().insert(unit.file(), from, override);
            drafting.script().insert(unit.file(), open, opened);
        }
    }
}
