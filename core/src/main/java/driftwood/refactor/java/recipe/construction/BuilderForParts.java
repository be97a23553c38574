package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.construction.LaterParts.Site;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Unfinished;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/** builder for what is half built: the parts that all set come first, those that some set by name, and the last step makes the whole. */
public final class BuilderForParts implements Recipe {

    @Override
    public String pattern() {
        return "builder";
    }

    @Override
    public List<String> forms() {
        return List.of(BuilderPlace.STATIC_ENTRY, BuilderPlace.NESTED);
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Unfinished;
    }

    @Override
    public Set<String> words(Finding finding) {
        return LaterParts.words((Unfinished) finding.detail());
    }

    @Override
    public void write(Drafting drafting) {
        new Building(drafting, new LaterParts(drafting, (Unfinished) drafting.finding().detail())).write();
    }

    private static final class Building {
        private final Drafting drafting;
        private final Workspace workspace;
        private final LaterParts later;
        private final TypeElement type;
        private final String name;
        private final BuilderPlace place;
        private final String builder;
        private final String open;
        private final List<Site> sites;
        /** The fields of what only some set, by their setters. */
        private final Map<ExecutableElement, VariableElement> optional = new LinkedHashMap<>();

        Building(Drafting drafting, LaterParts later) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.later = later;
            this.type = later.type;
            this.name = type.getSimpleName().toString();
            this.place = new BuilderPlace(drafting, type);
            this.builder = place.builder();
            this.open = type.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
            boolean inner = type.getEnclosingElement().getKind().isClass() && !type.getModifiers().contains(Modifier.STATIC);
            if (inner || !type.getTypeParameters().isEmpty() || !later.constructor.getThrownTypes().isEmpty()) {
                throw new Refused(name + (inner ? " is an inner class: each belongs to an object of " + type.getEnclosingElement().getSimpleName()
                        : type.getTypeParameters().isEmpty() ? "'s constructor throws " + later.constructor.getThrownTypes().get(0) : " has type parameters"));
            }
            this.sites = later.sites(true);
            sites.stream().flatMap(each -> each.values().keySet().stream()).filter(each -> !later.needed.containsKey(each)).distinct()
                    .forEach(each -> optional.put(each, later.field(each).orElseThrow()));
            refuseTwice();
            for (Site each : sites) {
                List<TreePath> order = new ArrayList<>(later.needed.keySet().stream().map(each.values()::get).toList());
                each.values().keySet().stream().filter(optional::containsKey).map(each.values()::get).forEach(order::add);
                Purity.refuseReordered(workspace, List.copyOf(each.values().values()), order);
            }
        }

        /** A field that two setters store to, or a part named like one of the constructor's, would be two parts of one name. */
        private void refuseTwice() {
            Set<String> names = new LinkedHashSet<>();
            List<String> all = new ArrayList<>(later.constructor.getParameters().stream().map(each -> each.getSimpleName().toString()).toList());
            later.needed.values().forEach(each -> all.add(each.getSimpleName().toString()));
            optional.values().forEach(each -> all.add(each.getSimpleName().toString()));
            all.stream().filter(each -> !names.add(each)).findFirst().ifPresent(each -> {
                throw new Refused("two of its parts would be called " + each);
            });
        }

        void write() {
            drafting.script().stage("Add " + place.told() + ", which takes all parts and makes the whole in its last step", List.of(workspace.place(later.home, "its builder")));
            if (place.hasEntry()) {
                drafting.declarations().add(later.home, entry(), Where.CONSTRUCTORS);
            }
            drafting.declarations().add(later.home, type(), Where.END);
            drafting.script().stage("Let those who create one say its parts by name", sites.stream().map(each -> workspace.place(each.creation(), "uses the builder")).toList());
            sites.forEach(this::redirect);
            Set<ExecutableElement> setters = new LinkedHashSet<>(later.needed.keySet());
            setters.addAll(optional.keySet());
            later.removeSetters(setters, sites);
            if (later.isWritten()) {
                later.close(false);
            } else {
                drafting.script().stage("Let only the builder make one", List.of(workspace.place(later.home, "private")));
                drafting.changes(later.constructor);
                drafting.closes(later.constructor);
                drafting.declarations().add(later.home, "private " + name + "() {\n}", Where.FIELDS);
            }
        }

        /** The first parts with their types, as they are declared; those of the constructor before the others. */
        private List<String> required() {
            List<String> parts = new ArrayList<>(later.constructor.getParameters().stream().map(each -> drafting.imports().parameters(List.of(each), later.unit)).toList());
            later.needed.forEach((setter, field) -> parts.add(typeOf(setter) + " " + field.getSimpleName()));
            return parts;
        }

        private List<String> names() {
            List<String> names = new ArrayList<>(later.constructor.getParameters().stream().map(each -> each.getSimpleName().toString()).toList());
            later.needed.values().forEach(each -> names.add(each.getSimpleName().toString()));
            return names;
        }

        private String typeOf(ExecutableElement setter) {
            return drafting.imports().name(setter.getParameters().get(0).asType(), later.unit);
        }

        private String entry() {
            return "/** Begins " + BuilderCode.article(type) + " with the parts that each must have. */\n" + open + "static " + builder + " " + place.entry() + "(" + String.join(", ", required()) + ") {\n    return new " + builder + "("
                    + String.join(", ", names()) + ");\n}";
        }

        private String type() {
            StringBuilder text = new StringBuilder("/** Takes the parts of " + BuilderCode.article(type) + " by name, and makes it. */\n" + open + "static final class " + builder + " {\n");
            required().forEach(each -> text.append("    private final ").append(each.replaceFirst("^final ", "")).append(";\n"));
            StringBuilder steps = new StringBuilder();
            optional.forEach((setter, field) -> {
                String part = field.getSimpleName().toString();
                String of = typeOf(setter);
                text.append("    private ").append(of).append(' ').append(part).append(usual(field)).append(";\n");
                steps.append("\n    ").append(open).append(builder).append(' ').append(part).append('(').append(later.unit.fixed()).append(of).append(' ').append(part).append(") {\n        this.")
                        .append(part).append(" = ").append(part).append(";\n        return this;\n    }\n");
            });
            text.append("\n    ").append(place.begun(open)).append(builder).append('(').append(String.join(", ", required())).append(") {\n");
            names().forEach(each -> text.append("        this.").append(each).append(" = ").append(each).append(";\n"));
            text.append("    }\n").append(steps);
            String made = names().contains("made") || optional.values().stream().anyMatch(each -> each.getSimpleName().contentEquals("made")) ? "whole" : "made";
            text.append("\n    ").append(open).append(name).append(" build() {\n        ").append(name).append(' ').append(made).append(" = new ").append(name).append('(')
                    .append(later.constructor.getParameters().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", "))).append(");\n");
            List<VariableElement> fields = new ArrayList<>(later.needed.values());
            fields.addAll(optional.values());
            fields.forEach(each -> text.append("        ").append(made).append('.').append(each.getSimpleName()).append(" = ").append(each.getSimpleName()).append(";\n"));
            return text.append("        return ").append(made).append(";\n    }\n}").toString();
        }

        /** What a part is where nobody says it, with the sign before it; the constructor must not decide it. */
        private String usual(VariableElement field) {
            boolean decided = workspace.uses().of(field).stream().anyMatch(each -> later.isWritten() && Uses.isWithin(each, workspace.path(later.constructor).orElseThrow()));
            VariableTree declared = (VariableTree) workspace.path(field).orElseThrow().getLeaf();
            if (decided || declared.getInitializer() != null && !(declared.getInitializer() instanceof LiteralTree)) {
                throw new Refused("what " + field.getSimpleName() + " is where nobody sets it is decided while a " + name + " is made");
            }
            return declared.getInitializer() == null ? "" : " = " + declared.getInitializer();
        }

        private void redirect(Site site) {
            drafting.callSite(site.creation());
            Unit file = workspace.unit(site.creation());
            NewClassTree creation = (NewClassTree) site.creation().getLeaf();
            List<String> first = new ArrayList<>(creation.getArguments().stream().map(each -> drafting.script().text(file.file(), workspace.from(new TreePath(site.creation(), each)), workspace.to(new TreePath(site.creation(), each)))).toList());
            later.needed.keySet().forEach(each -> first.add(later.value(site, each)));
            List<String> steps = new ArrayList<>();
            site.values().keySet().stream().filter(optional::containsKey).forEach(each -> steps.add("." + optional.get(each).getSimpleName() + "(" + later.value(site, each) + ")"));
            steps.add(".build()");
            int from = workspace.from(site.creation());
            String start = place.begin(site.creation(), workspace.text(new TreePath(site.creation(), creation.getIdentifier())), String.join(", ", first));
            drafting.script().replace(file.file(), from, workspace.to(site.creation()), file.chain(from, start, steps));
            later.unset(site);
        }
    }
}
