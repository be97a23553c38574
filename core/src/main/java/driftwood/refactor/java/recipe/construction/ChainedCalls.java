package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Constructors.Filled;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.List;
import javax.lang.model.element.ExecutableElement;

/** Calls that must stay with a constructor, of subclasses and of classes without a name: they call the longest of a ladder. */
record ChainedCalls(Drafting drafting, List<ExecutableElement> ladder, ExecutableElement longest) {

    /** The constructor that a call means; an anonymous class has one of its own in between. */
    ExecutableElement called(Call call) {
        return ladder.stream().filter(each -> drafting.workspace().uses().of(each).contains(call.isCreation() ? call.path() : call.name())).findFirst().orElseThrow();
    }

    /** What a call hands to the longest, parameter by parameter. */
    List<String> values(Call call) {
        Workspace workspace = drafting.workspace();
        String file = workspace.unit(call.path()).file();
        Unit home = workspace.unit(workspace.path(longest).orElseThrow());
        List<String> values = new ArrayList<>();
        for (Filled each : new Constructors(workspace, longest).of(called(call))) {
            each.refuseDependent(called(call));
            values.add(each.parameter().map(at -> drafting.script().text(file, workspace.from(call.arguments().get(at)), workspace.to(call.arguments().get(at)))).orElseGet(() -> drafting.imports().carried(each.value(), home, workspace.unit(call.path()))));
        }
        return values;
    }

    /** Lets a call hand all that the longest takes. */
    void fill(Call call) {
        if (call.arguments().size() == longest.getParameters().size()) {
            return;
        }
        drafting.callSite(call.path());
        Workspace workspace = drafting.workspace();
        Unit site = workspace.unit(call.path());
        int open = site.text().indexOf('(', workspace.to(call.name()));
        int close = call.path().getLeaf() instanceof NewClassTree creation && creation.getClassBody() != null
                ? site.text().lastIndexOf(')', workspace.from(new TreePath(call.path(), creation.getClassBody()))) : workspace.to(call.path()) - 1;
        drafting.script().replace(site.file(), open + 1, close, String.join(", ", values(call)));
    }
}
