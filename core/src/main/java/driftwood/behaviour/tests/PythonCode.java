package driftwood.behaviour.tests;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.tests.JavaCode.CannotWrite;
import driftwood.behaviour.view.Ways;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Writes values of recordings as Python expressions, for tests that people keep. */
final class PythonCode {
    private final Program program;
    private final Ways ways;
    private final Set<String> imports = new TreeSet<>();
    private final Map<String, String> variables = new HashMap<>();
    private boolean completes;

    PythonCode(Program program) {
        this.program = program;
        this.ways = new Ways(program);
    }

    /** Statements, sorted. */
    Set<String> imports() {
        return imports;
    }

    /** Whether the routine is needed that sets attributes after construction. */
    boolean completes() {
        return completes;
    }

    /** A type or function by the name that means it here: its module's name and its own. */
    String name(String qualified) throws CannotWrite {
        TypeOutline type = program.type(qualified).orElseThrow(() -> new CannotWrite("the type " + qualified));
        String module = type.name();
        while (!program.type(module).map(TypeOutline::isModule).orElse(true)) {
            module = module.substring(0, module.lastIndexOf('.'));
        }
        imports.add("import " + module);
        return qualified;
    }

    String of(JsonNode value) throws CannotWrite {
        if (value.isNull()) {
            return "None";
        }
        if (value.isBoolean()) {
            return value.asBoolean() ? "True" : "False";
        }
        if (value.isValueNode()) {
            return value.toString();
        }
        if (value.isArray()) {
            return "[" + all(value) + "]";
        }
        if (value.has("is") && !value.has("then")) {
            return object(value);
        }
        if (value.has("same")) {
            return alive(value.get("same").asText());
        }
        if (value.has("then")) {
            throw new CannotWrite("arguments that were called before");
        }
        if (value.has("enum")) {
            String constant = value.get("enum").asText();
            int dot = constant.lastIndexOf('.');
            return name(constant.substring(0, dot)) + constant.substring(dot);
        }
        if (value.has("set")) {
            return value.get("set").isEmpty() ? "set()" : "{" + all(value.get("set")) + "}";
        }
        if (value.has("tuple")) {
            return "(" + all(value.get("tuple")) + (value.get("tuple").size() == 1 ? ",)" : ")");
        }
        if (value.has("optional")) {
            return value.get("optional").isEmpty() ? "None" : of(value.get("optional").get(0));
        }
        if (value.has("map")) {
            List<String> pairs = new ArrayList<>();
            for (JsonNode pair : value.get("map")) {
                pairs.add(of(pair.get(0)) + ": " + of(pair.get(1)));
            }
            return "{" + String.join(", ", pairs) + "}";
        }
        if (value.has("bytes")) {
            return "bytes.fromhex(\"" + value.get("bytes").asText() + "\")";
        }
        return object(value);
    }

    private String all(JsonNode items) throws CannotWrite {
        List<String> written = new ArrayList<>();
        for (JsonNode each : items) {
            written.add(of(each));
        }
        return String.join(", ", written);
    }

    /** From now on something that is alive in a case is called by a variable. */
    void call(String alive, String variable) {
        variables.put(alive, variable);
    }

    /** The variable of something that is alive in the case. */
    String alive(String name) throws CannotWrite {
        if (!variables.containsKey(name)) {
            throw new CannotWrite("what is used again inside of other values");
        }
        return variables.get(name);
    }

    /** Arguments by name. @param number of the step: what has a variable is called by it */
    String arguments(JsonNode given, int number) throws CannotWrite {
        List<String> written = new ArrayList<>();
        if (given != null) {
            for (Map.Entry<String, JsonNode> each : given.properties()) {
                String variable = variables.get(number + "." + each.getKey());
                written.add(each.getKey() + "=" + (variable == null ? of(each.getValue()) : variable));
            }
        }
        return String.join(", ", written);
    }

    private String object(JsonNode value) throws CannotWrite {
        String name = name(value.path("is").asText());
        TypeOutline type = program.type(name).orElseThrow();
        List<String> first = new ArrayList<>();
        List<String> rest = new ArrayList<>();
        Set<String> taken = Set.copyOf(ways.fullest(type).map(Ways.Way::names).orElse(List.of()));
        for (Map.Entry<String, JsonNode> part : value.properties()) {
            if (!part.getKey().equals("is")) {
                (taken.contains(part.getKey()) ? first : rest).add(part.getKey() + "=" + of(part.getValue()));
            }
        }
        String made = name + "(" + String.join(", ", first) + ")";
        completes |= !rest.isEmpty();
        return rest.isEmpty() ? made : "completed(" + made + ", " + String.join(", ", rest) + ")";
    }
}
