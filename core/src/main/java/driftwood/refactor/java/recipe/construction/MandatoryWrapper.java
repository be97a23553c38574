package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Imports;
import driftwood.refactor.java.ground.Openings;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.construction.GatheredParts.Gathering;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Wrapping;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/**
 * decorator: one creation routine makes the wrapped object and its wrapper; nobody can make one without the other. Where what is wrapped is a
 * composite, that routine keeps it small as well.
 */
public final class MandatoryWrapper implements Recipe {

    @Override
    public String pattern() {
        return "decorator";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Wrapping;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Wrapping) finding.detail()).wrapped()).simpleType(), Symbol.of(((Wrapping) finding.detail()).wrapper()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Wrapping fact = (Wrapping) drafting.finding().detail();
        Workspace workspace = drafting.workspace();
        TypeElement wrapped = workspace.type(fact.wrapped());
        TypeElement wrapper = workspace.type(fact.wrapper());
        Unit unit = workspace.unit(workspace.path(wrapped).orElseThrow());
        if (!wrapped.getTypeParameters().isEmpty() || wrapped.getModifiers().contains(Modifier.ABSTRACT)) {
            throw new Refused(wrapped.getSimpleName() + " is abstract or has type parameters");
        }
        if (!new Calls(workspace).below(wrapped).isEmpty()) {
            throw new Refused(wrapped.getSimpleName() + " has subclasses, whose constructors call its own");
        }
        List<ExecutableElement> constructors = ElementFilter.constructorsIn(wrapped.getEnclosedElements());
        Set<ExecutableElement> all = new LinkedHashSet<>(constructors);
        List<Call> calls = new Calls(workspace).of(all).stream().filter(each -> !each.isChained()).toList();
        String name = drafting.name("creator", ElementFilter.methodsIn(wrapped.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals("create")) ? "createGuarded" : "create");
        List<Call> guarded = calls.stream().filter(each -> wrapping(workspace, each, wrapper) != null || wrappingLocal(workspace, each, wrapper).isPresent()).toList();
        List<Call> bypass = calls.stream().filter(each -> !guarded.contains(each)).toList();
        for (Call each : bypass) {
            if (workspace.isTest(workspace.unit(each.path()))) {
                throw new Refused("tests create a " + wrapped.getSimpleName() + " without its " + wrapper.getSimpleName() + " on purpose");
            }
        }
        TypeMirror common = common(workspace, wrapped, wrapper);
        List<ExecutableElement> called = constructors.stream().filter(each -> calls.stream().anyMatch(call -> each.equals(workspace.element(call.path())))).toList();
        Optional<Gathering> gathering = called.size() == 1 && workspace.types().asElement(common) instanceof TypeElement component
                ? new GatheredParts(drafting, wrapped, wrapper, component).of(called.get(0)) : Optional.empty();
        drafting.script().stage("Add " + wrapped.getSimpleName() + "." + name + "(), which " + gathering.map(each -> each.does() + ", and ").orElse("") + "puts the " + wrapper.getSimpleName() + " around it", List.of(workspace.place(workspace.path(wrapped).orElseThrow(), "made here")));
        gathering.ifPresent(each -> new Openings(drafting).openBeside(each.needed()));
        for (ExecutableElement each : called) {
            String parameters = drafting.imports().parameters(each.getParameters(), unit);
            String arguments = gathering.map(Gathering::handed).orElse(Imports.arguments(each.getParameters()));
            String thrown = drafting.imports().thrown(each.getThrownTypes(), unit);
            drafting.declarations().add(workspace.path(wrapped).orElseThrow(), "/** Makes one that nobody can reach but through its " + wrapper.getSimpleName() + ". */\n" + open(wrapped, each) + "static " + drafting.imports().name(common, unit) + " "
                    + name + "(" + (each.isVarArgs() ? parameters.replaceFirst("\\[\\] (?=\\w+$)", "... ") : parameters) + ")" + thrown + " {\n" + gathering.map(parts -> parts.code().indent(4)).orElse("") + "    return new " + drafting.imports().name(wrapper, unit)
                    + (wrapper.getTypeParameters().isEmpty() ? "" : "<>") + "(new " + wrapped.getSimpleName() + "(" + arguments + "));\n}", Where.CONSTRUCTORS);
        }
        drafting.script().stage("Let those who wrap it themselves call it", guarded.stream().map(each -> workspace.place(each.path(), "wraps it")).toList());
        guarded.forEach(each -> {
            Optional<TreePath> later = wrappingLocal(workspace, each, wrapper);
            replace(drafting, each, later.orElse(wrapping(workspace, each, wrapper)), wrapped, name);
            later.ifPresent(around -> drafting.declarations().remove(each.path().getParentPath()));
        });
        drafting.script().stage("Mend the places that went around the " + wrapper.getSimpleName(), bypass.stream().map(each -> workspace.place(each.path(), "went around it")).toList());
        bypass.forEach(each -> replace(drafting, each, each.path(), wrapped, name));
        if (!bypass.isEmpty()) {
            drafting.means(bypass.size() + (bypass.size() == 1 ? " place" : " places") + " that created a " + wrapped.getSimpleName() + " without its " + wrapper.getSimpleName() + " get it from now on");
        }
        drafting.script().stage("Close the constructor", constructors.stream().flatMap(each -> workspace.path(each).stream()).map(each -> workspace.place(each, "private")).toList());
        constructors.forEach(drafting::closes);
        constructors.forEach(each -> close(drafting, each));
    }

    private static String open(TypeElement wrapped, ExecutableElement constructor) {
        boolean written = constructor.getModifiers().contains(Modifier.PUBLIC);
        return written && wrapped.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
    }

    /** The creation of the wrapper around a creation; null where there is none. */
    private static TreePath wrapping(Workspace workspace, Call call, TypeElement wrapper) {
        TreePath parent = call.path().getParentPath();
        return parent.getLeaf() instanceof NewClassTree around && around.getArguments().size() == 1 && around.getArguments().get(0) == call.path().getLeaf()
                && workspace.element(parent).getEnclosingElement().equals(wrapper) ? parent : null;
    }

    /** The creation of the wrapper in the next statement, where the local that holds what was created is for it alone. */
    private static Optional<TreePath> wrappingLocal(Workspace workspace, Call call, TypeElement wrapper) {
        TreePath local = call.path().getParentPath();
        if (!(local.getLeaf() instanceof VariableTree) || !(local.getParentPath().getLeaf() instanceof BlockTree block)) {
            return Optional.empty();
        }
        List<TreePath> uses = workspace.uses().of(workspace.element(local));
        TreePath around = uses.size() == 1 ? uses.get(0).getParentPath() : local;
        int next = block.getStatements().indexOf(local.getLeaf()) + 1;
        boolean follows = next < block.getStatements().size() && Uses.isWithin(around, new TreePath(local.getParentPath(), block.getStatements().get(next)));
        return follows && around.getLeaf() instanceof NewClassTree made && made.getArguments().size() == 1 && made.getArguments().get(0) == uses.get(0).getLeaf()
                && workspace.element(around).getEnclosingElement().equals(wrapper) ? Optional.of(around) : Optional.empty();
    }

    /** What both are: the type that the creation routine hands out. */
    private static TypeMirror common(Workspace workspace, TypeElement wrapped, TypeElement wrapper) {
        List<TypeElement> shared = new ArrayList<>(new Calls(workspace).supertypes(wrapper));
        shared.retainAll(new Calls(workspace).supertypes(wrapped));
        return shared.stream().filter(each -> !each.getQualifiedName().toString().startsWith("java.")).findFirst().map(each -> as(workspace, wrapped.asType(), each)).orElse(wrapper.asType());
    }

    /** A supertype with what a type says for its type parameters. */
    private static TypeMirror as(Workspace workspace, TypeMirror type, TypeElement wanted) {
        for (TypeMirror each : workspace.types().directSupertypes(type)) {
            if (workspace.types().asElement(each).equals(wanted)) {
                return each;
            }
            TypeMirror further = as(workspace, each, wanted);
            if (!further.equals(wanted.asType())) {
                return further;
            }
        }
        return wanted.asType();
    }

    private static void replace(Drafting drafting, Call call, TreePath whole, TypeElement wrapped, String name) {
        drafting.callSite(call.path());
        Unit site = drafting.workspace().unit(whole);
        int open = site.text().indexOf('(', drafting.workspace().to(call.name()));
        String arguments = drafting.script().text(site.file(), open, drafting.workspace().to(call.path()));
        drafting.script().replace(site.file(), drafting.workspace().from(whole), drafting.workspace().to(whole), drafting.imports().name(wrapped, site) + "." + name + arguments);
    }

    private static void close(Drafting drafting, ExecutableElement constructor) {
        Workspace workspace = drafting.workspace();
        TypeElement owner = (TypeElement) constructor.getEnclosingElement();
        TreePath path = workspace.written(constructor).orElse(null);
        drafting.changes(constructor);
        if (path == null) {
            drafting.declarations().add(workspace.path(owner).orElseThrow(), "private " + owner.getSimpleName() + "() {\n}", Where.FIELDS);
            return;
        }
        Constructors.close(drafting, path);
    }
}
