package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.NewClassTree;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Purity;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.construction.LaterParts.Site;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Unfinished;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.lang.model.element.Modifier;

/** required-parts: what every creation site sets at once becomes a part of the constructor. */
public final class RequiredParts implements Recipe {

    @Override
    public String pattern() {
        return "required-parts";
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
        Workspace workspace = drafting.workspace();
        LaterParts later = new LaterParts(drafting, (Unfinished) drafting.finding().detail());
        List<Site> sites = later.sites(false);
        sites.forEach(each -> Purity.refuseReordered(workspace, List.copyOf(each.values().values()), later.needed.keySet().stream().map(each.values()::get).toList()));
        boolean written = later.isWritten();
        String code = code(drafting, later);
        String name = later.type.getSimpleName().toString();
        drafting.script().stage("Add a constructor of " + name + " that takes all that it needs", List.of(workspace.place(later.home, "its parts")));
        if (written) {
            drafting.declarations().add(later.home, code, Where.CONSTRUCTORS);
        }
        drafting.script().stage((written ? "Let" : "Give " + name + " a constructor that takes all that it needs, and let") + " those who create one hand its parts over at once",
                sites.stream().map(each -> workspace.place(each.creation(), "hands them over")).toList());
        if (!written) {
            drafting.declarations().add(later.home, code, Where.CONSTRUCTORS);
        }
        drafting.next(workspace.place(later.home, "its field, and the parameter of the constructor"));
        for (Site each : sites) {
            drafting.next(workspace.place(each.creation(), "what it hands over: the compiler asks for it"));
            drafting.callSite(each.creation());
            String parts = later.needed.keySet().stream().map(setter -> later.value(each, setter)).collect(Collectors.joining(", "));
            boolean bare = ((NewClassTree) each.creation().getLeaf()).getArguments().isEmpty();
            drafting.script().insert(workspace.unit(each.creation()).file(), workspace.to(each.creation()) - 1, (bare ? "" : ", ") + parts);
            later.unset(each);
        }
        later.removeSetters(later.needed.keySet(), sites);
        if (written) {
            later.close(true);
        }
    }

    /** The constructor that takes all parts. */
    private static String code(Drafting drafting, LaterParts later) {
        boolean written = later.isWritten();
        String parts = later.needed.entrySet().stream().map(each -> drafting.imports().name(each.getKey().getParameters().get(0).asType(), later.unit) + " " + each.getValue().getSimpleName()).collect(Collectors.joining(", "));
        String before = !written ? "" : drafting.imports().parameters(later.constructor.getParameters(), later.unit);
        String open = written ? Drafting.visibility(later.constructor) : later.type.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
        StringBuilder code = new StringBuilder(open + later.type.getSimpleName() + "(" + before + (before.isEmpty() ? "" : ", ") + parts + ") {\n");
        code.append(!written || later.isEmpty() ? "" : "    this(" + later.constructor.getParameters().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", ")) + ");\n");
        later.needed.values().forEach(each -> code.append("    this.").append(each.getSimpleName()).append(" = ").append(each.getSimpleName()).append(";\n"));
        return code + "}";
    }
}
