package driftwood.refactor.python.recipe;

import driftwood.program.Symbol;
import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Draft;
import driftwood.refactor.python.ground.Function;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.PythonRecipe;
import driftwood.smell.Finding;
import driftwood.smell.TypeFacts.Descent;
import java.util.Optional;

/** composite: a container answers for its parts as each part answers for itself; nobody asks any more which of them it is. */
final class PartsThatAnswer implements PythonRecipe {

    @Override
    public String pattern() {
        return "composite";
    }

    @Override
    public boolean answers(Finding finding) {
        return finding.detail() instanceof Descent;
    }

    @Override
    public void write(Draft draft) {
        Descent descent = (Descent) draft.finding().detail();
        Module module = draft.module();
        TypeOutline scope = draft.program().type(Symbol.of(draft.finding().symbol()).type()).orElseThrow();
        Function function = draft.modules().function(draft.routine(draft.finding().symbol()));
        String container = Symbol.of(descent.container()).simpleType();
        for (Cst each : Module.all(function.node(), "if_statement")) {
            String asked = each.part("condition").map(module::text).orElse("").replaceAll("\\s", "");
            if (asked.matches("isinstance\\(.+,(\\w+\\.)*" + container + "\\)")) {
                Decision decision = Decision.of(module, module.line(each.start()), 1);
                Optional<PartsAskedTheSame> same = PartsAskedTheSame.of(draft, decision, draft.program().type(descent.container()).orElseThrow());
                if (same.isPresent()) {
                    same.get().write(scope, descent);
                } else if (descent.common().isEmpty()) {
                    throw new Refused("nothing says what a " + container + " and its parts have in common");
                } else {
                    new ArmsOnClasses(draft, decision, scope, descent.common()).write();
                }
                return;
            }
        }
        throw new Refused("the question is asked in a way that is not understood here");
    }
}
