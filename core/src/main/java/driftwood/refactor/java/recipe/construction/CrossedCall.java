package driftwood.refactor.java.recipe.construction;

import com.sun.source.tree.MemberSelectTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.refactor.Refused;
import driftwood.refactor.java.ground.Calls.Call;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Finding;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.ExecutableElement;

/** A call whose arguments stand in each other's place, and how it is put right. */
public final class CrossedCall {
    private final Drafting drafting;
    private final Workspace workspace;
    private final ExecutableElement routine;
    private final Set<Integer> crossed;
    private final Call call;

    /**
     * The call that a finding is about.
     *
     * @param calls   of the routine
     * @param crossed positions of the parameters that are mixed up
     * @throws Refused where it does not show which argument belongs to which parameter
     */
    public CrossedCall(Drafting drafting, ExecutableElement routine, List<Call> calls, Set<Integer> crossed) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.routine = routine;
        this.crossed = crossed;
        Finding finding = drafting.finding();
        this.call = calls.stream().filter(each -> workspace.unit(each.path()).file().equals(finding.file()) && isAt(each, finding)).findFirst()
                .orElseThrow(() -> new Refused("which argument belongs to which parameter does not show at line " + finding.line()));
    }

    public Call call() {
        return call;
    }

    /** Writes a stage of its own, which is meant to change what the call does. */
    public void correct() {
        Finding finding = drafting.finding();
        drafting.script().stage("Hand each argument to the parameter of its name", List.of(workspace.place(call.path(), "they stand in each other's place")));
        Unit unit = workspace.unit(call.path());
        for (int to : crossed) {
            int from = crossed.stream().filter(each -> matches(call, each, to)).findFirst().orElseThrow();
            TreePath place = call.arguments().get(to);
            drafting.script().replace(unit.file(), workspace.from(place), workspace.to(place), workspace.text(call.arguments().get(from)));
        }
        List<String> names = crossed.stream().map(each -> routine.getParameters().get(each).getSimpleName().toString()).toList();
        drafting.means("the call at " + finding.file() + ":" + finding.line() + " hands over " + String.join(" and ", names) + " in their own places from now on");
    }

    private boolean isAt(Call one, Finding finding) {
        Unit unit = workspace.unit(one.path());
        int from = unit.line(workspace.from(one.path()));
        return from <= finding.line() && unit.line(workspace.to(one.path())) >= finding.line()
                && crossed.stream().allMatch(to -> !matches(one, to, to) && crossed.stream().anyMatch(each -> matches(one, each, to)));
    }

    private boolean matches(Call one, int argument, int parameter) {
        return bare(one.arguments().get(argument)).equalsIgnoreCase(routine.getParameters().get(parameter).getSimpleName().toString());
    }

    /** The name of what is handed over, without what getters begin with. */
    private static String bare(TreePath argument) {
        Tree tree = argument.getLeaf() instanceof MethodInvocationTree call ? call.getMethodSelect() : argument.getLeaf();
        String name = tree instanceof MemberSelectTree select ? select.getIdentifier().toString() : tree.toString();
        return name.replaceFirst("^(?:get|is)(?=[A-Z])", "").replace("_", "");
    }
}
