package driftwood.refactor.python.recipe;

import driftwood.program.TypeOutline;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Chain;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Finding;

/** strategy: what is done for each class moves onto it; what is done for all others, onto their common base. */
final class BehaviourOnClasses implements PythonRecipe {

    @Override
    public String pattern() {
        return "strategy";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Branching branching && branching.onTypes();
    }

    @Override
    public void write(Draft draft) {
        Branching branching = (Branching) draft.finding().detail();
        Chain chain = branching.chain();
        TypeOutline scope = draft.program().type(chain.within()).orElseThrow();
        ArmsOnClasses arms = new ArmsOnClasses(draft, Decision.of(draft.module(), chain), scope, branching.common());
        arms.refuseUnknown(draft.program().projectType(chain.subject().trail(), chain.within()));
        arms.write();
    }
}
