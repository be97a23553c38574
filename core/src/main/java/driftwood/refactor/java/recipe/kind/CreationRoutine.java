package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.MethodTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.InPlace;
import driftwood.refactor.java.decision.OutcomeKind;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Injection;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Detail.Choosing;
import driftwood.smell.Detail.Place;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/**
 * factory-method and factory: the decision which class to create moves into one routine, and its repeats call it; for a
 * factory the routine is that of an object of its own, which all who decide are given.
 */
public final class CreationRoutine implements Recipe {
    private final boolean apart;

    /** @param apart whether the routine stands in a type of its own */
    public CreationRoutine(boolean apart) {
        this.apart = apart;
    }

    @Override
    public String pattern() {
        return apart ? "factory" : "factory-method";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Choosing;
    }

    @Override
    public Set<String> words(Finding finding) {
        Set<String> words = new LinkedHashSet<>(Set.of(Symbol.of(finding.symbol()).simpleType()));
        ((Choosing) finding.detail()).repeats().forEach(each -> words.add(Symbol.of(each.symbol()).simpleType()));
        return words;
    }

    /** A routine of its own is seen by nobody else. */
    @Override
    public Set<String> files(Finding finding) {
        return apart ? Set.of() : Set.of(finding.file());
    }

    @Override
    public void write(Drafting drafting) {
        Creating creating = new Creating(drafting, (Choosing) drafting.finding().detail());
        if (apart) {
            creating.writeApart();
        } else {
            creating.write();
        }
    }

    private static final class Creating {
        private final Drafting drafting;
        private final Workspace workspace;
        private final Choosing choosing;
        private final DecisionPlace place;
        private final TypeElement home;
        private final TreePath homePath;
        private final Unit unit;
        private final Decision decision;
        private final Outcome outcome;
        private final String name;
        private final CreationCode code;

        Creating(Drafting drafting, Choosing choosing) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.choosing = choosing;
            this.place = place();
            this.home = place.home();
            this.homePath = place.path();
            this.unit = place.unit();
            this.decision = place.decision();
            this.outcome = outcome(decision);
            if (outcome.kind() == OutcomeKind.ACTS) {
                throw new Refused("the arms use what they create at once, each in its own way");
            }
            String product = choosing.common().isEmpty() ? drafting.imports().name(outcome.type(), unit) : Symbol.of(choosing.common()).simpleType();
            String proposed = "create" + product.replaceAll("[^A-Za-z0-9].*", "");
            boolean taken = home.getEnclosedElements().stream().anyMatch(each -> each.getKind() == ElementKind.METHOD && each.getSimpleName().contentEquals(proposed));
            this.name = drafting.name("creator", taken ? proposed + "For" + Words.upper(place.word()) : proposed);
            this.code = new CreationCode(drafting, unit, decision, outcome, name);
        }

        /** Where the arms that create begin: before them other arms may do something else, or hold a decision of their own. */
        private DecisionPlace place() {
            if (drafting.finding().line() != choosing.chain().line()) {
                try {
                    return DecisionPlace.of(workspace, choosing.chain().routine(), drafting.finding().line(), Asking.ANYTHING);
                } catch (Refused e) {
                    // No decision begins there: it is taken from its beginning.
                }
            }
            return DecisionPlace.of(workspace, choosing.chain(), Asking.ANYTHING);
        }

        private Outcome outcome(Decision each) {
            Outcome seen = Outcome.of(workspace, each, Set.of());
            return seen.kind() == OutcomeKind.ACTS ? seen.ending(workspace, each, false) : seen;
        }

        void write() {
            drafting.script().stage("Add " + name + "(), which decides what is created", List.of(place(decision, "the decision")));
            drafting.declarations().add(homePath, code.routine(), Where.END);
            List<Decision> repeats = repeats(false);
            List<Evidence> places = new ArrayList<>(List.of(place(decision, "asks it")));
            repeats.forEach(each -> places.add(place(each, "asks it")));
            drafting.script().stage("Let " + home.getSimpleName() + " ask it" + (repeats.isEmpty() ? "" : ", in all " + places.size() + " places"), places);
            new InPlace(drafting, decision, outcome).put(call(name));
            repeats.forEach(each -> new InPlace(drafting, each, outcome(each)).put(call(name)));
        }

        /** The routine in a type of its own; each type that decides is given one, and makes one where nobody gives it. */
        void writeApart() {
            if (outcome.asks() || code.asksFields()) {
                throw new Refused("what is created depends on the object around: " + home.getSimpleName());
            }
            boolean within = !code.captures().statics().isEmpty() || code.namesNested();
            if (within && home.getEnclosingElement().getKind() != ElementKind.PACKAGE && !home.getModifiers().contains(Modifier.STATIC)) {
                throw new Refused("what is created depends on what is " + home.getSimpleName() + "'s own");
            }
            String product = choosing.common().isEmpty() ? drafting.imports().name(outcome.type(), unit) : Symbol.of(choosing.common()).simpleType();
            String factory = drafting.typeName("factory", home, product + "Factory", product + "Creation");
            String field = Words.lower(factory);
            drafting.script().stage("Add " + factory + ", which decides what is created", List.of(place(decision, "the decision")));
            String open = within ? "" : Drafting.openness(home);
            String text = "/** Decides which " + product + " is created. */\n" + open + (within ? "static " : "") + "class " + factory + " {\n    " + code.routine().replaceFirst("^private (static )?", open).replaceFirst("\\b" + name + "\\(", "create(").replace("\n", "\n    ") + "\n}\n";
            if (within) {
                drafting.declarations().add(homePath, text, Where.END);
                next(product, factory);
            } else {
                new NewFile(drafting, unit, factory).importing(text).write(text);
            }
            List<Decision> all = new ArrayList<>(List.of(decision));
            all.addAll(repeats(true));
            Set<TypeElement> clients = new LinkedHashSet<>();
            all.forEach(each -> clients.add(around(each)));
            for (TypeElement client : clients) {
                drafting.script().stage("Give " + client.getSimpleName() + " a " + factory + ", and let it ask", all.stream().filter(each -> around(each).equals(client)).map(each -> place(each, "asks it")).toList());
                Unit file = workspace.unit(workspace.path(client).orElseThrow());
                String around = within ? home.getQualifiedName().toString() : workspace.elements().getPackageOf(home).getQualifiedName().toString();
                String type = client.equals(home) ? factory : drafting.imports().platform((around.isEmpty() ? "" : around + ".") + factory, file);
                if (client.getKind() != ElementKind.CLASS) {
                    throw new Refused(client.getSimpleName() + " is no class that could be given one");
                }
                for (Decision each : all) {
                    if (around(each).equals(client)) {
                        if (routineAround(each).getModifiers().contains(Modifier.STATIC)) {
                            throw new Refused("a static routine has no object that could be given a factory");
                        }
                        if (routineAround(each).getKind() != ElementKind.CONSTRUCTOR) {
                            new InPlace(drafting, each, outcome(each)).put(call(field + ".create"));
                        } else if (each.toEnd() || outcome(each).kind() == OutcomeKind.RETURNS) {
                            throw new Refused("a constructor ends with the decision");
                        }
                    }
                }
                boolean kept = all.stream().anyMatch(each -> around(each).equals(client) && routineAround(each).getKind() != ElementKind.CONSTRUCTOR);
                if (kept) {
                    drafting.declarations().add(workspace.path(client).orElseThrow(), "private final " + type + " " + field + ";", Where.FIELDS);
                }
                new Injection(drafting, client).inject(type, field, kept ? "this." + field + " = " + field + ";" : "", each -> "new " + type + "()",
                        path -> all.stream().filter(each -> each.around().getLeaf() == path.getLeaf()).findFirst().map(each -> outcome(each).use(call(field + ".create"))));
            }
        }

        /** A further kind is written where the others are, and decided in the factory within. */
        private void next(String product, String factory) {
            Optional.ofNullable(workspace.elements().getTypeElement(choosing.common())).flatMap(workspace::path).ifPresent(common -> {
                String note = "the new kind of " + product;
                TypeElement type = (TypeElement) workspace.element(common);
                boolean together = new Calls(workspace).below(type).stream().anyMatch(each -> workspace.unit(workspace.path(each).orElseThrow()).equals(workspace.unit(common)));
                if (together) {
                    drafting.next(new Evidence(workspace.unit(common).file(), workspace.place(common, note).endLine(), workspace.place(common, note).endLine(), note));
                } else {
                    drafting.nextType(common, product, note);
                }
            });
            drafting.next(place(decision, "one arm in " + factory + ", which stands in this file"));
        }

        private ExecutableElement routineAround(Decision each) {
            TreePath at = each.around();
            while (!(at.getLeaf() instanceof MethodTree)) {
                at = at.getParentPath();
            }
            return (ExecutableElement) workspace.element(at);
        }

        private TypeElement around(Decision each) {
            return (TypeElement) routineAround(each).getEnclosingElement();
        }

        private Evidence place(Decision each, String note) {
            Unit file = workspace.unit(each.around());
            return new Evidence(file.file(), file.line(each.from()), file.line(each.to()), note);
        }

        /** The same decision elsewhere asked about values of the same names. */
        private List<Decision> repeats(boolean anywhere) {
            List<Decision> same = new ArrayList<>();
            for (Place each : choosing.repeats()) {
                try {
                    DecisionPlace other = DecisionPlace.of(workspace, each.symbol(), each.line(), Asking.ANYTHING);
                    Decision found = other.decision();
                    if ((anywhere || other.home().equals(home)) && shape(found).equals(shape(decision)) && outcome(found).kind() != OutcomeKind.ACTS) {
                        same.add(found);
                    }
                } catch (Refused e) {
                    // It stays as it is: it is decided in another way there.
                }
            }
            return same;
        }

        private String shape(Decision each) {
            Outcome how = outcome(each);
            String names = how.needs().stream().map(VariableElement::getSimpleName).collect(Collectors.joining(","));
            return names + each.all().stream().map(arm -> arm.labels().stream().map(workspace::text).toList()
                    + how.code(workspace, arm, path -> Optional.empty(), Object::toString)).toList();
        }

        private String call(String routine) {
            return routine + "(" + Imports.arguments(code.needs()) + ")";
        }
    }
}
