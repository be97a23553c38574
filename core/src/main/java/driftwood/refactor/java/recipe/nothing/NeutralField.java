package driftwood.refactor.java.recipe.nothing;

import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.Tree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.EarlyRecipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Nothing;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.util.ElementFilter;

/** null-object for a field that may hold nothing: it holds the neutral object from the start, and whoever sets it to nothing sets that. */
public final class NeutralField implements EarlyRecipe {

    @Override
    public String pattern() {
        return "null-object";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Nothing fact && !Symbol.of(fact.source()).isRoutine();
    }

    @Override
    public Set<String> words(Finding finding) {
        Nothing fact = (Nothing) finding.detail();
        return new LinkedHashSet<>(List.of(Symbol.of(fact.source()).simpleType(), Symbol.of(fact.source()).member(), fact.yields().replaceAll("<.*", "")));
    }

    @Override
    public void probe(Drafting drafting) {
        VariableElement field = field(drafting);
        if (!field.getModifiers().contains(Modifier.PRIVATE)) {
            throw new Refused(field.getSimpleName() + " is not private: who sets it to nothing cannot be known");
        }
        if (!(field.asType() instanceof DeclaredType declared)) {
            throw new Refused("whether somebody may take an empty " + Nullness.bare(field.asType()) + " for nothing is for somebody to say who knows them");
        }
        NeutralType.check(drafting.workspace(), (TypeElement) declared.asElement());
    }

    private static VariableElement field(Drafting drafting) {
        Symbol source = Symbol.of(((Nothing) drafting.finding().detail()).source());
        return ElementFilter.fieldsIn(drafting.workspace().type(source.type()).getEnclosedElements()).stream().filter(each -> each.getSimpleName().contentEquals(source.member()))
                .findFirst().orElseThrow(() -> new Refused("what may be nothing is no field of " + source.simpleType()));
    }

    @Override
    public void write(Drafting drafting) {
        probe(drafting);
        new Filling(drafting, field(drafting)).write();
    }

    private static final class Filling {
        private final Drafting drafting;
        private final Workspace workspace;
        private final VariableElement field;
        private final TreePath declared;
        private final Unit unit;
        private final TypeElement type;
        private final GuardsOut guards;
        /** The values that it is given. */
        private final List<TreePath> given = new ArrayList<>();

        Filling(Drafting drafting, VariableElement field) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.field = field;
            this.declared = workspace.path(field).orElseThrow();
            this.unit = workspace.unit(declared);
            this.type = (TypeElement) ((DeclaredType) field.asType()).asElement();
            this.guards = new GuardsOut(drafting);
            if (!workspace.isHere(type)) {
                throw new Refused(type.getSimpleName() + " is a library's own type");
            }
            for (TreePath each : workspace.uses().of(field)) {
                if (!guards.isCovered(each.getLeaf())) {
                    understand(each);
                }
            }
            if (guards.isEmpty()) {
                throw new Refused("no guard is found");
            }
        }

        /** @throws Refused where somebody does something with nothing that a neutral object could not do */
        private void understand(TreePath use) {
            String where = unit.file() + ":" + unit.line(workspace.from(use));
            Tree around = use.getParentPath().getLeaf();
            boolean own = !(use.getLeaf() instanceof MemberSelectTree select) || select.getExpression().toString().equals("this");
            if (!own) {
                throw new Refused("the field of another object is asked: " + where);
            }
            if (around instanceof AssignmentTree set && set.getVariable() == use.getLeaf()) {
                if (use.getParentPath().getParentPath().getLeaf().getKind() != Tree.Kind.EXPRESSION_STATEMENT) {
                    throw new Refused("what it is given is handed on at once: " + where);
                }
                given.add(new TreePath(use.getParentPath(), set.getExpression()));
            } else if (around instanceof MemberSelectTree) {
                throw new Refused("it is asked without a guard, and fails today where there is nothing: " + where);
            } else if (around.getKind() == Tree.Kind.EQUAL_TO || around.getKind() == Tree.Kind.NOT_EQUAL_TO) {
                guards.take(use, new Asked(workspace, field, ""), "a guard holds back more than calls on it whose arguments do nothing, which a neutral object could not: " + where);
            } else {
                throw new Refused(field.getSimpleName() + " is handed on as it is: " + where);
            }
        }

        void write() {
            String name = guards.writeType(type);
            drafting.script().stage("Let " + field.getSimpleName() + " hold it instead of null, and take the guards out", guards.places());
            String none = guards.instance(type, name, unit);
            VariableTree tree = (VariableTree) declared.getLeaf();
            if (tree.getInitializer() != null) {
                guards.wrap(new TreePath(declared, tree.getInitializer()), none, unit);
            } else if (!field.getModifiers().contains(Modifier.FINAL)) {
                drafting.script().insert(unit.file(), workspace.to(declared) - 1, " = " + none);
            }
            given.forEach(each -> guards.wrap(each, none, unit));
            guards.open();
        }
    }
}
