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

/** Outcomes as JSON for recordings. Nested types are told with a dot, as in sources. */
final class ValueJson {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

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
        return node;
    }

    private static ArrayNode lines(String text) {
        ArrayNode lines = JSON.arrayNode();
        List.of(text.split("\n", -1)).forEach(lines::add);
        return lines;
    }

    static JsonNode of(Value value) {
        return switch (value.kind()) {
            case "null" -> NullNode.instance;
            case "flag" -> JSON.booleanNode(Boolean.parseBoolean(value.text()));
            case "number" -> number(value.text());
            case "text" -> JSON.textNode(value.text());
            case "char" -> JSON.objectNode().put("char", value.text());
            case "enum" -> JSON.objectNode().put("enum", value.text().replace('$', '.'));
            case "list" -> array(value.parts());
            case "set", "optional" -> JSON.objectNode().set(value.kind(), array(value.parts()));
            case "map" -> map(value.parts());
            case "object" -> object(value);
            case "stand-in" -> JSON.objectNode().put("standIn", value.text().replace('$', '.'));
            default -> JSON.objectNode().put(value.kind(), value.text());
        };
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
