package driftwood.refactor.java.recipe;

import driftwood.refactor.java.ground.Recipe;
import driftwood.smell.Finding;
import java.util.List;

/** All recipes; those for a shape stand before those for any. */
public final class Recipes {
    private static final List<Recipe> ALL = List.of(new SplitFlag(), new BuilderForLadder(), new ParameterObject(),
            new BehaviourOnVariants("strategy"), new BehaviourOnVariants("state"), new HandlerTable(), new CreationRoutine(false), new CreationRoutine(true), new MoveRoutine(), new InjectCollaborator(),
            new OptionalResult(), new MandatoryWrapper(), new StartLater(),
            new RequiredParts(), new NamedCreations(), new SharedInstance(), new TellListeners(),
            new HandlersInTurn(), new SharedParent(), new NeutralObject());

    private Recipes() {
    }

    /** Those for a finding, in the order in which they are tried. @param pattern key */
    public static List<Recipe> of(Finding finding, String pattern) {
        return ALL.stream().filter(each -> each.pattern().equals(pattern) && each.answers(finding)).toList();
    }
}
