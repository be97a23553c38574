package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.CompoundAssignmentTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TypeCastTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.tree.YieldTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Completion;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.InPlace;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.decision.Thrown;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Within;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.PrimitiveType;
import javax.lang.model.type.TypeMirror;

/** One decision that becomes a visitor in its own place. */
final class Visiting {
    /** What a cast binds to without parentheses. */
    private static final Set<Tree.Kind> PLAIN = EnumSet.of(Tree.Kind.IDENTIFIER, Tree.Kind.METHOD_INVOCATION, Tree.Kind.MEMBER_SELECT, Tree.Kind.PARENTHESIZED, Tree.Kind.INT_LITERAL, Tree.Kind.CHAR_LITERAL);

    private final Drafting drafting;
    private final Workspace workspace;
    private final DecisionPlace place;
    private final Decision decision;
    private final Variants kinds;
    private final Outcome outcome;

    Visiting(Drafting drafting, DecisionPlace place, Variants kinds) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.place = place;
        this.kinds = kinds;
        this.decision = kinds.decision();
        Set<Element> known = new HashSet<>();
        Optional.ofNullable(workspace.element(decision.subject())).ifPresent(known::add);
        decision.arms().stream().map(Arm::binding).filter(each -> each != null).forEach(known::add);
        this.outcome = Outcome.of(workspace, decision, known).ending(workspace, decision, kinds.areAll());
        if (kinds.areConstants()) {
            throw new Refused("constants of an enum have behaviour of their own: a visitor would only hide the switch");
        }
        if (workspace.element(decision.subject()) instanceof VariableElement asked && decision.all().stream().flatMap(each -> each.body().stream())
                .anyMatch(each -> workspace.uses().of(asked, each).stream().anyMatch(Moving::isWritten))) {
            throw new Refused("an arm replaces " + asked.getSimpleName() + " itself");
        }
        if (outcome.needsOld()) {
            throw new Refused("an arm works on with " + outcome.target() + ", which an object in its place cannot set");
        }
    }

    /** Checked exceptions that its arms throw. */
    Set<TypeMirror> thrown() {
        return outcome.thrown();
    }

    void write(VisitorType visitor) {
        Unit unit = place.unit();
        drafting.script().stage("Let " + place.home().getSimpleName() + "." + place.around().getSimpleName() + "() visit " + workspace.text(decision.subject()) + " instead of telling its kind",
                List.of(place.evidence("the decision")));
        List<String> routines = new ArrayList<>();
        kinds.arms().forEach((kind, arm) -> routines.add(routine(VisitorType.routine(kind), kind, arm)));
        if (!kinds.areAll()) {
            routines.add(routine(VisitorType.other(), kinds.base(), decision.otherwise().orElse(null)));
        }
        String call = workspace.text(decision.subject()) + "." + visitor.accept() + "(new " + visitor.in(unit, answer(unit)) + "() {\n    " + Code.deeper(String.join("\n\n", routines)) + "\n})";
        new InPlace(drafting, decision, outcome).ask(call);
    }

    private String answer(Unit unit) {
        return !outcome.gives() ? "Void" : drafting.imports().name(boxed(outcome.type()), unit);
    }

    private TypeMirror boxed(TypeMirror type) {
        return type instanceof PrimitiveType primitive ? workspace.types().boxedClass(primitive).asType() : type;
    }

    private String routine(String name, Element kind, Arm arm) {
        Unit unit = place.unit();
        String parameter = parameter(kind, arm);
        String code = boxable(arm == null ? outcome.nothing() : outcome.code(workspace, arm, new Told(kind, arm, parameter)::anew, type -> drafting.imports().name(type, unit)).replaceAll("^\\s*\\n", ""));
        if (!outcome.gives() && (arm == null || Completion.canComplete(arm.body()) || arm.body().get(arm.body().size() - 1).getLeaf() instanceof ReturnTree)) {
            code += (code.isEmpty() ? "" : "\n") + "return null;";
        }
        return "@Override\npublic " + answer(unit) + " " + name + "(" + drafting.imports().name(kind.asType(), unit) + " " + parameter + ")"
                + drafting.imports().thrown(arm == null ? Set.of() : Thrown.by(workspace, arm.body()), unit) + Code.block(code);
    }

    /** A whole number is widened to what a routine gives by itself, but not to the box of that. */
    private String boxable(String code) {
        return code.replaceAll("(?m)(\\breturn -?\\d+);$", "$1" + mark() + ";");
    }

    private String mark() {
        return switch (outcome.type().getKind()) {
            case DOUBLE -> ".0";
            case FLOAT -> "f";
            case LONG -> "L";
            default -> "";
        };
    }

    /** What the visited one is called: as the arm calls it, where it does. */
    private String parameter(Element kind, Arm arm) {
        String bound = arm == null ? "" : arm.binding() != null ? arm.binding().getSimpleName().toString() : alias(arm).map(each -> each.getSimpleName().toString()).orElse("");
        String own = Words.lower(kind.getSimpleName().toString());
        boolean taken = outcome.needs().stream().anyMatch(each -> each.getSimpleName().contentEquals(own)) || arm != null && arm.body().stream().anyMatch(each -> workspace.text(each).matches("(?s).*\\b" + own + "\\b.*"));
        return !bound.isEmpty() ? bound : taken ? "visited" : own;
    }

    /** The local that an arm begins with, where it is what was asked about. */
    private Optional<Element> alias(Arm arm) {
        return arm.body().stream().limit(1).filter(each -> each.getLeaf() instanceof VariableTree local && local.getInitializer() != null
                && isAsked(new TreePath(each, local.getInitializer()))).map(workspace::element).filter(each -> workspace.uses().of(each).stream().noneMatch(Moving::isWritten)).findFirst();
    }

    private boolean isAsked(TreePath path) {
        Tree tree = path.getLeaf();
        if (tree instanceof ParenthesizedTree inside) {
            return isAsked(new TreePath(path, inside.getExpression()));
        }
        return tree instanceof TypeCastTree cast ? isAsked(new TreePath(path, cast.getExpression())) : tree instanceof ExpressionTree && workspace.text(path).equals(workspace.text(decision.subject()));
    }

    /** What trees of an arm become within the visitor. */
    private final class Told {
        private final Element kind;
        private final Optional<Element> alias;
        private final Arm arm;
        private final String parameter;

        Told(Element kind, Arm arm, String parameter) {
            this.kind = kind;
            this.arm = arm;
            this.alias = alias(arm);
            this.parameter = parameter;
        }

        Optional<String> anew(TreePath path) {
            Tree tree = path.getLeaf();
            if (alias.isPresent() && tree instanceof VariableTree && alias.get().equals(workspace.element(path))) {
                return Optional.of("");
            }
            if (tree instanceof ReturnTree leaves && leaves.getExpression() == null && !isInner(path)) {
                return Optional.of("return null;");
            }
            if (isResult(path) && outcome.type() instanceof PrimitiveType wanted && isOther(path, wanted)) {
                String value = new Rewriting(workspace, each -> each.getLeaf() == tree ? Optional.empty() : anew(each)).of(path);
                return Optional.of("(" + wanted + ") " + (PLAIN.contains(tree.getKind()) ? value : "(" + value + ")"));
            }
            if (isAsked(path) && isSame(path) && !mayBeAnother(path)) {
                return Optional.of(parameter);
            }
            return new Within(workspace, place.home(), name -> name.startsWith("visit")).anew(path);
        }

        /** Whether it is what the arm comes to: what it returns, yields, or gives to the local in the end. */
        private boolean isResult(TreePath path) {
            Tree parent = path.getParentPath().getLeaf();
            TreePath last = arm == null || arm.body().isEmpty() ? path : arm.body().get(arm.body().size() - 1);
            boolean ends = path.getParentPath().getParentPath().getLeaf() == last.getLeaf() && (parent instanceof AssignmentTree set && set.getExpression() == path.getLeaf()
                    || parent instanceof CompoundAssignmentTree add && add.getExpression() == path.getLeaf());
            return path.getLeaf() instanceof ExpressionTree && (parent instanceof ReturnTree || parent instanceof YieldTree || path.getLeaf() == last.getLeaf() || ends) && !isInner(path);
        }

        /** Whether a value must be cast before it is put into a box; a plain number only gets a mark. */
        private boolean isOther(TreePath value, PrimitiveType wanted) {
            boolean marked = workspace.text(value).matches("-?\\d+") && !mark().isEmpty();
            return !marked && !workspace.types().isSameType(workspace.trees().getTypeMirror(value), wanted);
        }

        /** Whether a field that was asked may hold another object by now: a routine of this object was called before. */
        private boolean mayBeAnother(TreePath path) {
            boolean[] called = new boolean[1];
            if (workspace.element(decision.subject()) instanceof VariableElement asked && asked.getKind().isField() && !asked.getModifiers().contains(Modifier.FINAL)) {
                arm.body().forEach(each -> new TreePathScanner<Void, Void>() {
                    @Override
                    public Void visitMethodInvocation(MethodInvocationTree call, Void nothing) {
                        String name = call.getMethodSelect().toString();
                        called[0] |= (!name.contains(".") || name.startsWith("this.")) && workspace.to(getCurrentPath()) <= workspace.from(path);
                        return super.visitMethodInvocation(call, nothing);
                    }
                }.scan(each, null));
            }
            return called[0];
        }

        /** A cast to the kind, or what is no cast: a cast to something else stays. */
        private boolean isSame(TreePath path) {
            Tree tree = path.getLeaf();
            if (tree instanceof ParenthesizedTree inside) {
                return isSame(new TreePath(path, inside.getExpression()));
            }
            return !(tree instanceof TypeCastTree cast) || kind.equals(workspace.element(new TreePath(path, cast.getType())));
        }

        /** Whether a tree stands in a lambda or a class of the arm, where returns are its own. */
        private boolean isInner(TreePath path) {
            for (TreePath at = path; at != null; at = at.getParentPath()) {
                Tree leaf = at.getLeaf();
                if (arm.body().stream().anyMatch(each -> each.getLeaf() == leaf)) {
                    return false;
                }
                if (leaf.getKind() == Tree.Kind.LAMBDA_EXPRESSION || leaf.getKind() == Tree.Kind.CLASS || leaf.getKind() == Tree.Kind.METHOD) {
                    return true;
                }
            }
            return false;
        }
    }
}
