package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** observer: whoever wants to hear of an event registers for it. */
final class Observer implements Pattern {

    @Override
    public String key() {
        return "observer";
    }

    @Override
    public String what() {
        return "Whoever wants to hear of an event registers with the subject; the subject tells all of them in the same way and knows none of them.";
    }

    @Override
    public String whenNot() {
        return "Two collaborators that never change, or an order that matters.";
    }

    @Override
    public List<String> roles() {
        return List.of("subject", "observer", "event");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "hard-wired-notification", new Advice(0.6, "{collaborators} can register to hear of {shared} instead",
                        List.of("Declare an observer with one routine that takes {shared}.",
                        "Write an adapter to it for each of {collaborators}.",
                        "Keep a list of observers; let one that fails not stop the rest.",
                        "Replace the calls by telling the list; register the adapters where the object is made."),
                        new Cost(1, 20, "who hears of it is decided where they are wired together"), "one registration where the program is put together"));
    }
}
