package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.VariableTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Constructors;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Rewriting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Uses;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Holding;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.TypeElement;

/**
 * dependency-injection for what holds a resource and is created in several places: one instance is made where the
 * program is put together, and handed to all who made their own.
 */
public final class InstancePassedIn implements Recipe {

    @Override
    public String pattern() {
        return "dependency-injection";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Holding;
    }

    @Override
    public Set<String> words(Finding finding) {
        Holding fact = (Holding) finding.detail();
        return Stream.concat(Stream.of(fact.type()), fact.places().stream().map(each -> Symbol.of(each.symbol()).type())).map(each -> Symbol.of(each).simpleType())
                .filter(each -> !each.isEmpty()).collect(Collectors.toSet());
    }

    @Override
    public void write(Drafting drafting) {
        Workspace workspace = drafting.workspace();
        TypeElement type = workspace.type(Symbol.of(((Holding) drafting.finding().detail()).type()).type());
        new Passing(drafting, SoleCreation.of(workspace, type)).write();
    }

    private static final class Passing {
        private final Drafting drafting;
        private final Workspace workspace;
        private final Script script;
        private final SoleCreation sole;
        private final Assembly assembly;

        Passing(Drafting drafting, SoleCreation sole) {
            this.drafting = drafting;
            this.workspace = drafting.workspace();
            this.script = drafting.script();
            this.sole = sole;
            this.assembly = Assembly.of(drafting, sole);
        }

        private boolean isTest(Call call) {
            return workspace.isTest(workspace.unit(call.path()));
        }

        void write() {
            String simple = sole.type().getSimpleName().toString();
            String users = assembly.users().stream().map(each -> each.getSimpleName().toString()).collect(Collectors.joining(", "));
            script.stage("Let " + users + " take " + Words.one(simple) + ", and make one of their own only where nobody hands one over",
                    sole.calls().stream().filter(assembly::isWithinUser).map(each -> workspace.place(each.path(), "makes its own")).toList());
            List<TakenAtTheStart> taking = assembly.users().stream().map(each -> new TakenAtTheStart(drafting, each, assembly, created(workspace.unit(workspace.path(each).orElseThrow())))).toList();
            taking.forEach(TakenAtTheStart::write);
            script.stage("Make one " + simple + " in " + Workspace.typeAround(assembly.root()).getSimpleName() + "." + Constructors.told(assembly.root()) + ", and hand it to all", assembly.inRoot().stream().map(each -> workspace.place(each.path(), "takes the one")).toList());
            intoRoot();
            drafting.means("there is one " + simple + " where there were " + sole.calls().stream().filter(each -> !isTest(each)).count() + ": what one user does to it, the others see");
            close(taking, users);
        }

        /** Who creates a user from now on must hand one over; tests make one for each. */
        private void close(List<TakenAtTheStart> taking, String users) {
            List<Call> tests = assembly.handed().stream().filter(this::isTest).toList();
            script.stage("Remove the constructors with which " + users + " made their own", tests.stream().map(each -> workspace.place(each.path(), "hands one over")).toList());
            for (Call each : tests) {
                drafting.callSite(each.path());
                Unit site = workspace.unit(each.path());
                script.insert(site.file(), workspace.to(each.path()) - 1, (each.arguments().isEmpty() ? "" : ", ") + created(site));
            }
            Map<String, String> texts = new LinkedHashMap<>();
            taking.forEach(each -> texts.put(each.unit().file(), each.closed(texts.computeIfAbsent(each.unit().file(), file -> script.text(file, 0, each.unit().text().length())))));
            texts.forEach(script::write);
            if (!taking.isEmpty()) {
                script.meant();
            }
        }

        private String created(Unit site) {
            return "new " + drafting.imports().name(sole.type(), site) + "(" + sole.given() + ")";
        }

        private String taking(Call call, String name) {
            if (assembly.isSole(call)) {
                return name;
            }
            drafting.callSite(call.path());
            String given = call.arguments().stream().map(each -> rewritten(each, name)).collect(Collectors.joining(", "));
            String head = workspace.text(call.path()).substring(0, workspace.unit(call.path()).text().indexOf('(', workspace.to(call.name())) + 1 - workspace.from(call.path()));
            return head + given + (given.isEmpty() ? "" : ", ") + name + ")";
        }

        /** Code of the root, in which the one is handed to each user, within one another as well. */
        private String rewritten(TreePath code, String name) {
            return new Rewriting(workspace, path -> assembly.inRoot().stream().filter(each -> each.path().getLeaf() == path.getLeaf()).findFirst().map(each -> taking(each, name))).of(code);
        }

        private void intoRoot() {
            TreePath method = workspace.path(assembly.root()).orElseThrow();
            Unit unit = workspace.unit(method);
            TreePath body = new TreePath(method, ((MethodTree) method.getLeaf()).getBody());
            StatementTree first = ((BlockTree) body.getLeaf()).getStatements().stream()
                    .filter(each -> assembly.inRoot().stream().anyMatch(call -> Uses.isWithin(call.path(), new TreePath(body, each)))).findFirst().orElseThrow();
            TreePath begin = new TreePath(body, first);
            boolean there = first instanceof VariableTree held && assembly.inRoot().stream().anyMatch(each -> each.path().getLeaf() == held.getInitializer() && assembly.isSole(each));
            String name = there ? ((VariableTree) first).getName().toString() : assembly.free(assembly.name(), method);
            for (Call each : assembly.inRoot()) {
                boolean kept = there && each.path().getLeaf() == ((VariableTree) first).getInitializer();
                boolean inner = assembly.inRoot().stream().anyMatch(other -> other != each && Uses.isWithin(each.path(), other.path()));
                if (!kept && !inner) {
                    int from = workspace.from(each.path());
                    int to = workspace.to(each.path());
                    script.replace(unit.file(), from, to, rewritten(each.path(), name));
                }
            }
            if (!there) {
                int at = workspace.from(begin);
                script.insert(unit.file(), at, drafting.imports().name(sole.type(), unit) + " " + name + " = " + created(unit) + ";" + unit.newLine() + unit.indentAt(at));
            }
        }
    }

    /** Whether a creation is of a class as it is, without a body of its own. */
    static boolean isPlain(Call call) {
        return call.path().getLeaf() instanceof NewClassTree creation && creation.getClassBody() == null;
    }
}
