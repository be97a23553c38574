package driftwood.refactor.java.recipe.construction;

import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Creating;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/** factory-method: a routine of its own creates the collaborator, which a subclass may override. */
public final class OverridableCreation implements Recipe {

    @Override
    public String pattern() {
        return "factory-method";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Creating;
    }

    /** Subclasses as well: none of them may have such a routine. */
    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Creating) finding.detail()).client()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        RoutineCreations all = RoutineCreations.of(workspace, (Creating) drafting.finding().detail(),
                "it is created when the object is: a routine that a subclass overrides would run before that subclass is ready");
        TypeElement client = all.client();
        if (client.getModifiers().contains(Modifier.FINAL)) {
            throw new Refused(client.getSimpleName() + " is final: nobody can override a routine of it");
        }
        TypeMirror product = all.product(workspace);
        String simple = ((DeclaredType) product).asElement().getSimpleName().toString();
        String name = drafting.name("creator", "create" + simple);
        boolean taken = ElementFilter.methodsIn(workspace.elements().getAllMembers(client)).stream().anyMatch(each -> each.getSimpleName().contentEquals(name))
                || new Calls(workspace).below(client).stream()
                .anyMatch(each -> ElementFilter.methodsIn(each.getEnclosedElements()).stream().anyMatch(one -> one.getSimpleName().contentEquals(name)));
        if (taken) {
            throw new Refused(client.getSimpleName() + " has a " + name + "() already; give it another name with --name creator=NAME");
        }
        Unit unit = workspace.unit(workspace.path(client).orElseThrow());
        drafting.script().stage("Add " + name + "(), which creates " + Words.one(simple) + " and may be overridden", all.creations().stream().map(each -> workspace.place(each, "is created here")).toList());
        drafting.declarations().add(workspace.path(client).orElseThrow(), "/** Creates " + Words.one(simple) + "; a subclass may create another. */\nprotected "
                + drafting.imports().name(product, unit) + " " + name + "(" + drafting.imports().parameters(List.copyOf(all.parameters()), unit) + ")"
                + drafting.imports().thrown(all.constructor().getThrownTypes(), unit) + " {\n    return " + all.creation(workspace) + ";\n}", Where.END);
        drafting.script().stage("Let " + client.getSimpleName() + " ask it", all.creations().stream().map(each -> workspace.place(each, "asks it")).toList());
        all.creations().forEach(each -> drafting.script().replace(unit.file(), workspace.from(each), workspace.to(each), name + "(" + all.arguments(workspace, each) + ")"));
    }
}
