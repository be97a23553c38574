package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberReferenceTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.Nulls;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Workspace;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/**
 * The kinds that a decision tells apart, as what can have behaviour of its own.
 *
 * @param workspace of the project
 * @param decision  as it is carried over: an arm for all others that is one kind's is that kind's here
 * @param base      the type that they share, of the project
 * @param arms      by type or enum constant, in order
 * @param sure      whether what is none of them fails today, by a cast to the one kind that is left
 */
record Variants(Workspace workspace, Decision decision, TypeElement base, Map<Element, Arm> arms, boolean sure) {

    /** @param common their common type as a symbol; empty where what is asked about says it @throws Refused where they cannot have behaviour */
    static Variants of(Workspace workspace, Decision decision, String common) {
        Map<Element, Arm> arms = kinds(workspace, decision);
        TypeElement base = base(workspace, decision, common);
        for (Element each : arms.keySet()) {
            if (!workspace.isHere(each)) {
                throw new Refused(each.getSimpleName() + " is a type of a library: nothing can be moved onto it");
            }
            if (each.equals(base)) {
                throw new Refused("one of the arms is for every " + base.getSimpleName());
            }
            if (each.getKind() != ElementKind.ENUM_CONSTANT && !isBelow(workspace, each, base)) {
                throw new Refused(each.getSimpleName() + " is no " + base.getSimpleName() + ": what is not of the family has no place for its routine");
            }
        }
        return new Variants(workspace, decision, base, arms, false).withRestAsKind();
    }

    /** The two constants that stand for the sides of a flag, which is never null. */
    static Variants ofSides(Workspace workspace, Decision decision, TypeElement sides) {
        Map<Element, Arm> arms = kinds(workspace, decision);
        decision.otherwise().ifPresent(rest -> constants(sides).forEach(each -> arms.putIfAbsent(each, rest)));
        Decision told = new Decision(decision.around(), decision.from(), decision.to(), decision.subject(), decision.otherwise().isPresent() ? decision.all() : decision.arms(),
                Optional.empty(), decision.isValue(), decision.toEnd(), false, false);
        return new Variants(workspace, told, sides, arms, false);
    }

    private static Map<Element, Arm> kinds(Workspace workspace, Decision decision) {
        Map<Element, Arm> arms = new LinkedHashMap<>();
        for (Arm arm : decision.arms()) {
            for (TreePath label : arm.labels()) {
                Element element = workspace.element(label);
                if (element == null || !element.getKind().isClass() && !element.getKind().isInterface() && element.getKind() != ElementKind.ENUM_CONSTANT) {
                    throw new Refused("the variants are values such as " + workspace.text(label) + ", which cannot have behaviour of their own");
                }
                refuseUnreached(workspace, arms.keySet(), element);
                arms.putIfAbsent(element, arm);
            }
        }
        return arms;
    }

    /** What shows where the decision stands already: constants that are no kinds, arms that cannot leave. @throws Refused as the recipe itself would */
    static void refuseEarly(Workspace workspace, Decision decision) {
        Set<Element> kinds = kinds(workspace, decision).keySet();
        Set<Element> known = new LinkedHashSet<>();
        decision.arms().stream().map(Arm::binding).filter(each -> each != null).forEach(known::add);
        // Whether types are all there are shows only with the rest of the project.
        boolean complete = decision.otherwise().isPresent() || kinds.stream().allMatch(each -> each.getKind() != ElementKind.ENUM_CONSTANT
                || kinds.containsAll(constants(each.getEnclosingElement())));
        Outcome.of(workspace, decision, known, complete);
    }

    private static List<Element> constants(Element type) {
        return type.getEnclosedElements().stream().filter(each -> each.getKind() == ElementKind.ENUM_CONSTANT).map(Element.class::cast).toList();
    }

    private static TypeElement base(Workspace workspace, Decision decision, String common) {
        TypeMirror asked = workspace.trees().getTypeMirror(decision.subject());
        if (!(asked instanceof DeclaredType declared)) {
            throw new Refused(workspace.text(decision.subject()) + " is no object");
        }
        TypeElement base = !common.isEmpty() ? workspace.type(common) : (TypeElement) declared.asElement();
        if (!workspace.isHere(base)) {
            throw new Refused(base.getSimpleName() + " is a type of a library: nothing can be added to it");
        }
        if (workspace.isHere(declared.asElement()) && isBelow(workspace, base, declared.asElement())) {
            return (TypeElement) declared.asElement();
        }
        if (!isBelow(workspace, declared.asElement(), base)) {
            throw new Refused(workspace.text(decision.subject()) + " is declared as " + asked + ", which does not say that it is a " + base.getSimpleName());
        }
        return base;
    }

    /** An arm for a kind of what has an arm before it is never reached today; as the kind's own routine it would be. */
    private static void refuseUnreached(Workspace workspace, Set<Element> before, Element kind) {
        for (Element each : before) {
            if (!each.equals(kind) && each.getKind() != ElementKind.ENUM_CONSTANT && isBelow(workspace, kind, each)) {
                throw new Refused("the arm for " + kind.getSimpleName() + " is never reached: the one for " + each.getSimpleName() + " stands before it");
            }
        }
    }

    private static boolean isBelow(Workspace workspace, Element one, Element other) {
        return workspace.types().isSubtype(workspace.types().erasure(one.asType()), workspace.types().erasure(other.asType()));
    }

    boolean areConstants() {
        return base.getKind() == ElementKind.ENUM;
    }

    /** Whether every kind there is has an arm, so that the compiler can ask for the next one. */
    boolean areAll() {
        if (areConstants()) {
            return arms.keySet().containsAll(constants(base));
        }
        boolean open = decision.otherwise().isPresent() && !isThrowing(decision.otherwise().get());
        return !open && (sure || isClosed() && !isContractOfOne()) && without().isEmpty();
    }

    private static boolean isThrowing(Arm arm) {
        return arm.body().size() == 1 && arm.body().get(0).getLeaf().getKind() == Tree.Kind.THROW;
    }

    /** Whether there is no object of the base itself, and no lambda in sight stands for one. */
    private boolean isClosed() {
        return (base.getKind().isInterface() || base.getModifiers().contains(Modifier.ABSTRACT))
                && !(isContractOfOne() && (base.getAnnotation(FunctionalInterface.class) != null || isWrittenAsLambda()));
    }

    /** Whether a lambda could fulfil it, in a file that does not name it. */
    private boolean isContractOfOne() {
        return base.getKind().isInterface() && !base.getModifiers().contains(Modifier.SEALED) && ElementFilter.methodsIn(workspace.elements().getAllMembers(base)).stream()
                .filter(each -> each.getModifiers().contains(Modifier.ABSTRACT)).count() == 1;
    }

    private boolean isWrittenAsLambda() {
        boolean[] found = new boolean[1];
        workspace.units().forEach(unit -> new TreePathScanner<Void, Void>() {
            @Override
            public Void visitLambdaExpression(LambdaExpressionTree tree, Void nothing) {
                return look() ? null : super.visitLambdaExpression(tree, nothing);
            }

            @Override
            public Void visitMemberReference(MemberReferenceTree tree, Void nothing) {
                return look() ? null : super.visitMemberReference(tree, nothing);
            }

            private boolean look() {
                TypeMirror type = workspace.trees().getTypeMirror(getCurrentPath());
                found[0] |= type == null || type instanceof DeclaredType declared && isBelow(workspace, declared.asElement(), base);
                return found[0];
            }
        }.scan(new TreePath(unit.tree()), null));
        return found[0];
    }

    /** Concrete types for which no arm is. */
    private List<TypeElement> without() {
        return new Calls(workspace).below(base).stream().filter(each -> each.getKind().isClass() && !each.getModifiers().contains(Modifier.ABSTRACT))
                .filter(each -> arms.keySet().stream().noneMatch(variant -> isBelow(workspace, each, variant))).toList();
    }

    /** Where all others are cast to the one kind that is left, or are one constant, what is done for them is that kind's. */
    private Variants withRestAsKind() {
        if (areConstants()) {
            List<Element> left = constants(base).stream().filter(each -> !arms.containsKey(each)).toList();
            boolean one = left.size() == 1 && arms.size() > 1 && decision.otherwise().isPresent() && !(decision.takesNull() && Nulls.mayBe(workspace, decision));
            return one ? withRest(left.get(0), false) : this;
        }
        Optional<TypeElement> cast = decision.otherwise().flatMap(this::castTo);
        List<TypeElement> left = cast.isEmpty() ? List.of() : without();
        if (left.isEmpty() || !isClosed() || !workspace.isHere(cast.get()) || arms.containsKey(cast.get()) || Nulls.mayBe(workspace, decision)
                || !left.stream().allMatch(each -> isBelow(workspace, each, cast.get()))) {
            return this;
        }
        return withRest(cast.get(), true);
    }

    private Variants withRest(Element kind, boolean fails) {
        Map<Element, Arm> all = new LinkedHashMap<>(arms);
        all.put(kind, decision.otherwise().orElseThrow());
        Decision told = new Decision(decision.around(), decision.from(), decision.to(), decision.subject(), decision.all(), Optional.empty(), decision.isValue(), decision.toEnd(), false, false);
        return new Variants(workspace, told, base, all, fails);
    }

    /** The one type that an arm casts what is asked about to. */
    private Optional<TypeElement> castTo(Arm rest) {
        String subject = workspace.text(decision.subject());
        Set<Element> types = new LinkedHashSet<>();
        rest.body().forEach(each -> new TreePathScanner<Void, Void>() {
            @Override
            public Void visitTypeCast(TypeCastTree tree, Void nothing) {
                if (workspace.text(new TreePath(getCurrentPath(), tree.getExpression())).equals(subject)) {
                    types.add(workspace.element(new TreePath(getCurrentPath(), tree.getType())));
                }
                return super.visitTypeCast(tree, nothing);
            }
        }.scan(each, null));
        return types.size() == 1 && types.iterator().next() instanceof TypeElement only ? Optional.of(only) : Optional.empty();
    }
}
