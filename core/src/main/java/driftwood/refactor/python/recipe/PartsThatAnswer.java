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
        if (descent.common().isEmpty()) {
            throw new Refused("nothing says what a " + Symbol.of(descent.container()).simpleType() + " and its parts have in common");
        }
        Module module = draft.module();
        TypeOutline scope = draft.program().type(Symbol.of(draft.finding().symbol()).type()).orElseThrow();
        Function function = draft.modules().function(draft.routine(draft.finding().symbol()));
        String container = Symbol.of(descent.container()).simpleType();
        for (Cst each : Module.all(function.node(), "if_statement")) {
            String asked = each.part("condition").map(module::text).orElse("").replaceAll("\\s", "");
            if (asked.matches("isinstance\\(.+,(\\w+\\.)*" + container + "\\)")) {
                new ArmsOnClasses(draft, Decision.of(module, module.line(each.start()), 1), scope, descent.common()).write();
                return;
            }
        }
        throw new Refused("the question is asked in a way that is not understood here");
    }
}
