package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** singleton: one instance and one way to it. */
final class Singleton implements Pattern {

    @Override
    public String key() {
        return "singleton";
    }

    @Override
    public String what() {
        return "The class itself keeps its one instance and hands it out; nobody else can create one.";
    }

    @Override
    public String whenNot() {
        return "The instance can be passed to those who need it: that is nearly always better.";
    }

    @Override
    public List<String> roles() {
        return List.of("the class", "the instance", "the access point");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "uncontrolled-instances", new Advice(0.42, "one instance would hold {resource}; passing it in is better where it can be",
                        List.of("Make the constructor of {type} private.",
                        "Keep one instance in the class, made when first asked for, safely for threads.",
                        "Let every place ask for it."),
                        new Cost(0, 8, "a global way to it"), "nothing: new users ask the access point"));
    }
}
