package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.witness.Outcome;
import driftwood.witness.Value;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Outcomes as JSON for recordings. Nested types are told with a dot, as in sources. */
final class ValueJson {
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
            Map.entry("object", ValueJson::object));

    private ValueJson() {
    }

    /** What happened, without what is empty. */
    static ObjectNode of(Outcome outcome) {
        ObjectNode node = JSON.objectNode();
        node.set(outcome.ending(), of(outcome.value()));
        if (!outcome.out().isEmpty()) {
            node.set("prints", lines(outcome.out()));
        }
        if (!outcome.err().isEmpty()) {
            node.set("complains", lines(outcome.err()));
        }
        if (!outcome.names().isEmpty()) {
            ObjectNode left = node.putObject("leaves");
            for (int i = 0; i < outcome.names().size(); i++) {
                left.set(outcome.names().get(i), of(outcome.left().get(i)));
            }
        }
        if (!outcome.calls().isEmpty()) {
            ArrayNode calls = node.putArray("asks");
            outcome.calls().forEach(calls::add);
        }
        if (!outcome.files().isEmpty()) {
            ObjectNode files = node.putObject("files");
            outcome.files().forEach(each -> files.set(each.name(), lines(each.text())));
        }
        return node;
    }

    private static ArrayNode lines(String text) {
        ArrayNode lines = JSON.arrayNode();
        List.of(text.split("\n", -1)).forEach(lines::add);
        return lines;
    }

    /** A value; kinds without a form of their own are an object of kind and text. */
    static JsonNode of(Value value) {
        Function<Value, JsonNode> form = FORMS.get(value.kind());
        return form == null ? JSON.objectNode().put(value.kind(), value.text()) : form.apply(value);
    }

    private static ObjectNode dotted(String key, Value value) {
        return JSON.objectNode().put(key, value.text().replace('$', '.'));
    }

    /** Whole numbers and decimals exactly as they print; what JSON cannot say is a text with its kind. */
    private static JsonNode number(String text) {
        try {
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
