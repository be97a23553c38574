package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** separate-routines: a routine for each of two behaviours. */
final class SeparateRoutines implements Pattern {

    @Override
    public String key() {
        return "separate-routines";
    }

    @Override
    public String what() {
        return "Two routines with names that say what they do, instead of one with a flag.";
    }

    @Override
    public String whenNot() {
        return "Callers hold the flag in a variable and would have to ask it themselves.";
    }

    @Override
    public List<String> roles() {
        return List.of("the two routines");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "flag-argument", new Advice(0.62, "callers know which of the two they want, and can say so by name",
                        List.of("Extract each side of the flag {flag} into a routine of its own, named for what it does.",
                        "Let {routine} call them.",
                        "Let each caller with a bare true or false call the one it means; remove {routine} when nobody is left."),
                        new Cost(0, 6, "none"), "one more routine"));
    }
}
