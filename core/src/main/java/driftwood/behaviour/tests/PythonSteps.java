package driftwood.behaviour.tests;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import driftwood.behaviour.tests.JavaCode.CannotWrite;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Writes the steps of a case as Python statements: what later steps need gets a name. */
final class PythonSteps {
    private final Case each;
    private final PythonCode code;
    private final JsonNode before;
    private final List<String> lines = new ArrayList<>();
    private String receiver;

    PythonSteps(Case each, PythonCode code) {
        this.each = each;
        this.code = code;
        this.before = each.outcome() == null ? MissingNode.getInstance() : each.outcome().path("before");
    }

    /** Statements before the last call. */
    List<String> lines() {
        return lines;
    }

    /** The variable of the receiver, or what is called on. */
    String receiver() {
        return receiver;
    }

    /** Writes everything up to the last call. @param needed whether the receiver must have a name @return the last call */
    String write(boolean needed) throws CannotWrite {
        boolean bound = each.on() != null && !each.on().isNull();
        String made = bound ? code.of(each.on()) : code.name(each.owner());
        receiver = made;
        if (bound && (needed || !each.steps().isEmpty())) {
            receiver = "it";
            lines.add("it = " + made);
        }
        for (int i = 0; i < each.steps().size(); i++) {
            Step step = each.steps().get(i);
            int number = i + 1;
            if (before.path(i).has("skips")) {
                continue;
            }
            String expression = step.make() != null ? code.of(step.make()) : called(step.of(), step.call(), step.given(), number);
            if (before.path(i).has("throws")) {
                lines.add("with self.assertRaises(Exception):");
                lines.add("    " + expression);
            } else if (isNeeded(Integer.toString(number))) {
                lines.add("given_" + number + " = " + expression);
                code.call(Integer.toString(number), "given_" + number);
            } else {
                lines.add(expression);
            }
        }
        return each.member().equals("new") ? receiver : called(null, each.member(), each.given(), each.steps().size() + 1);
    }

    private String called(String of, String name, JsonNode given, int number) throws CannotWrite {
        String on = of == null || of.equals("this") ? receiver : code.alive(of);
        if (given != null) {
            for (Map.Entry<String, JsonNode> argument : given.properties()) {
                String alive = number + "." + argument.getKey();
                if (isNeeded(alive)) {
                    String variable = argument.getKey() + "_" + number;
                    lines.add(variable + " = " + code.of(argument.getValue()));
                    code.call(alive, variable);
                }
            }
        }
        return on + "." + name + "(" + code.arguments(given, number) + ")";
    }

    /** Whether some step uses what has this name. */
    private boolean isNeeded(String name) {
        return each.steps().stream().anyMatch(step -> name.equals(step.of()) || uses(step.given(), name)) || uses(each.given(), name);
    }

    private static boolean uses(JsonNode given, String name) {
        return given != null && given.findValuesAsText("same").contains(name);
    }
}
