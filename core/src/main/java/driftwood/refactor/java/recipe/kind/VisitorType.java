package driftwood.refactor.java.recipe.kind;

import driftwood.pattern.Words;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.NewFile;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Evidence;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Element;
import javax.lang.model.element.TypeElement;
import javax.lang.model.type.TypeMirror;
import javax.lang.model.util.ElementFilter;

/** The interface with one routine for each kind, and the routine by which each kind hands itself over. */
final class VisitorType {
    private static final String OTHER = "visitOther";
    private final Drafting drafting;
    private final Workspace workspace;
    private final Variants kinds;
    private final Set<TypeMirror> thrown;
    private final String name;
    private final String accept;

    /** @param thrown checked exceptions of its routines */
    VisitorType(Drafting drafting, Variants kinds, Set<TypeMirror> thrown) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.kinds = kinds;
        this.thrown = thrown;
        TypeElement base = kinds.base();
        if (!base.getTypeParameters().isEmpty() || kinds.arms().keySet().stream().anyMatch(each -> !((TypeElement) each).getTypeParameters().isEmpty())) {
            throw new Refused("the kinds of " + base.getSimpleName() + " have type parameters");
        }
        this.name = drafting.typeName("visitor", base, base.getSimpleName() + "Visitor", base.getSimpleName() + "Cases");
        this.accept = drafting.name("accept", isFree("accept") ? "accept" : "acceptVisitor");
    }

    private boolean isFree(String routine) {
        List<TypeElement> family = new ArrayList<>(new Calls(workspace).below(kinds.base()));
        family.add(kinds.base());
        family.addAll(new Calls(workspace).supertypes(kinds.base()));
        return family.stream().noneMatch(type -> ElementFilter.methodsIn(type.getEnclosedElements()).stream().anyMatch(each -> each.getSimpleName().contentEquals(routine)));
    }

    String accept() {
        return accept;
    }

    /** Its name in a file, with what it answers. */
    String in(Unit unit, String answer) {
        String around = workspace.elements().getPackageOf(kinds.base()).getQualifiedName().toString();
        return drafting.imports().platform(around.isEmpty() ? name : around + "." + name, unit) + "<" + answer + ">";
    }

    static String routine(Element kind) {
        return "visit" + kind.getSimpleName();
    }

    /** The routine for all others. */
    static String other() {
        return OTHER;
    }

    void write() {
        TypeElement base = kinds.base();
        List<Evidence> places = kinds.arms().keySet().stream().map(each -> workspace.place(workspace.path(each).orElseThrow(), "hands itself over")).toList();
        drafting.script().stage("Add " + name + ", and let each " + base.getSimpleName() + " hand itself over to one", places);
        NewFile file = new NewFile(drafting, workspace.unit(workspace.path(base).orElseThrow()), name);
        String ends = ")" + (thrown.isEmpty() ? "" : " throws " + thrown.stream().map(file::name).collect(Collectors.joining(", "))) + ";\n";
        StringBuilder code = new StringBuilder("/**\n * Something that is done for each kind of " + base.getSimpleName() + ".\n *\n * @param <R> what it comes to\n */\n"
                + Drafting.openness(base) + "interface " + name + "<R> {\n");
        kinds.arms().keySet().forEach(each -> code.append(code.toString().endsWith("{\n") ? "" : "\n").append("    R ").append(routine(each)).append('(').append(file.name((TypeElement) each))
                .append(' ').append(Words.lower(each.getSimpleName().toString())).append(ends));
        if (!kinds.areAll()) {
            code.append("\n    R " + OTHER + "(").append(file.name(base)).append(' ').append(Words.lower(base.getSimpleName().toString())).append(ends);
        }
        file.write(code + "}\n");
        addTo(base, kinds.areAll() ? "" : OTHER);
        kinds.arms().keySet().forEach(each -> addTo((TypeElement) each, routine(each)));
    }

    /** @param visits what is called; empty where the compiler asks each kind for its own */
    private void addTo(TypeElement type, String visits) {
        Unit unit = workspace.unit(workspace.path(type).orElseThrow());
        boolean contract = type.getKind().isInterface();
        String open = contract ? "" : kinds.base().getKind().isInterface() ? "public " : Drafting.openness(kinds.base());
        String head = open + (visits.isEmpty() && !contract ? "abstract " : !visits.isEmpty() && contract ? "default " : "") + "<R> R " + accept + "(" + in(unit, "R") + " visitor)" + drafting.imports().thrown(thrown, unit);
        String comment = type.equals(kinds.base()) ? "/** Asks a visitor for what it does for this kind. */\n" : "@Override\n";
        drafting.declarations().add(workspace.path(type).orElseThrow(), comment + head + (visits.isEmpty() ? ";" : Code.block("return visitor." + visits + "(this);")), Where.END);
    }
}
