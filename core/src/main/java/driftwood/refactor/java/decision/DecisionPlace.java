package driftwood.refactor.java.decision;

import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.Chain;
import driftwood.smell.Evidence;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;

/**
 * The decision of a finding, and where it stands.
 *
 * @param around   the routine
 * @param home     its type
 * @param path     the type's declaration
 * @param unit     the file
 * @param decision as it is written
 */
public record DecisionPlace(ExecutableElement around, TypeElement home, TreePath path, Unit unit, Decision decision) {

    /**
     * The place of a chain.
     *
     * @param asking what its conditions may ask
     * @throws Refused where it stands in no routine, or cannot be taken apart
     */
    public static DecisionPlace of(Workspace workspace, Chain chain, Asking asking) {
        return of(workspace, chain.routine(), chain.line(), asking);
    }

    /** @param routine symbol @param line where it begins */
    public static DecisionPlace of(Workspace workspace, String routine, int line, Asking asking) {
        if (!Symbol.of(routine).isRoutine()) {
            throw new Refused("the decision stands in the value of a field");
        }
        ExecutableElement around = workspace.routine(routine);
        TypeElement home = (TypeElement) around.getEnclosingElement();
        TreePath path = workspace.path(home).orElseThrow();
        TreePath within = workspace.path(around).orElseThrow();
        return new DecisionPlace(around, home, path, workspace.unit(path), Decision.at(workspace, within, line, asking));
    }

    /** The name that what is made of it begins with. */
    public String word() {
        return around.getKind() == ElementKind.CONSTRUCTOR ? "setUp" : around.getSimpleName().toString();
    }

    /** It as a place for people. */
    public Evidence evidence(String note) {
        return new Evidence(unit.file(), unit.line(decision.from()), unit.line(decision.to()), note);
    }
}
