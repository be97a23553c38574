package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** parametrised-class: one class that is given what its twins have written into them. */
final class ParametrisedClass implements Pattern {

    @Override
    public String key() {
        return "parametrised-class";
    }

    @Override
    public String what() {
        return "One class with a field for each value in which the twins differ; the twins become instances.";
    }

    @Override
    public String whenNot() {
        return "They differ in behaviour, not in values.";
    }

    @Override
    public List<String> roles() {
        return List.of("the class", "its values");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "near-twin-classes", new Advice(0.54, "where {twins} differ only in values, one class can be given them",
                        List.of("Give one of the twins a field for each value in which they differ.",
                        "Create it with the values of the others.",
                        "Replace the others by instances; remove their classes."),
                        new Cost(0, -20, "the values stand where the instances are made"), "one instance with its values"));
    }
}
