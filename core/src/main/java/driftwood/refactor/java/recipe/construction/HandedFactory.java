package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.NewClassTree;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Injection;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Creating;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.DeclaredType;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/** factory: the constructor takes what creates the collaborator; the constructor as it was hands over the one that there is. */
public final class HandedFactory implements Recipe {

    @Override
    public String pattern() {
        return "factory";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Creating;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Creating) finding.detail()).client()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        RoutineCreations all = RoutineCreations.of(workspace, (Creating) drafting.finding().detail(),
                "it is created once, when the object is: dependency-injection hands it in and needs no factory");
        TypeElement client = all.client();
        Unit unit = workspace.unit(workspace.path(client).orElseThrow());
        TypeMirror product = all.product(workspace);
        String simple = ((DeclaredType) product).asElement().getSimpleName().toString();
        String factory = drafting.typeName("factory", client, simple + "Factory", simple + "Creation");
        String field = Words.lower(factory);
        if (ElementFilter.fieldsIn(client.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(field))) {
            throw new Refused(client.getSimpleName() + " has a " + field + " already");
        }
        drafting.script().stage("Add " + factory + ", which creates a " + simple, all.creations().stream().map(each -> workspace.place(each, "is created here")).toList());
        NewFile file = new NewFile(drafting, unit, factory);
        file.write("/** Creates " + Words.one(simple) + ". */\n@FunctionalInterface\n" + Drafting.openness(client) + "interface " + factory + " {\n    " + file.name(product) + " create"
                + file.taking(all.parameters(), all.constructor()) + ";\n}\n");
        drafting.script().stage("Let " + client.getSimpleName() + " be given one, and use its own only where nobody does", all.creations().stream().map(each -> workspace.place(each, "asks the factory")).toList());
        drafting.declarations().add(workspace.path(client).orElseThrow(), "private final " + factory + " " + field + ";", Where.FIELDS);
        all.creations().forEach(each -> drafting.script().replace(unit.file(), workspace.from(each), workspace.to(each), field + ".create(" + all.arguments(workspace, each) + ")"));
        boolean plain = !all.same() || ((NewClassTree) all.creations().get(0).getLeaf()).getArguments().isEmpty();
        String given = plain ? all.named(workspace).replaceFirst("<.*", "") + "::new" : "() -> " + all.creation(workspace);
        new Injection(drafting, client).inject(factory, field, "this." + field + " = " + field + ";", each -> given, path -> Optional.empty());
    }
}
