package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** move-routine: a routine goes to the object whose parts it uses. */
final class MoveRoutine implements Pattern {

    @Override
    public String key() {
        return "move-routine";
    }

    @Override
    public String what() {
        return "The routine becomes one of the object whose parts it uses; the old place passes on, or goes.";
    }

    @Override
    public String whenNot() {
        return "The object is foreign, or the routine is one of many outputs it should not know of.";
    }

    @Override
    public List<String> roles() {
        return List.of("the routine", "its home");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "misplaced-behaviour", new Advice(0.58, "the place of {routine} is on {home}, which has what it needs",
                        List.of("Copy {routine} into {home}, with what it needs from here as parameters.",
                        "Let the old routine call the new one.",
                        "Let callers ask {home}; remove the old one."),
                        new Cost(0, 4, "none"), "one place: {home}"));
    }
}
