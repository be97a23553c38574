package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** required-parts: the constructor asks for what the object cannot do without. */
final class RequiredParts implements Pattern {

    @Override
    public String key() {
        return "required-parts";
    }

    @Override
    public String what() {
        return "Parts that the object cannot do without become parameters of its constructor; what can be left out keeps its setter.";
    }

    @Override
    public String whenNot() {
        return "A framework creates the object and sets its parts: then check them in one place.";
    }

    @Override
    public List<String> roles() {
        return List.of("the type", "required part");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "half-built-object", new Advice(0.6, "the constructor can ask for what {setters} set",
                        List.of("Add a constructor to {type} that takes what {setters} set.",
                        "Move the creation sites over, one at a time.",
                        "Remove the empty constructor, the setters and the checks."),
                        new Cost(0, 4, "none"), "one parameter of the constructor"));
    }
}
