package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.EarlyRecipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Finding;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
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
        return finding.detail() instanceof Nothing fact && Symbol.of(fact.source()).isRoutine() && !EmptyResult.isContainer(fact.yields());
    }

    @Override
    public Set<String> words(Finding finding) {
        Nothing fact = (Nothing) finding.detail();
        return new LinkedHashSet<>(List.of(Symbol.of(fact.source()).simpleType(), Symbol.of(fact.source()).member(), fact.yields().replaceAll("<.*", "")));
    }

    @Override
    public void probe(Drafting drafting) {
        // What overrides a contract's routine is found where it gives nothing; the contract is in another file.
        if (drafting.workspace().declares(Symbol.of(((Nothing) drafting.finding().detail()).source()).type())) {
            check(drafting);
        }
    }

    private static void check(Drafting drafting) {
        Nothing fact = (Nothing) drafting.finding().detail();
        if (!(drafting.workspace().routine(fact.source()).getReturnType() instanceof DeclaredType declared)) {
            throw new Refused("whether a caller may take an empty " + Nullness.bare(drafting.workspace().routine(fact.source()).getReturnType()) + " for nothing is for somebody to say who knows them");
        }
        NeutralType.check(drafting.workspace(), (TypeElement) declared.asElement());
    }

    @Override
    public void write(Drafting drafting) {
        check(drafting);
        Nothing fact = (Nothing) drafting.finding().detail();
        new Neutral(drafting, drafting.workspace().routine(fact.source())).write();
    }

    private static final class Neutral {
        private final Drafting drafting;
        private final Workspace workspace;
        private final ExecutableElement source;
        private final Set<ExecutableElement> family;
        private final TypeElement type;
        private final GuardsOut guards;
        private final LookUps lookups;

        Neutral(Drafting drafting, ExecutableElement source) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.source = source;
            this.guards = new GuardsOut(drafting);
            this.lookups = new LookUps(workspace);
            this.type = (TypeElement) ((DeclaredType) source.getReturnType()).asElement();
            if (!workspace.isHere(type)) {
                throw new Refused(type.getSimpleName() + " is a library's own type");
            }
            Calls all = new Calls(workspace);
            this.family = all.family(source);
            for (Call each : all.of(family)) {
                guards.answers(each.path());
                understand(each);
            }
            if (guards.isEmpty()) {
                throw new Refused("no guard is found");
            }
        }

        /** @throws Refused where a caller does something with nothing that a neutral object could not do */
        private void understand(Call call) {
            if (guards.isCovered(call.path().getLeaf())) {
                return;
            }
            drafting.callSite(call.path());
            String where = workspace.unit(call.path()).file() + ":" + workspace.unit(call.path()).line(workspace.from(call.path()));
            TreePath declared = call.path().getParentPath();
            if (declared.getLeaf() instanceof BinaryTree) {
                String refused = "a caller asks for it and compares it, without a local of its own: " + where;
                if (!lookups.areLookUps(family) || !LookUps.isPlain(call.path())) {
                    throw new Refused(refused);
                }
                guards.take(call.path(), new Asked(workspace, null, workspace.text(call.path()).replaceAll("\\s+", "")), refused);
                return;
            }
            if (!(declared.getLeaf() instanceof VariableTree) || !(workspace.element(declared) instanceof VariableElement local)) {
                if (declared.getLeaf() instanceof MemberSelectTree) {
                    throw new Refused("a caller does not guard, and fails today where there is nothing: " + where);
                }
                throw new Refused("a caller hands on what it gets: " + where);
            }
            for (TreePath use : workspace.uses().of(local)) {
                if (!guards.isCovered(use.getLeaf())) {
                    guards.take(use, new Asked(workspace, local, ""), "a guard holds back more than calls on it whose arguments do nothing, which a neutral object could not: " + where);
                }
            }
        }

        void write() {
            String name = guards.writeType(type);
            drafting.script().stage("Let " + source.getSimpleName() + "() answer it instead of null, and take the guards out", guards.places());
            family.forEach(each -> change(each, name));
            guards.open();
        }

        /** Its null becomes the neutral object. */
        private void change(ExecutableElement each, String name) {
            drafting.answersOtherwise(each);
            TreePath path = workspace.path(each).orElseThrow();
            Unit unit = workspace.unit(path);
            Nullness.forget(drafting, path, ((MethodTree) path.getLeaf()).getModifiers());
            Comments.rewrite(drafting, path, comment -> Comments.returning(comment, Words.one(name)));
            String none = guards.instance(type, name, unit);
            new Returned(workspace, family).values(path).forEach(value -> guards.wrap(value, none, unit));
        }
    }
}
