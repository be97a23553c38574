package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** chain-of-responsibility: handlers that each answer or ask the next. */
final class ChainOfResponsibility implements Pattern {

    @Override
    public String key() {
        return "chain-of-responsibility";
    }

    @Override
    public String what() {
        return "Each handler knows its own limit and either answers a request or passes it on. When one cannot, ask the next: that is the difference to a state.";
    }

    @Override
    public String whenNot() {
        return "The limits never change, or the arms only look something up.";
    }

    @Override
    public List<String> roles() {
        return List.of("handler", "concrete handler", "request");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "threshold-ladder", new Advice(0.52, "each limit can stand beside the handler that it guards, in one list",
                        List.of("Give each rung a handler that knows its limit: {limits}.",
                        "Put the handlers in one list, in the order of the rungs; let the last one answer always.",
                        "Replace the ladder by asking the list for the first that takes the request."),
                        new Cost(1, 18, "the order is read from a list"), "one handler more in the list"));
    }
}
