package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.ExpressionStatementTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.EarlyRecipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.nothing.GuardReader.Guard;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;

/** null-object: one shared instance that does nothing, or what all guards do instead, stands where null stood. */
public final class NeutralObject implements EarlyRecipe {

    @Override
    public String pattern() {
        return "null-object";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Nothing;
    }

    @Override
    public Set<String> words(Finding finding) {
        Nothing fact = (Nothing) finding.detail();
        return new LinkedHashSet<>(List.of(Symbol.of(fact.source()).simpleType(), Symbol.of(fact.source()).member(), fact.yields().replaceAll("<.*", "")));
    }

    @Override
    public void probe(Drafting drafting) {
        Nothing fact = (Nothing) drafting.finding().detail();
        if (!Symbol.of(fact.source()).isRoutine()) {
            throw new Refused("the source is a field: who sets it to nothing must be known first");
        }
        if (!(drafting.workspace().routine(fact.source()).getReturnType() instanceof DeclaredType declared)) {
            throw new Refused("whether a caller may take an empty " + drafting.workspace().routine(fact.source()).getReturnType() + " for nothing is for somebody to say who knows them");
        }
        TypeElement type = (TypeElement) declared.asElement();
        if (type.getQualifiedName().toString().startsWith("java.")) {
            throw new Refused("whether a caller may take an empty " + type.getSimpleName() + " for nothing is for somebody to say who knows them");
        }
        NeutralType.check(drafting.workspace(), type);
    }

    @Override
    public void write(Drafting drafting) {
        probe(drafting);
        Nothing fact = (Nothing) drafting.finding().detail();
        new Neutral(drafting, drafting.workspace().routine(fact.source())).write();
    }

    private static final class Neutral {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement source;
        private final Set<ExecutableElement> family;
        private final TypeElement type;
        private final List<Guard> guards = new ArrayList<>();
        private final Answers answers = new Answers();
        private final GuardReader reader = new GuardReader(answers);
        private final LookUps lookups;
        /** What stands where somebody has asked before. */
        private final Set<Tree> covered = Collections.newSetFromMap(new IdentityHashMap<>());

        Neutral(Drafting drafting, ExecutableElement source) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.source = source;
            this.lookups = new LookUps(workspace);
            this.type = (TypeElement) ((DeclaredType) source.getReturnType()).asElement();
            if (!workspace.isHere(type)) {
                throw new Refused(type.getSimpleName() + " is a library's own type");
            }
            Calls all = new Calls(workspace);
            this.family = all.family(source);
            for (Call each : all.of(family)) {
                understand(each);
            }
            if (guards.isEmpty()) {
                throw new Refused("no guard is found");
            }
        }

        /** @throws Refused where a caller does something with nothing that a neutral object could not do */
        private void understand(Call call) {
            if (covered.contains(call.path().getLeaf())) {
                return;
            }
            drafting.callSite(call.path());
            String where = workspace.unit(call.path()).file() + ":" + workspace.unit(call.path()).line(workspace.from(call.path()));
            TreePath declared = call.path().getParentPath();
            if (declared.getLeaf() instanceof BinaryTree) {
                Guard guard = lookups.areLookUps(family) && LookUps.isPlain(call.path()) ? reader.guard(call.path(), new Asked(workspace, null, workspace.text(call.path()).replaceAll("\\s+", ""))) : null;
                if (guard == null) {
                    throw new Refused("a caller asks for it and compares it, without a local of its own: " + where);
                }
                take(guard);
                return;
            }
            if (!(declared.getLeaf() instanceof VariableTree) || !(workspace.element(declared) instanceof VariableElement local)) {
                if (declared.getLeaf() instanceof MemberSelectTree) {
                    throw new Refused("a caller does not guard, and fails today where there is nothing: " + where);
                }
                throw new Refused("a caller hands on what it gets: " + where);
            }
            for (TreePath use : workspace.uses().of(local)) {
                if (!covered.contains(use.getLeaf())) {
                    Guard guard = reader.guard(use, new Asked(workspace, local, ""));
                    if (guard == null) {
                        throw new Refused("a caller does more than one thing where there is nothing: " + where);
                    }
                    take(guard);
                }
            }
        }

        private void take(Guard guard) {
            guards.add(guard);
            guard.reach().forEach(each -> new TreePathScanner<Void, Void>() {
                @Override
                public Void scan(Tree tree, Void nothing) {
                    if (tree instanceof IdentifierTree || tree instanceof MethodInvocationTree) {
                        covered.add(tree);
                    }
                    return super.scan(tree, nothing);
                }
            }.scan(each, null));
        }

        void write() {
            Unit beside = workspace.unit(workspace.path(type).orElseThrow());
            String name = drafting.typeName("null object", type, "No" + type.getSimpleName(), "Absent" + type.getSimpleName());
            drafting.script().stage("Add " + name + ", which does nothing or what the guards do instead, with one shared instance", List.of(workspace.place(workspace.path(type).orElseThrow(), "its neutral object")));
            new NeutralType(drafting, type, name).write(beside, answers.values());
            List<Evidence> places = new ArrayList<>();
            guards.forEach(each -> places.add(workspace.place(each.whole(), "no guard")));
            drafting.script().stage("Let " + source.getSimpleName() + "() answer it instead of null, and take the guards out", places);
            family.forEach(each -> change(each, name));
            guards.forEach(this::open);
        }

        /** Its null becomes the neutral object. */
        private void change(ExecutableElement each, String name) {
            TreePath path = workspace.path(each).orElseThrow();
            MethodTree tree = (MethodTree) path.getLeaf();
            if (tree.getBody() == null) {
                return;
            }
            Unit unit = workspace.unit(path);
            String around = workspace.elements().getPackageOf(type).getQualifiedName().toString();
            String none = drafting.imports().platform((around.isEmpty() ? "" : around + ".") + name, unit) + ".INSTANCE";
            new TreePathScanner<Void, Void>() {
                @Override
                public Void visitReturn(ReturnTree back, Void nothing) {
                    wrap(new TreePath(getCurrentPath(), back.getExpression()), none, unit);
                    return null;
                }

                @Override
                public Void visitLambdaExpression(LambdaExpressionTree inner, Void nothing) {
                    return null;
                }
            }.scan(new TreePath(path, tree.getBody()), null);
        }

        private static boolean isNull(Tree tree) {
            return tree.getKind() == Tree.Kind.NULL_LITERAL;
        }

        private void wrap(TreePath value, String none, Unit unit) {
            Tree tree = value.getLeaf();
            Element named = workspace.element(value);
            if (isNull(tree)) {
                drafting.script().replace(unit.file(), workspace.from(value), workspace.to(value), none);
            } else if (tree instanceof ConditionalExpressionTree choice && (isNull(choice.getTrueExpression()) || isNull(choice.getFalseExpression()))) {
                wrap(new TreePath(value, choice.getTrueExpression()), none, unit);
                wrap(new TreePath(value, choice.getFalseExpression()), none, unit);
            } else if (tree.getKind() != Tree.Kind.NEW_CLASS && !(named != null && named.getKind() == ElementKind.LOCAL_VARIABLE && isLoopVariable(named))) {
                String objects = drafting.imports().platform("java.util.Objects", unit);
                drafting.script().insert(unit.file(), workspace.from(value), objects + ".requireNonNullElse(");
                drafting.script().insert(unit.file(), workspace.to(value), ", " + none + ")");
            }
        }

        /** Lists of nothing are no habit: the variable of a loop is taken to be there. */
        private boolean isLoopVariable(Element local) {
            return workspace.path(local).map(each -> each.getParentPath().getLeaf().getKind() == Tree.Kind.ENHANCED_FOR_LOOP).orElse(false);
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
}
