package driftwood.refactor.java.recipe.construction;

import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Holding;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.Modifier;
import javax.lang.model.element.TypeElement;

/** singleton: one instance of what holds a resource, made when it is first asked for, and no way to make another. */
public final class SharedInstance implements Recipe {

    @Override
    public String pattern() {
        return "singleton";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Holding;
    }

    @Override
    public Set<String> words(Finding finding) {
        return Set.of(Symbol.of(((Holding) finding.detail()).type()).simpleType());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        TypeElement type = workspace.type(((Holding) drafting.finding().detail()).type());
        TreePath home = workspace.path(type).orElseThrow();
        SoleCreation sole = SoleCreation.of(workspace, type);
        ExecutableElement constructor = sole.constructor();
        List<Call> calls = sole.calls();
        String access = drafting.name("access point", "shared");
        if (type.getEnclosedElements().stream().anyMatch(each -> each.getSimpleName().contentEquals(access))) {
            throw new Refused(type.getSimpleName() + " has a " + access + " already");
        }
        String open = type.getModifiers().contains(Modifier.PUBLIC) ? "public " : "";
        drafting.script().stage("Add " + type.getSimpleName() + "." + access + "(), which makes the one instance when it is first asked for", List.of(workspace.place(home, "its instance")));
        String simple = type.getSimpleName().toString();
        // Not in a class of its own: where making one fails, it fails as before, and whoever asks again tries again.
        drafting.declarations().add(home, "private static " + simple + " " + access + ";", Where.FIELDS);
        drafting.declarations().add(home, "/** The one instance; made when it is first asked for, once for all threads. */\n" + open + "static synchronized " + simple + " " + access
                + "() {\n    if (" + access + " == null) {\n        " + access + " = new " + simple + "(" + sole.given() + ");\n    }\n    return " + access + ";\n}", Where.END);
        drafting.script().stage("Let all who create a " + type.getSimpleName() + " take it", calls.stream().map(each -> workspace.place(each.path(), "takes it")).toList());
        for (Call each : calls) {
            drafting.callSite(each.path());
            Unit site = workspace.unit(each.path());
            drafting.script().replace(site.file(), workspace.from(each.path()), workspace.to(each.path()), workspace.text(each.name()) + "." + access + "()");
        }
        drafting.means("there is one " + type.getSimpleName() + " where there were " + calls.size() + ": what one user does to it, the others see");
        drafting.script().stage("Close the constructor", List.of(workspace.place(home, "private")));
        drafting.changes(constructor);
        TreePath path = workspace.written(constructor).orElse(null);
        if (path == null) {
            drafting.declarations().add(home, "private " + type.getSimpleName() + "() {\n}", Where.FIELDS);
        } else {
            Constructors.close(drafting, path);
        }
    }
}
