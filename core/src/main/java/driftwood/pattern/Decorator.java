package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** decorator: a wrapper with the same interface that adds to what it wraps. */
final class Decorator implements Pattern {

    @Override
    public String key() {
        return "decorator";
    }

    @Override
    public String what() {
        return "A wrapper of the same interface holds the object, does its part before or after, and passes on every operation.";
    }

    @Override
    public String whenNot() {
        return "One guard only, or an interface of many operations of which one is guarded.";
    }

    @Override
    public List<String> roles() {
        return List.of("component", "decorator", "wrapped");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "bypassed-wrapper", new Advice(0.66, "a creation routine that always wraps {wrapped} in {wrapper} leaves no way around it",
                        List.of("Add a creation routine that returns {wrapped} inside {wrapper}.",
                        "Make the constructor of {wrapped} private, or visible to that routine only.",
                        "Let every place ask the routine; look closely at those that were bare."),
                        new Cost(0, 6, "one creation routine"), "nothing: new callers ask the creation routine"),
                "guard-heavy-method", new Advice(0.5, "the guards can stand around the object instead of inside it",
                        List.of("Extract the interface of the object.",
                        "Move the guards into a wrapper of that interface, which passes on to the object.",
                        "Wrap the object where it is made; leave in the routine only: {core}."),
                        new Cost(2, 24, "one hop through the guard"), "one guard in the wrapper"),
                "subclass-explosion", new Advice(0.5, "what {rows} add can be wrapped around what {columns} are",
                        List.of("Choose the direction that adds to the other: {rows} or {columns}.",
                        "Write one wrapper for each of its words.",
                        "Replace each combination by wrapping; remove the classes."),
                        new Cost(3, 30, "behaviour is put together from two objects"), "one class in one direction"));
    }
}
