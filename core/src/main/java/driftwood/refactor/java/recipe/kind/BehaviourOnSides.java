package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.ConditionalExpressionTree;
import com.sun.source.tree.IfTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.TreePath;
import driftwood.program.Symbol;
import driftwood.refactor.Refused;
import driftwood.refactor.java.decision.Decision.Asking;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Workspace;
import driftwood.smell.RoutineFacts.Flag;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javax.lang.model.element.Element;
import javax.lang.model.element.ElementKind;
import javax.lang.model.element.ExecutableElement;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;

/** strategy for a flag whose two sides are the constants of a type: each does what is done for it. */
public final class BehaviourOnSides implements FlagRecipe {

    @Override
    public void write(Drafting drafting) {
        Flag fact = (Flag) drafting.finding().detail();
        Workspace workspace = drafting.workspace();
        ExecutableElement routine = routine(workspace, fact);
        VariableElement mode = routine.getParameters().get(fact.at());
        List<Answering> all = new ArrayList<>();
        Set<String> names = new LinkedHashSet<>();
        for (TreePath use : workspace.uses().of(mode, workspace.path(routine).orElseThrow())) {
            TreePath decision = use;
            while (!(decision.getLeaf() instanceof IfTree) && !(decision.getLeaf() instanceof ConditionalExpressionTree)) {
                decision = decision.getParentPath();
            }
            boolean asks = use.getParentPath().getLeaf() instanceof BinaryTree compared && compared.getKind() == Tree.Kind.EQUAL_TO;
            if (asks) {
                Answering answering = Answering.ofSides(drafting, DecisionPlace.of(workspace, symbol(fact, mode), workspace.unit(decision).line(workspace.from(decision)), Asking.CONSTANTS),
                        (TypeElement) workspace.types().asElement(mode.asType()), names);
                if (all.stream().anyMatch(answering::meets)) {
                    throw new Refused("the flag is asked again within what is done for one side");
                }
                all.add(answering);
            }
        }
        all.forEach(Answering::write);
    }

    private static ExecutableElement routine(Workspace workspace, Flag fact) {
        Symbol symbol = Symbol.of(fact.routine());
        TypeElement owner = workspace.type(symbol.type());
        for (Element each : owner.getEnclosedElements()) {
            if (each instanceof ExecutableElement found && workspace.written(found).isPresent() && found.getParameters().size() > fact.at()) {
                Element type = workspace.types().asElement(found.getParameters().get(fact.at()).asType());
                boolean sides = type != null && type.getKind() == ElementKind.ENUM && owner.equals(type.getEnclosingElement());
                if (sides && workspace.routine(symbol(fact, found.getParameters().get(fact.at()))).equals(found)) {
                    return found;
                }
            }
        }
        throw new Refused("the two sides of the flag have no names yet");
    }

    /** The routine's symbol, with the type of the sides in the flag's place. */
    private static String symbol(Flag fact, VariableElement mode) {
        int open = fact.routine().indexOf('(');
        String[] parameters = fact.routine().substring(open + 1, fact.routine().length() - 1).split(",");
        String type = mode.asType().toString();
        parameters[fact.at()] = type.substring(type.lastIndexOf('.') + 1);
        return fact.routine().substring(0, open + 1) + String.join(",", parameters) + ")";
    }
}
