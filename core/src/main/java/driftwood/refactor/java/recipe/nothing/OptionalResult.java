package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.IdentifierTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ParenthesizedTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeKind;

/** optional-value: a routine says by its type that there may be nothing; its callers ask for it, or take null as before. */
public final class OptionalResult implements Recipe {

    @Override
    public String pattern() {
        return "optional-value";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Nothing;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Nothing) finding.detail()).source()).member());
    }

    @Override
    public void write(Drafting drafting) {
        Nothing fact = (Nothing) drafting.finding().detail();
        if (!Symbol.of(fact.source()).isRoutine()) {
            throw new Refused("the source is a field: it stays null inside, and an accessor that answers an optional value is the way; name one first");
        }
        new Answering(drafting, drafting.workspace().routine(fact.source())).write();
    }

    private static final class Answering {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement source;
        private final Set<ExecutableElement> family;
        private final List<Call> calls;
        private final Returned returned;

        Answering(Drafting drafting, ExecutableElement source) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.source = source;
            TypeKind answers = source.getReturnType().getKind();
            if (answers == TypeKind.ARRAY) {
                throw new Refused("it answers an array: where nothing is no different from nothing in it, an empty one is the simpler answer");
            }
            if (source.getKind() == ElementKind.CONSTRUCTOR || answers != TypeKind.DECLARED && answers != TypeKind.TYPEVAR) {
                throw new Refused("what it answers is no object of a type that could be optional: " + source.getReturnType());
            }
            Calls all = new Calls(workspace);
            this.family = all.family(source);
            this.calls = all.of(family);
            this.returned = new Returned(workspace, family);
        }

        void write() {
            List<Call> asking = calls.stream().filter(each -> !returned.isHandedOn(each.path())).toList();
            List<Call> plain = asking.stream().filter(each -> comparison(each).isEmpty() && OptionalLocal.of(workspace, each).isEmpty() && OptionalDefault.of(workspace, each).isEmpty()
                    && !isAskedBefore(each)).toList();
            if (2 * plain.size() > asking.size()) {
                throw new Refused((plain.size() == asking.size() ? "every caller" : plain.size() + " of " + asking.size() + " callers") + " would take null out of it again, as at " + workspace.unit(plain.get(0).path()).file() + ":" + workspace.unit(plain.get(0).path()).line(workspace.from(plain.get(0).path())));
            }
            List<Evidence> places = new ArrayList<>();
            family.forEach(each -> places.add(workspace.place(workspace.path(each).orElseThrow(), "says that there may be nothing")));
            calls.forEach(each -> places.add(workspace.place(each.path(), plain.contains(each) ? "takes null as before" : "asks whether there is one")));
            boolean all = plain.isEmpty();
            drafting.script().stage("Let " + source.getSimpleName() + "() answer an Optional" + (all ? ", and its callers ask whether there is one" : "; its callers ask whether there is one, or take null out of it as before"), places);
            family.forEach(this::change);
            List<OptionalDefault> defaults = calls.stream().flatMap(each -> OptionalDefault.of(workspace, each).stream()).toList();
            for (Call each : calls) {
                drafting.callSite(each.path());
                if (defaults.stream().anyMatch(one -> Uses.isWithin(each.path(), one.question()))) {
                    continue;
                }
                Optional<TreePath> compared = comparison(each);
                Optional<OptionalLocal> local = OptionalLocal.of(workspace, each);
                Optional<OptionalDefault> instead = OptionalDefault.of(workspace, each);
                Optional<DoneIfPresent> done = DoneIfPresent.of(workspace, each).filter(one -> calls.stream().noneMatch(one::holds));
                Optional<ValueOrDefault> value = ValueOrDefault.of(workspace, each).filter(one -> calls.stream().noneMatch(one::holds) && !returned.isWithin(each.path()));
                if (compared.isPresent()) {
                    ask(each, compared.get());
                } else if (value.isPresent()) {
                    value.get().write(drafting);
                } else if (done.isPresent()) {
                    done.get().write(drafting);
                } else if (local.isPresent()) {
                    local.get().write(drafting, drafting.imports().platform("java.util.Optional", workspace.unit(each.path())), returned.isWithin(each.path()));
                } else if (instead.isPresent()) {
                    instead.get().write(drafting, calls.stream().anyMatch(one -> one.path().getLeaf() == instead.get().instead().getLeaf()));
                } else if (isAskedBefore(each)) {
                    drafting.script().insert(workspace.unit(each.path()).file(), workspace.to(each.path()), ".get()");
                } else if (plain.contains(each)) {
                    drafting.script().insert(workspace.unit(each.path()).file(), workspace.to(each.path()), ".orElse(null)");
                }
            }
        }

        private void change(ExecutableElement each) {
            drafting.changes(each);
            TreePath path = workspace.path(each).orElseThrow();
            Unit unit = workspace.unit(path);
            MethodTree tree = (MethodTree) path.getLeaf();
            TreePath type = new TreePath(path, tree.getReturnType());
            String optional = drafting.imports().platform("java.util.Optional", unit);
            Nullness.forget(drafting, path, tree.getModifiers());
            drafting.script().insert(unit.file(), workspace.from(type), optional + "<");
            drafting.script().insert(unit.file(), workspace.to(type), ">");
            Comments.rewrite(drafting, path, Comments::optional);
            returned.values(path).forEach(value -> wrap(value, optional, unit));
        }

        private void wrap(TreePath value, String optional, Unit unit) {
            Tree tree = value.getLeaf();
            if (tree.getKind() == Tree.Kind.NULL_LITERAL) {
                drafting.script().replace(unit.file(), workspace.from(value), workspace.to(value), optional + ".empty()");
            } else if (tree instanceof ParenthesizedTree inside) {
                wrap(new TreePath(value, inside.getExpression()), optional, unit);
            } else if (tree instanceof ConditionalExpressionTree choice && isOptional(value)) {
                wrap(new TreePath(value, choice.getTrueExpression()), optional, unit);
                wrap(new TreePath(value, choice.getFalseExpression()), optional, unit);
            } else if (taken(value).isPresent()) {
                TreePath held = taken(value).get();
                drafting.script().replace(unit.file(), workspace.to(held), workspace.to(value), "");
            } else if (calls.stream().noneMatch(each -> each.path().getLeaf() == tree) && !isHeld(value)) {
                boolean there = Present.is(workspace, value);
                drafting.script().insert(unit.file(), workspace.from(value), optional + (there ? ".of(" : ".ofNullable("));
                drafting.script().insert(unit.file(), workspace.to(value), ")");
            }
        }

        /** The optional value that null is taken out of, where it is of the very type. */
        private Optional<TreePath> taken(TreePath value) {
            if (!(value.getLeaf() instanceof MethodInvocationTree call) || !(call.getMethodSelect() instanceof MemberSelectTree select) || !select.getIdentifier().contentEquals("orElse")
                    || call.getArguments().get(0).getKind() != Tree.Kind.NULL_LITERAL) {
                return Optional.empty();
            }
            TreePath held = new TreePath(new TreePath(value, select), select.getExpression());
            boolean same = workspace.trees().getTypeMirror(held) instanceof DeclaredType type && type.asElement().toString().equals("java.util.Optional")
                    && type.getTypeArguments().size() == 1 && workspace.types().isSameType(type.getTypeArguments().get(0), source.getReturnType());
            return same ? Optional.of(held) : Optional.empty();
        }

        /** Whether a value is an optional one afterwards by itself, or one way of it is. */
        private boolean isOptional(TreePath value) {
            Tree tree = value.getLeaf();
            if (tree instanceof ParenthesizedTree inside) {
                return isOptional(new TreePath(value, inside.getExpression()));
            }
            if (tree instanceof ConditionalExpressionTree choice) {
                return isOptional(new TreePath(value, choice.getTrueExpression())) || isOptional(new TreePath(value, choice.getFalseExpression()));
            }
            return tree.getKind() == Tree.Kind.NULL_LITERAL || calls.stream().anyMatch(each -> each.path().getLeaf() == tree) || isHeld(value);
        }

        /** Whether it is a local that holds an optional value. */
        private boolean isHeld(TreePath value) {
            return value.getLeaf() instanceof IdentifierTree && calls.stream().map(each -> OptionalLocal.of(workspace, each)).flatMap(Optional::stream)
                    .anyMatch(each -> each.is(workspace.element(value)));
        }

        /** The comparison with null that a call stands in; empty where it stands in none. */
        private static Optional<TreePath> comparison(Call call) {
            return Guards.isComparison(call.path().getParentPath().getLeaf()) ? Optional.of(call.path().getParentPath()) : Optional.empty();
        }

        /** Whether the same call, as it is written, was asked before whether there is one, and this one's result is asked for something. */
        private boolean isAskedBefore(Call call) {
            Tree around = call.path().getParentPath().getLeaf();
            if (!(around instanceof MemberSelectTree) && !(around instanceof VariableTree)) {
                return false;
            }
            String text = workspace.text(call.path());
            Set<Tree> asked = new HashSet<>();
            calls.stream().filter(each -> each != call && workspace.text(each.path()).equals(text)).forEach(each -> comparison(each).ifPresent(one -> asked.add(one.getLeaf())));
            return !asked.isEmpty() && new Guards(asked::contains).isThere(call.path(), new TreePath(call.path().getCompilationUnit()));
        }

        private void ask(Call call, TreePath compared) {
            Unit unit = workspace.unit(compared);
            String asked = drafting.script().text(unit.file(), workspace.from(call.path()), workspace.to(call.path()));
            drafting.script().replace(unit.file(), workspace.from(compared), workspace.to(compared), Nullness.asked(drafting, asked, compared.getLeaf().getKind() == Tree.Kind.EQUAL_TO));
        }
    }
}
