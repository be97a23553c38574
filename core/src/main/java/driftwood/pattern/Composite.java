package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** composite: containers and leaves answer the same operation, so that nobody asks which is which. */
final class Composite implements Pattern {

    @Override
    public String key() {
        return "composite";
    }

    @Override
    public String what() {
        return "Containers and leaves share one type and answer the same operation; a container passes it on to its children. Clients ask no type.";
    }

    @Override
    public String whenNot() {
        return "The structure is foreign, or one walk is all there will ever be.";
    }

    @Override
    public List<String> roles() {
        return List.of("component", "leaf", "composite");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "container-type-check", new Advice(0.66, "{container} can answer the operation itself, by asking its parts",
                        List.of("Declare the operation on what containers and leaves have in common.",
                        "Let the leaf answer it with what the walk does for leaves now.",
                        "Let {container} answer it by asking each of its parts.",
                        "Let the walks call the operation, one at a time; remove the check."),
                        new Cost(0, 12, "an operation on every part"), "one class that answers the operation"));
    }
}
