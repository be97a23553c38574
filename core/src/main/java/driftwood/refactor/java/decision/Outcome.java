package driftwood.refactor.java.decision;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.TryTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.tree.YieldTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Captures;
import driftwood.refactor.java.ground.Declarations;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.Element;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/**
 * How the arms of a decision hand on what they come to, and what a routine made of one needs to be told.
 *
 * @param kind     how
 * @param variable the local or field that they all set or add to; else null
 * @param target   how that local or field is named here; empty where there is none
 * @param needsOld whether an arm asks for that local's value before, or leaves it
 * @param start    the literal that the local is before the decision, which then is what it stays where nothing is done; empty
 *                 where it is worked out, or asked for
 * @param type     what a routine made of an arm returns
 * @param needs    locals and parameters of the routine around that it must be handed
 * @param asks     whether it needs the object around
 * @param thrown   checked exceptions that it throws
 */
public record Outcome(OutcomeKind kind, VariableElement variable, String target, boolean needsOld, String start, TypeMirror type, Set<VariableElement> needs, boolean asks, Set<TypeMirror> thrown) {

    /**
     * Of a decision.
     *
     * @param known what the routines will have at hand anyway: the subject's variable, bindings
     * @throws Refused where arms hand on several values, leave loops, or some return and others do not
     */
    public static Outcome of(Workspace workspace, Decision decision, Set<Element> known) {
        return of(workspace, decision, known, decision.otherwise().isPresent());
    }

    /** The same for a decision of which is known whether one of its arms is always taken. */
    public static Outcome of(Workspace workspace, Decision decision, Set<Element> known, boolean complete) {
        Map<Arm, Captures> captures = new LinkedHashMap<>();
        decision.all().forEach(each -> captures.put(each, Captures.of(workspace, each.body())));
        Set<VariableElement> written = new LinkedHashSet<>();
        captures.values().forEach(each -> written.addAll(each.written()));
        boolean jumps = captures.values().stream().anyMatch(each -> each.leaves().stream().anyMatch(jump -> !(decision.isValue() && jump.getLeaf() instanceof YieldTree)));
        if (jumps) {
            throw new Refused("an arm jumps out of the loop around it");
        }
        if (captures.values().stream().anyMatch(each -> !each.variables().isEmpty())) {
            throw new Refused("an arm uses a type parameter of the routine around it");
        }
        OutcomeKind kind = kind(workspace, decision, captures, written, complete);
        VariableElement variable = kind == OutcomeKind.SETS ? written.iterator().next() : null;
        boolean old = variable != null && (decision.otherwise().isEmpty() && !isUnset(workspace, decision, variable)
                || decision.all().stream().anyMatch(each -> Completion.canComplete(each.body()) && Endings.last(workspace, each, variable, Tree.Kind.ASSIGNMENT).isEmpty() && !isUnset(workspace, decision, variable)));
        String start = old ? StartValue.of(workspace, decision, variable) : "";
        old &= start.isEmpty();
        Set<VariableElement> needs = new LinkedHashSet<>();
        captures.values().forEach(each -> needs.addAll(each.read()));
        if (kind == OutcomeKind.RETURNS) {
            needs.addAll(written);
        }
        needs.removeAll(known);
        if (!old) {
            needs.remove(variable);
        } else {
            needs.add(variable);
        }
        boolean asks = captures.values().stream().anyMatch(Captures::needsObject);
        if (captures.values().stream().anyMatch(Captures::asksSuper)) {
            throw new Refused("an arm asks super");
        }
        return new Outcome(kind, variable, variable == null ? "" : variable.getSimpleName().toString(), old, start, type(workspace, decision, kind, variable), needs, asks, Thrown.by(workspace, decision));
    }

    /** The same where only some of the arms move: what no other needs is not handed to them. */
    public Outcome of(Workspace workspace, Collection<Arm> moving) {
        List<Captures> captures = moving.stream().map(each -> Captures.of(workspace, each.body())).toList();
        Set<VariableElement> left = new LinkedHashSet<>(needs);
        left.removeIf(each -> !each.equals(variable) && captures.stream().noneMatch(one -> one.read().contains(each) || one.written().contains(each)));
        return new Outcome(kind, variable, target, needsOld, start, type, left, asks && captures.stream().anyMatch(Captures::needsObject), thrown);
    }

    /** The same where the object around is not needed after all. */
    public Outcome withoutObject() {
        return new Outcome(kind, variable, target, needsOld, start, type, needs, false, thrown);
    }

    private static OutcomeKind kind(Workspace workspace, Decision decision, Map<Arm, Captures> captures, Set<VariableElement> written, boolean complete) {
        if (decision.isValue()) {
            if (!written.isEmpty()) {
                throw new Refused("an arm sets " + names(written) + " while it works out its value");
            }
            return OutcomeKind.VALUE;
        }
        boolean returns = captures.values().stream().anyMatch(each -> !each.returns().isEmpty());
        boolean some = captures.keySet().stream().anyMatch(each -> Completion.canComplete(each.body()));
        boolean last = returns && !some && complete && !isTried(decision);
        if (!last && (written.size() > 1 || !written.isEmpty() && returns)) {
            throw new Refused("the arms share locals that they set: " + names(written));
        }
        if (returns && (some || !complete)) {
            boolean nothing = captures.values().stream().flatMap(each -> each.returns().stream()).allMatch(each -> ((ReturnTree) each.getLeaf()).getExpression() == null);
            if (nothing && isLast(decision)) {
                return OutcomeKind.ACTS;
            }
            throw new Refused("some arms leave the routine, and after others it goes on");
        }
        boolean nothing = returns && captures.values().stream().flatMap(each -> each.returns().stream()).allMatch(each -> ((ReturnTree) each.getLeaf()).getExpression() == null);
        return nothing && isLast(decision) ? OutcomeKind.ACTS : returns ? OutcomeKind.RETURNS : written.isEmpty() ? OutcomeKind.ACTS : OutcomeKind.SETS;
    }

    private static String names(Set<VariableElement> variables) {
        return variables.stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", "));
    }

    /** Whether what arms set may be seen by a handler around the decision. */
    private static boolean isTried(Decision decision) {
        for (TreePath at = decision.around(); !(at.getLeaf() instanceof MethodTree) && at.getParentPath() != null; at = at.getParentPath()) {
            if (at.getLeaf() instanceof TryTree) {
                return true;
            }
        }
        return false;
    }

    /** Whether nothing of the routine stands behind the decision. */
    private static boolean isLast(Decision decision) {
        if (decision.toEnd()) {
            return decision.around().getParentPath().getParentPath().getLeaf() instanceof MethodTree;
        }
        TreePath parent = decision.around().getParentPath();
        return parent.getLeaf() instanceof BlockTree block && parent.getParentPath().getLeaf() instanceof MethodTree
                && block.getStatements().get(block.getStatements().size() - 1) == decision.around().getLeaf();
    }

    private static TypeMirror type(Workspace workspace, Decision decision, OutcomeKind kind, VariableElement variable) {
        // driftwood: leave type-switch because the ways in which a value leaves an arm are the language's, and closed
        return switch (kind) {
            case VALUE -> workspace.trees().getTypeMirror(decision.around());
            case SETS, ADDS -> variable.asType();
            case ACTS -> workspace.types().getNoType(TypeKind.VOID);
            case RETURNS -> {
                for (TreePath at = decision.around(); at != null; at = at.getParentPath()) {
                    if (at.getLeaf() instanceof LambdaExpressionTree) {
                        throw new Refused("the decision stands in a lambda");
                    }
                    if (at.getLeaf() instanceof MethodTree) {
                        yield ((ExecutableElement) workspace.element(at)).getReturnType();
                    }
                }
                throw new Refused("the decision stands outside of any routine");
            }
        };
    }

    /** Whether a local has no value yet where the decision begins. */
    private static boolean isUnset(Workspace workspace, Decision decision, VariableElement variable) {
        TreePath declared = workspace.path(variable).orElseThrow();
        return declared.getLeaf() instanceof VariableTree tree && tree.getInitializer() == null && !(declared.getParentPath().getLeaf() instanceof MethodTree)
                && workspace.uses().of(variable).stream().noneMatch(each -> workspace.from(each) < decision.from());
    }

    /**
     * The same where each arm ends by giving one value to one local or field, or by adding it: what an arm comes to is that
     * value.
     *
     * @param all whether there is always an arm
     */
    public Outcome ending(Workspace workspace, Decision decision, boolean all) {
        return new Endings(workspace, decision).of(this, all);
    }

    /** The same where 0 is added to a number if no arm is taken. Whatever else can be added to may be null, and then something would happen to it. */
    Outcome addingNothing() {
        boolean numbers = Stream.of(type, variable.asType()).allMatch(each -> each.getKind().isPrimitive() && each.getKind() != TypeKind.BOOLEAN && each.getKind() != TypeKind.CHAR);
        return new Outcome(kind, variable, target, needsOld, numbers ? "0" : "", type, needs, asks, thrown);
    }

    /** The same, with what it needs handed over in another order. */
    public Outcome handing(Collection<? extends VariableElement> order) {
        return new Outcome(kind, variable, target, needsOld, start, type, new LinkedHashSet<>(order), asks, thrown);
    }

    /** The one expression that an arm is; empty where it is more than that. */
    public Optional<TreePath> sole(Workspace workspace, Arm arm) {
        if (arm.body().size() != 1) {
            return Optional.empty();
        }
        TreePath only = arm.body().get(0);
        if (kind.ending().isPresent()) {
            return Endings.last(workspace, arm, variable, kind.ending().get());
        }
        return only.getLeaf() instanceof ReturnTree back ? Optional.ofNullable(back.getExpression()).map(each -> new TreePath(only, each))
                : only.getLeaf() instanceof ExpressionStatementTree evaluate ? Optional.of(new TreePath(only, evaluate.getExpression()))
                : only.getLeaf() instanceof StatementTree ? Optional.empty() : Optional.of(only);
    }

    /** Whether a routine made of an arm gives something back. */
    public boolean gives() {
        return type.getKind() != TypeKind.VOID;
    }

    /** The declaration of the local that the arms set, where it stands right before the decision and gives it no value that is still asked for. */
    public Optional<TreePath> declaredBefore(Workspace workspace, Decision decision) {
        if (kind != OutcomeKind.SETS || needsOld || !(decision.around().getParentPath().getLeaf() instanceof BlockTree block)) {
            return Optional.empty();
        }
        int at = block.getStatements().indexOf(decision.around().getLeaf());
        TreePath declared = workspace.path(variable).orElseThrow();
        return at > 0 && block.getStatements().get(at - 1) == declared.getLeaf() && declared.getLeaf() instanceof VariableTree tree && (tree.getInitializer() == null || !start.isEmpty())
                ? Optional.of(declared) : Optional.empty();
    }

    /** What stands where the decision stood. @param call of the routine, without a semicolon */
    public String use(String call) {
        return kind.use(this, call);
    }

    /** What a routine for all others does where the decision does nothing. */
    public String nothing() {
        return kind == OutcomeKind.ADDS && !start.isEmpty() ? "return " + start + ";" : kind != OutcomeKind.SETS ? "" : needsOld ? "return " + variable.getSimpleName() + ";" : start.isEmpty() ? "" : "return " + start + ";";
    }

    /**
     * The statements of a routine made of an arm, with four blanks a level and none at the beginning.
     *
     * @param anew   what trees become where the code goes
     * @param typeOf how a type is written there
     */
    public String code(Workspace workspace, Arm arm, Function<TreePath, Optional<String>> anew, Function<TypeMirror, String> typeOf) {
        return (arm.remark() + statements(workspace, arm, anew, typeOf)).stripTrailing();
    }

    private String statements(Workspace workspace, Arm arm, Function<TreePath, Optional<String>> anew, Function<TypeMirror, String> typeOf) {
        if (arm.body().isEmpty()) {
            return nothing();
        }
        Unit unit = workspace.unit(arm.body().get(0));
        TreePath last = arm.body().get(arm.body().size() - 1);
        Rewriting rewriting = new Rewriting(workspace, each -> each.getLeaf() instanceof YieldTree yield && kind == OutcomeKind.VALUE
                ? Optional.of("return " + new Rewriting(workspace, anew).of(new TreePath(each, yield.getValue())) + ";") : anew.apply(each));
        if (kind == OutcomeKind.VALUE && !(last.getLeaf() instanceof StatementTree)) {
            return "return " + unit.bare(rewriting.of(last), unit.indentAt(workspace.from(last))) + ";";
        }
        Optional<TreePath> set = kind.ending().flatMap(how -> needsOld && kind == OutcomeKind.SETS ? Endings.given(workspace, arm, variable, how) : Endings.last(workspace, arm, variable, how));
        boolean drops = kind == OutcomeKind.ACTS && last.getLeaf() instanceof ReturnTree;
        List<TreePath> kept = set.isPresent() || drops ? arm.body().subList(0, arm.body().size() - 1) : arm.body();
        FinalFields.refuse(workspace, kept);
        String code = kept.isEmpty() ? "" : unit.bare(rewriting.of(kept, arm.whole()[0], Comments.trailing(unit.text(), workspace.to(kept.get(kept.size() - 1)))), unit.indentAt(arm.whole()[0])).replaceFirst("^(\\s*\\n)+", "");
        if (set.isPresent()) {
            String value = comments(unit, workspace.from(last)) + "return " + unit.bare(Endings.value(set.get(), rewriting), unit.indentAt(workspace.from(set.get()))) + ";"
                    + unit.text().substring(workspace.to(last), Comments.trailing(unit.text(), workspace.to(last)));
            return code.isEmpty() ? value : code + "\n" + value;
        }
        if (kind == OutcomeKind.SETS) {
            String before = needsOld || !Completion.canComplete(kept) && workspace.uses().of(variable).stream().noneMatch(use -> kept.stream().anyMatch(each -> Uses.isWithin(use, each))) ? "" : typeOf.apply(variable.asType()) + " " + variable.getSimpleName() + (start.isEmpty() ? "" : " = " + start) + ";\n";
            return declaring(before, code) + (Completion.canComplete(kept) ? "\nreturn " + variable.getSimpleName() + ";" : "");
        }
        return code;
    }

    /** A declaration and the code behind it: one statement where the first thing that the code does is to give the local its value. */
    private String declaring(String declaration, String code) {
        boolean sets = !declaration.isEmpty() && code.startsWith(variable.getSimpleName() + " = ");
        return sets ? declaration.substring(0, declaration.indexOf(" " + variable.getSimpleName()) + 1) + code : declaration + code;
    }

    /** The comments that stand right before a statement, each on a line. */
    private static String comments(Unit unit, int statement) {
        String before = unit.bare(Declarations.fromComments(unit, statement), statement).strip();
        return before.isEmpty() ? "" : before + "\n";
    }
}
