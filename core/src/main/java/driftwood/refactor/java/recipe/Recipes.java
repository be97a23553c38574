package driftwood.refactor.java.recipe;

import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.recipe.construction.BuilderForLadder;
import driftwood.refactor.java.recipe.construction.BuilderForParts;
import driftwood.refactor.java.recipe.construction.HandedFactory;
import driftwood.refactor.java.recipe.construction.InjectCollaborator;
import driftwood.refactor.java.recipe.construction.InstancePassedIn;
import driftwood.refactor.java.recipe.construction.MandatoryWrapper;
import driftwood.refactor.java.recipe.construction.NamedCreations;
import driftwood.refactor.java.recipe.construction.OverridableCreation;
import driftwood.refactor.java.recipe.construction.RequiredParts;
import driftwood.refactor.java.recipe.construction.SharedInstance;
import driftwood.refactor.java.recipe.construction.StartLater;
import driftwood.refactor.java.recipe.construction.StepsByName;
import driftwood.refactor.java.recipe.kind.BehaviourOnSides;
import driftwood.refactor.java.recipe.kind.BehaviourOnVariants;
import driftwood.refactor.java.recipe.kind.CreationRoutine;
import driftwood.refactor.java.recipe.kind.FlagAsType;
import driftwood.refactor.java.recipe.kind.HandlerTable;
import driftwood.refactor.java.recipe.kind.HandlersInTurn;
import driftwood.refactor.java.recipe.kind.OneWay;
import driftwood.refactor.java.recipe.kind.PartsAsType;
import driftwood.refactor.java.recipe.kind.PartsThatAnswer;
import driftwood.refactor.java.recipe.kind.ValuesAsType;
import driftwood.refactor.java.recipe.kind.VisitedVariants;
import driftwood.refactor.java.recipe.nothing.EmptyResult;
import driftwood.refactor.java.recipe.nothing.NeutralField;
import driftwood.refactor.java.recipe.nothing.NeutralObject;
import driftwood.refactor.java.recipe.nothing.OptionalResult;
import driftwood.refactor.java.recipe.routine.ComputedByAnother;
import driftwood.refactor.java.recipe.routine.MoveRoutine;
import driftwood.refactor.java.recipe.routine.ParameterObject;
import driftwood.refactor.java.recipe.routine.SplitFlag;
import driftwood.refactor.java.recipe.routine.TellListeners;
import driftwood.refactor.java.recipe.routine.TypesForValues;
import driftwood.refactor.java.recipe.routine.WorkBehindGuards;
import driftwood.refactor.java.recipe.twin.OneClass;
import driftwood.refactor.java.recipe.twin.SharedParent;
import driftwood.refactor.java.recipe.twin.TwoDirections;
import driftwood.refactor.java.recipe.twin.WayHandedIn;
import driftwood.refactor.java.recipe.twin.WordAround;
import driftwood.smell.Finding;
import java.util.List;

/** All recipes; those for a shape stand before those for any. */
public final class Recipes {
    private static final List<Recipe> ALL = List.of(new SplitFlag(), new BuilderForLadder(), new ParameterObject(),
            new BehaviourOnVariants("strategy"), new BehaviourOnVariants("state"), new ValuesAsType("strategy"), new ValuesAsType("state"), new BehaviourOnSides(), new FlagAsType(), new HandlerTable("registry"), new HandlerTable("strategy"), new CreationRoutine(false), new CreationRoutine(true), new MoveRoutine(), new ComputedByAnother(), new InjectCollaborator(),
            new OptionalResult(), new MandatoryWrapper(), new StartLater(),
            new RequiredParts(), new BuilderForParts(), new NamedCreations(), new SharedInstance(), new TellListeners(),
            new HandlersInTurn(), new SharedParent(), new OneClass(), new WayHandedIn(), new EmptyResult(), new NeutralObject(), new NeutralField(), new PartsThatAnswer(), new PartsAsType(), new TypesForValues(),
            new VisitedVariants(), new OneWay(), new OverridableCreation(), new HandedFactory(), new StepsByName(), new InstancePassedIn(), new WorkBehindGuards(), new TwoDirections(), new WordAround());

    private Recipes() {
    }

    /** Those for a finding, in the order in which they are tried. @param pattern key */
    public static List<Recipe> of(Finding finding, String pattern) {
        return ALL.stream().filter(each -> each.pattern().equals(pattern) && each.answers(finding)).toList();
    }
}
