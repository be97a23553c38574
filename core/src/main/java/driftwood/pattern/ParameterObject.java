package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** parameter-object: values that travel together become one. */
final class ParameterObject implements Pattern {

    @Override
    public String key() {
        return "parameter-object";
    }

    @Override
    public String what() {
        return "Values that are always passed together become an object with a name of its own; behaviour that belongs to them follows.";
    }

    @Override
    public String whenNot() {
        return "The values have nothing to do with each other: then the routine does too much.";
    }

    @Override
    public List<String> roles() {
        return List.of("the object", "the routine");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "long-parameter-list", new Advice(0.55, "some of {parameters} travel together and can have a name",
                        List.of("Choose the parameters that travel together.",
                        "Declare a type for them, with their checks.",
                        "Add an overload of {routine} that takes it, and let the old one call it.",
                        "Move the callers over, one at a time; remove the old."),
                        new Cost(1, 14, "one object to create at each call"), "a field of the object, and the callers that set it"),
                "swapped-arguments", new Advice(0.5, "a type of its own for each of {parameters} makes the mix-up impossible",
                        List.of("First ask whether the call is right: it is most likely a defect.",
                        "Correct the call, and write a test that fails with the old one.",
                        "Where it can happen again, give {parameters} types of their own."),
                        new Cost(2, 10, "values are wrapped"), "nothing: the compiler refuses the swap"));
    }
}
