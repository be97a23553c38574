package driftwood.behaviour.tests;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.MissingNode;
import driftwood.behaviour.tests.JavaCode.CannotWrite;
import driftwood.witness.Make;
import driftwood.witness.Script;
import driftwood.witness.Script.Step;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Writes the steps of a case as Java statements: what later steps need gets a name. */
final class JavaSteps {
    private final Script script;
    private final JavaCode code;
    private final JsonNode before;
    private final List<String> lines = new ArrayList<>();
    private final Set<String> taken = new HashSet<>();
    private String receiver;

    /**
     * @param script  of the case
     * @param outcome that was recorded; missing where nothing was
     */
    JavaSteps(Script script, JavaCode code, JsonNode outcome) {
        this.script = script;
        this.code = code;
        this.before = outcome == null ? MissingNode.getInstance() : outcome.path("before");
    }

    /** Statements before the last call. */
    List<String> lines() {
        return lines;
    }

    /** The variable of the receiver, or its type. */
    String receiver() {
        return receiver;
    }

    /** A name that no other statement of the case has. */
    private String free(String wanted) {
        String name = javax.lang.model.SourceVersion.isKeyword(wanted) || wanted.matches("\\d.*") ? "made" : wanted;
        for (int i = 2; !taken.add(name); i++) {
            name = wanted + i;
        }
        return name;
    }

    /**
     * Writes everything up to the last call.
     *
     * @param variable name for the receiver
     * @param type     of static routines
     * @param needed   whether the receiver must have a name
     * @return the last call as an expression; the receiver where there is none
     */
    String write(String variable, String type, boolean needed) throws CannotWrite {
        receiver = type;
        int last = script.steps().size() - 1;
        if (!script.receiver().isEmpty()) {
            String made = code.of(script.receiver().get(0));
            boolean named = needed || last > 0;
            receiver = named ? free(variable) : made;
            if (named) {
                lines.add("var " + receiver + " = " + made + ";");
            }
        }
        code.call(Script.THIS, receiver);
        for (int i = 0; i < last; i++) {
            step(script.steps().get(i), i + 1);
        }
        return last < 0 ? receiver : expression(script.steps().get(last), last + 1);
    }

    private String expression(Step step, int number) throws CannotWrite {
        if (step.of().equals(Script.NEW) || !(step.act() instanceof Make.Call call)) {
            return code.of(step.act());
        }
        for (int i = 0; i < call.arguments().size(); i++) {
            String name = number + "." + step.names().get(i);
            if (isNeeded(name, number)) {
                String variable = free(step.names().get(i));
                lines.add("var " + variable + " = " + code.of(call.arguments().get(i)) + ";");
                code.call(name, variable);
                List<Make> arguments = new ArrayList<>(call.arguments());
                arguments.set(i, new Make.Same(name));
                call = new Make.Call(call.type(), call.receiver(), call.name(), call.parameters(), arguments);
            }
        }
        String on = step.of().isEmpty() || step.of().equals(Script.THIS) ? receiver : code.of(new Make.Same(step.of()));
        return on + "." + code.call(call);
    }

    private void step(Step step, int number) throws CannotWrite {
        JsonNode told = before.path(number - 1);
        if (told.has("skips")) {
            return;
        }
        String expression = expression(step, number);
        if (told.has("throws")) {
            code.needs("org.assertj.core.api.Assertions");
            lines.add("Assertions.catchThrowable(() -> " + expression + ");");
        } else if (isNeeded(Integer.toString(number), number)) {
            String variable = free("given");
            lines.add("var " + variable + " = " + expression + ";");
            code.call(Integer.toString(number), variable);
        } else {
            lines.add(expression + ";");
        }
    }

    /** Whether a step after some number uses what has this name. */
    private boolean isNeeded(String name, int from) {
        return script.steps().stream().skip(from).anyMatch(each -> each.of().equals(name)
                || each.act() instanceof Make.Call call && call.arguments().contains(new Make.Same(name)));
    }
}
