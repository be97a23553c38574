package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** template-method: the skeleton is written once, what differs is a hook. */
final class TemplateMethod implements Pattern {

    @Override
    public String key() {
        return "template-method";
    }

    @Override
    public String what() {
        return "A parent holds the steps that all share and calls a hook for the one that differs. The skeleton cannot be overridden.";
    }

    @Override
    public String whenNot() {
        return "The types only look alike today and will part ways.";
    }

    @Override
    public List<String> roles() {
        return List.of("template", "hook");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "near-twin-classes", new Advice(0.56, "what {twins} share can stand in one parent, and {differs} is the hook",
                        List.of("Give {twins} a common parent.",
                        "Move what is the same into it, routine by routine.",
                        "Leave in each twin only: {differs}."),
                        new Cost(1, -10, "the steps are read in the parent"), "one subclass with a hook"));
    }
}
