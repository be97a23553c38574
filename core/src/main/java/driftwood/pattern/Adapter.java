package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** adapter: a class that gives another the interface its client wants. */
final class Adapter implements Pattern {

    @Override
    public String key() {
        return "adapter";
    }

    @Override
    public String what() {
        return "One target interface for the client; an adapter for each class that does the same under another name. Other interface: adapter; same interface and more: decorator.";
    }

    @Override
    public String whenNot() {
        return "Only one client chooses, and there will be no third way.";
    }

    @Override
    public List<String> roles() {
        return List.of("client", "target", "adapter", "adaptee");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "mismatched-interfaces", new Advice(0.62, "one interface can stand for {adaptee}",
                        List.of("Declare the interface that the client wants, with one routine.",
                        "Write an adapter to it for each of {adaptee}.",
                        "Choose once, where the client is made; hand it the interface.",
                        "Replace the choice by a call."),
                        new Cost(3, 24, "one hop through the adapter"), "one adapter more"));
    }
}
