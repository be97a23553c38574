package driftwood.behaviour.run;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.witness.Outcome;
import driftwood.witness.Outcome.Told;
import driftwood.witness.Value;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Outcomes as JSON for recordings. Nested types are told with a dot, as in sources. */
public final class ValueJson {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private static final Map<String, Function<Value, JsonNode>> FORMS = Map.ofEntries(
            Map.entry("null", value -> NullNode.instance),
            Map.entry("flag", value -> JSON.booleanNode(Boolean.parseBoolean(value.text()))),
            Map.entry("number", value -> number(value.text())),
            Map.entry("text", value -> JSON.textNode(value.text())),
            Map.entry("enum", value -> dotted("enum", value)),
            Map.entry("stand-in", value -> dotted("standIn", value)),
            Map.entry("list", value -> array(value.parts())),
            Map.entry("set", value -> JSON.objectNode().set("set", array(value.parts()))),
            Map.entry("optional", value -> JSON.objectNode().set("optional", array(value.parts()))),
            Map.entry("map", value -> map(value.parts())),
            Map.entry("throws", value -> JSON.objectNode().set("throws", of(value.parts().get(0)))),
            Map.entry("call", ValueJson::call),
            Map.entry("object", ValueJson::object));

    private ValueJson() {
    }

    /** What happened, without what is empty. */
    public static ObjectNode of(Outcome outcome) {
        ObjectNode node = JSON.objectNode();
        if (!outcome.ending().equals("ran")) {
            node.set(outcome.ending(), of(outcome.value()));
        } else if (outcome.steps().isEmpty()) {
            node.set("gives", of(outcome.value()));
        } else {
            steps(outcome, node);
        }
        if (!outcome.out().isEmpty()) {
            node.set("prints", lines(outcome.out()));
        }
        if (!outcome.err().isEmpty()) {
            node.set("complains", lines(outcome.err()));
        }
        if (!outcome.pairs().isEmpty()) {
            ObjectNode pairs = node.putObject("compares");
            outcome.pairs().forEach(each -> pairs.put(each.name(), each.text()));
        }
        if (!outcome.calls().isEmpty()) {
            node.set("asks", array(outcome.calls()));
        }
        if (!outcome.files().isEmpty()) {
            ObjectNode files = node.putObject("files");
            outcome.files().forEach(each -> files.set(each.name(), lines(each.text())));
        }
        return node;
    }

    /** The last step as what happened, those before it on the way. */
    private static void steps(Outcome outcome, ObjectNode node) {
        if (outcome.value().kind().equals("object") && !outcome.value().names().isEmpty()) {
            node.set("starts", of(outcome.value()));
        }
        int last = outcome.steps().size() - 1;
        if (last > 0) {
            ArrayNode before = node.putArray("before");
            outcome.steps().subList(0, last).forEach(each -> {
                ObjectNode step = before.addObject();
                told(each, step);
                if (step.path("gives").isNull()) {
                    step.remove("gives");
                }
            });
        }
        told(outcome.steps().get(last), node);
    }

    private static void told(Told told, ObjectNode node) {
        node.set(told.ending(), of(told.value()));
        if (!told.names().isEmpty()) {
            ObjectNode left = node.putObject("leaves");
            for (int i = 0; i < told.names().size(); i++) {
                left.set(told.names().get(i), of(told.left().get(i)));
            }
        }
    }

    private static ArrayNode lines(String text) {
        ArrayNode lines = JSON.arrayNode();
        List.of(text.split("\n", -1)).forEach(lines::add);
        return lines;
    }

    /** A value; kinds without a form of their own are an object of kind and text. */
    public static JsonNode of(Value value) {
        Function<Value, JsonNode> form = FORMS.get(value.kind());
        return form == null ? JSON.objectNode().put(value.kind(), value.text()) : form.apply(value);
    }

    /** A call on a stand-in: in one piece where all it is handed are numbers, texts and the like. */
    private static JsonNode call(Value value) {
        ArrayNode given = array(value.parts());
        boolean plain = true;
        StringBuilder text = new StringBuilder(value.text()).append('(');
        for (int i = 0; i < given.size(); i++) {
            plain &= given.get(i).isValueNode();
            text.append(i == 0 ? "" : ", ").append(given.get(i));
        }
        return plain ? JSON.textNode(text.append(')').toString())
                : JSON.objectNode().put("call", value.text()).set("given", given);
    }

    private static ObjectNode dotted(String key, Value value) {
        return JSON.objectNode().put(key, value.text().replace('$', '.'));
    }

    /** Whole numbers and decimals exactly as they print; what JSON cannot say is a text with its kind. */
    private static JsonNode number(String text) {
        try {
            if (text.equals("-0.0")) {
                return JSON.objectNode().put("number", text);
            }
            boolean whole = text.indexOf('.') < 0 && text.indexOf('E') < 0;
            return whole ? JSON.numberNode(new BigInteger(text)) : JSON.numberNode(new BigDecimal(text));
        } catch (NumberFormatException e) {
            return JSON.objectNode().put("number", text);
        }
    }

    private static ArrayNode array(List<Value> parts) {
        ArrayNode array = JSON.arrayNode();
        parts.forEach(part -> array.add(of(part)));
        return array;
    }

    private static JsonNode map(List<Value> parts) {
        ArrayNode pairs = JSON.arrayNode();
        for (int i = 0; i + 1 < parts.size(); i += 2) {
            pairs.add(JSON.arrayNode().add(of(parts.get(i))).add(of(parts.get(i + 1))));
        }
        return JSON.objectNode().set("map", pairs);
    }

    private static ObjectNode object(Value value) {
        ObjectNode node = JSON.objectNode().put("is", value.text().replace('$', '.'));
        for (int i = 0; i < value.names().size(); i++) {
            node.set(value.names().get(i), of(value.parts().get(i)));
        }
        return node;
    }
}
