package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.nothing.GuardReader.Guard;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.TypeElement;

/** The guards that a neutral object makes needless: what they stand around stays, and they go. */
final class GuardsOut {
    private final Drafting drafting;
    private final Workspace workspace;
    private final List<Guard> guards = new ArrayList<>();
    private final Answers answers = new Answers();
    private final GuardReader reader = new GuardReader(answers);
    /** What stands where somebody has asked before. */
    private final Set<Tree> covered = Collections.newSetFromMap(new IdentityHashMap<>());
    /** Calls that answer the neutral object by themselves from now on. */
    private final Set<Tree> answered = Collections.newSetFromMap(new IdentityHashMap<>());

    GuardsOut(Drafting drafting) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
    }

    boolean isCovered(Tree tree) {
        return covered.contains(tree);
    }

    /** Takes the guard whose condition a use stands in. @throws Refused where it stands in none that is understood */
    void take(TreePath use, Asked asked, String otherwise) {
        Guard guard = reader.guard(use, asked);
        if (guard == null) {
            throw new Refused(otherwise);
        }
        add(guard);
    }

    /** Takes a guard that is understood already. */
    void add(Guard guard) {
        guards.add(guard);
        guard.reach().forEach(each -> new TreePathScanner<Void, Void>() {
            @Override
            public Void scan(Tree tree, Void nothing) {
                if (tree instanceof IdentifierTree || tree instanceof MemberSelectTree || tree instanceof MethodInvocationTree) {
                    covered.add(tree);
                }
                return super.scan(tree, nothing);
            }
        }.scan(each, null));
    }

    void answers(TreePath call) {
        answered.add(call.getLeaf());
    }

    boolean isEmpty() {
        return guards.isEmpty();
    }

    /** Where the guards stand. */
    List<Evidence> places() {
        return guards.stream().map(each -> workspace.place(each.whole(), "no guard")).toList();
    }

    /** Writes the type of the neutral object, which answers what the guards do instead. @return its name */
    String writeType(TypeElement type) {
        String name = drafting.typeName("null object", type, "No" + type.getSimpleName(), "Absent" + type.getSimpleName());
        drafting.script().stage("Add " + name + ", which does nothing or what the guards do instead, with one shared instance", List.of(workspace.place(workspace.path(type).orElseThrow(), "its neutral object")));
        new NeutralType(drafting, type, name).write(workspace.unit(workspace.path(type).orElseThrow()), answers.values());
        return name;
    }

    /** The shared instance, as a file names it. @param name of the neutral type beside another */
    String instance(TypeElement type, String name, Unit unit) {
        String around = workspace.elements().getPackageOf(type).getQualifiedName().toString();
        return drafting.imports().platform((around.isEmpty() ? "" : around + ".") + name, unit) + ".INSTANCE";
    }

    void open() {
        guards.forEach(this::open);
    }

    /** A value that may be nothing becomes the neutral object where it is. */
    void wrap(TreePath value, String none, Unit unit) {
        Tree tree = value.getLeaf();
        if (answered.contains(tree)) {
            return;
        }
        if (isNull(tree)) {
            drafting.script().replace(unit.file(), workspace.from(value), workspace.to(value), none);
        } else if (tree instanceof ConditionalExpressionTree choice && (isNull(choice.getTrueExpression()) || isNull(choice.getFalseExpression()))) {
            wrap(new TreePath(value, choice.getTrueExpression()), none, unit);
            wrap(new TreePath(value, choice.getFalseExpression()), none, unit);
        } else if (!Present.is(workspace, value) && !Present.isOfLoop(workspace, value)) {
            boolean brief = drafting.hasShortForms();
            String taking = drafting.imports().platform(brief ? "java.util.Objects" : "java.util.Optional", unit) + (brief ? ".requireNonNullElse(" : ".ofNullable(");
            drafting.script().insert(unit.file(), workspace.from(value), taking);
            drafting.script().insert(unit.file(), workspace.to(value), (brief ? ", " : ").orElse(") + none + ")");
        }
    }

    static boolean isNull(Tree tree) {
        return tree.getKind() == Tree.Kind.NULL_LITERAL;
    }

    private void open(Guard guard) {
        Unit unit = workspace.unit(guard.whole());
        if (guard.kept().isEmpty()) {
            remove(unit, guard.whole());
            return;
        }
        TreePath first = guard.kept().get(0);
        Optional<TreePath> declared = GuardReader.declared(guard);
        if (declared.isPresent()) {
            VariableTree local = (VariableTree) declared.get().getLeaf();
            TreePath value = new TreePath(first, ((AssignmentTree) ((ExpressionStatementTree) first.getLeaf()).getExpression()).getExpression());
            int end = local.getInitializer() == null ? workspace.to(declared.get()) - 1 : workspace.from(new TreePath(declared.get(), local.getInitializer()));
            drafting.script().replace(unit.file(), workspace.from(declared.get()), workspace.to(guard.whole()), drafting.script().text(unit.file(), workspace.from(declared.get()), end)
                    + (local.getInitializer() == null ? " = " : "") + drafting.script().text(unit.file(), workspace.from(value), workspace.to(value)) + ";");
            return;
        }
        TreePath last = guard.kept().get(guard.kept().size() - 1);
        String code = drafting.script().text(unit.file(), workspace.from(first), workspace.to(last));
        String deep = unit.newLine() + unit.indentAt(workspace.from(first));
        drafting.script().replace(unit.file(), workspace.from(guard.whole()), workspace.to(guard.whole()),
                code.replace(deep, unit.newLine() + unit.indentAt(workspace.from(guard.whole()))));
        if (guard.gone() != null) {
            remove(unit, guard.gone());
        }
    }

    private void remove(Unit unit, TreePath statement) {
        drafting.script().replace(unit.file(), unit.lineStart(workspace.from(statement)), unit.lineEnd(workspace.to(statement)), "");
    }
}
