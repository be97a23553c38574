package driftwood.refactor.java.recipe.kind;

import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Descent;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;

/** composite where parts are kept as objects of any kind, its beginning: all kinds of parts get a type that they share. */
public final class PartsAsType implements Recipe {

    @Override
    public String pattern() {
        return "composite";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Descent fact && fact.common().isEmpty();
    }

    @Override
    public Set<String> words(Finding finding) {
        Descent fact = (Descent) finding.detail();
        Set<String> words = new LinkedHashSet<>(List.of(Symbol.of(finding.symbol()).simpleType(), Symbol.of(fact.container()).simpleType()));
        words.addAll(fact.leaves());
        return words;
    }

    @Override
    public boolean goesOn() {
        return true;
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        Finding finding = drafting.finding();
        Decision decision = DecisionPlace.of(workspace, finding.symbol(), finding.evidence().get(0).line(), Asking.CONSTANTS).decision();
        drafting.follow(decision.arms().stream().flatMap(each -> each.labels().stream()).map(workspace::element).filter(Objects::nonNull).map(each -> each.getSimpleName().toString()).collect(Collectors.toSet()));
        TypeElement container = workspace.type(((Descent) finding.detail()).container());
        Set<TypeElement> kinds = kinds(workspace, decision, container);
        KeptAsObjects kept = KeptAsObjects.of(workspace, decision, kinds);
        String type = drafting.typeName("component", container, container.getSimpleName() + "Part", container.getSimpleName() + "Content");
        String names = kinds.stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(" and "));
        drafting.script().stage("Let " + names + " share the type " + type + ", and " + kept.field().getEnclosingElement().getSimpleName() + " keep its parts as such",
                kinds.stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "a part")).toList());
        boolean open = kinds.stream().anyMatch(each -> !Drafting.openness(each).isEmpty());
        new NewFile(drafting, workspace.unit(workspace.path(container).orElseThrow()), type).write("/** What is a part of " + Words.one(container.getSimpleName().toString()) + ". */\n"
                + (open ? "public " : "") + "interface " + type + " {\n}\n");
        kinds.forEach(each -> drafting.declarations().implement(workspace.path(each).orElseThrow(), type));
        for (TreePath each : kept.declared()) {
            drafting.script().replace(workspace.unit(each).file(), workspace.from(each), workspace.to(each), type);
        }
    }

    /** The kinds that the decision names. @throws Refused where one of them cannot be given a type to share */
    private static Set<TypeElement> kinds(Workspace workspace, Decision decision, TypeElement container) {
        Set<TypeElement> kinds = new LinkedHashSet<>();
        for (TreePath label : decision.arms().stream().flatMap(each -> each.labels().stream()).toList()) {
            Element kind = workspace.element(label);
            if (!(kind instanceof TypeElement type) || !workspace.isHere(kind)) {
                throw new Refused(workspace.text(label) + " is a type of a library: it can share no type with the others");
            }
            if (!workspace.elements().getPackageOf(type).equals(workspace.elements().getPackageOf(container)) || !type.getKind().isClass()) {
                throw new Refused(type.getSimpleName() + " is in another package, or no class");
            }
            kinds.add(type);
        }
        return kinds;
    }
}
