package driftwood.pattern;

import driftwood.pattern.Answer.Cost;
import java.util.List;
import java.util.Map;

/** dependency-injection: a collaborator is handed in instead of created. */
final class Injection implements Pattern {

    @Override
    public String key() {
        return "dependency-injection";
    }

    @Override
    public String what() {
        return "The class asks for its collaborator in its constructor; who puts the program together decides which one it is.";
    }

    @Override
    public String whenNot() {
        return "The collaborator is a value, or has no effect outside.";
    }

    @Override
    public List<String> roles() {
        return List.of("client", "collaborator", "composition root");
    }

    @Override
    public Map<String, Advice> advice() {
        return Map.of(
                "hard-coded-instantiation", new Advice(0.64, "{client} can be handed its {collaborator} through the constructor",
                        List.of("Extract an interface from {collaborator}, with the routines that {client} uses.",
                        "Add a constructor to {client} that takes it; let the old one create and pass it.",
                        "Hand it in where the program is put together; remove the old constructor."),
                        new Cost(1, 8, "it is created where the program is put together"), "nothing: another kind is handed in"),
                "uncontrolled-instances", new Advice(0.62, "one {type}, made once and passed in, keeps {resource} in one hand",
                        List.of("Create one {type} where the program is put together.",
                        "Add it as a parameter to those who create their own.",
                        "Replace their creations, one at a time."),
                        new Cost(0, 6, "it is created where the program is put together"), "nothing: new users are handed the one instance"));
    }
}
