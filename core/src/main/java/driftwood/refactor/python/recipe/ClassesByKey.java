package driftwood.refactor.python.recipe;

import driftwood.read.sitter.Cst;
import driftwood.refactor.python.ground.Body;
import driftwood.refactor.python.ground.Decision;
import driftwood.refactor.python.ground.Module;
import driftwood.refactor.python.ground.Outcome;
import driftwood.refactor.python.ground.Outcome.Kind;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Arms that differ in nothing but the class that they make an object of: the table holds the classes themselves.
 *
 * @param classes   in the order of the arms, as written
 * @param arguments of each call, as written, with the parentheses
 */
record ClassesByKey(List<String> classes, String arguments) {

    /** @param beside offset where the table would stand: a class must be known by then */
    static Optional<ClassesByKey> of(Decision decision, Outcome outcome, int beside) {
        Module module = decision.module();
        Set<String> own = decision.function().locals();
        List<String> classes = new ArrayList<>();
        Set<String> arguments = new LinkedHashSet<>();
        for (Decision.Arm arm : decision.arms()) {
            Optional<Cst> made = value(module, arm.body(), outcome).filter(each -> each.is("call"));
            Optional<String> type = made.flatMap(each -> each.part("function")).filter(each -> each.is("identifier")).map(module::text)
                    .filter(each -> Character.isUpperCase(each.charAt(0)) && !own.contains(each) && module.isKnownBefore(each, beside));
            if (type.isEmpty()) {
                return Optional.empty();
            }
            classes.add(type.get());
            arguments.add(module.text(made.get().part("arguments").orElseThrow()));
        }
        return arguments.size() == 1 ? Optional.of(new ClassesByKey(classes, arguments.iterator().next())) : Optional.empty();
    }

    /** What an arm comes to, where it does nothing else and nothing is said of it. */
    private static Optional<Cst> value(Module module, Body body, Outcome outcome) {
        boolean plain = body.statements().size() == 1 && body.notes().isEmpty() && !body.moved("").contains("#");
        if (!plain || outcome.kind() == Kind.ACTS) {
            return Optional.empty();
        }
        Cst only = body.statements().get(0);
        return outcome.kind() == Kind.SETS ? Outcome.assigned(module, only, outcome.stored())
                : Optional.of(only).filter(each -> each.is("return_statement") && each.inner().size() == 1).map(each -> each.inner().get(0));
    }
}
