package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.TreePath;
import driftwood.refactor.java.ground.Calls;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Constructors.Filled;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.NestingKind;
import javax.lang.model.element.TypeElement;
import javax.lang.model.util.ElementFilter;

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

    /** The shortest, where subclasses call it without saying so: it stays for them, and calls the longest by itself. */
    Optional<ExecutableElement> keptSilently() {
        Optional<ExecutableElement> shortest = silent();
        shortest.ifPresent(kept -> new Calls(drafting.workspace()).of(new LinkedHashSet<>(ladder)).stream().filter(each -> each.isChained()
                && Uses.isWithin(each.path(), drafting.workspace().path(kept).orElseThrow())).forEach(this::fill));
        return shortest;
    }

    /** The one that subclasses call without a word. */
    Optional<ExecutableElement> silent() {
        return ladder.stream().filter(each -> each.getParameters().isEmpty() && !each.equals(longest)
                && new Calls(drafting.workspace()).types().stream().anyMatch(this::callsSilently)).findFirst();
    }

    /** Whether some constructor of a direct subclass begins with no other. */
    private boolean callsSilently(TypeElement type) {
        Workspace workspace = drafting.workspace();
        return type.getNestingKind() != NestingKind.ANONYMOUS && longest.getEnclosingElement().equals(workspace.types().asElement(type.getSuperclass()))
                && ElementFilter.constructorsIn(type.getEnclosedElements()).stream().anyMatch(each -> workspace.written(each).map(path -> !callsAnother(path)).orElse(true));
    }

    private boolean callsAnother(TreePath constructor) {
        Workspace workspace = drafting.workspace();
        TreePath body = new TreePath(constructor, ((MethodTree) constructor.getLeaf()).getBody());
        return ((BlockTree) body.getLeaf()).getStatements().stream().map(each -> new TreePath(body, each)).anyMatch(each ->
                workspace.to(each) > workspace.from(each) && workspace.text(each).matches("(?s)(this|super|[\\w.]+\\.super)\\s*\\(.*"));
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
