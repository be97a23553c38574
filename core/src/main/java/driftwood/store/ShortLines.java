package driftwood.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import java.util.ArrayList;
import java.util.List;

/** JSON to read and to compare: what fits on a line stands on one. */
final class ShortLines {
    private static final int WIDTH = 110;
    /** Numbers stay as they are written: 1.0 is not 1. */
    private static final ObjectMapper MAPPER = new ObjectMapper()
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .enable(DeserializationFeature.USE_BIG_INTEGER_FOR_INTS)
            .configure(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES, false);

    private ShortLines() {
    }

    static String of(Object value) throws JsonProcessingException {
        StringBuilder text = new StringBuilder();
        write(MAPPER.readTree(MAPPER.writeValueAsString(value)), 0, 0, text);
        return text.append('\n').toString();
    }

    /** @param used what the line begins with beside blanks */
    private static void write(JsonNode node, int indent, int used, StringBuilder text) throws JsonProcessingException {
        String brief = brief(node);
        if (node.isEmpty() || indent > 0 && indent + used + brief.length() <= WIDTH) {
            text.append(brief);
            return;
        }
        List<String> keys = new ArrayList<>();
        node.fieldNames().forEachRemaining(keys::add);
        String blanks = " ".repeat(indent + 2);
        text.append(node.isArray() ? "[" : "{").append('\n');
        for (int i = 0; i < node.size(); i++) {
            String key = node.isArray() ? "" : MAPPER.writeValueAsString(keys.get(i)) + ": ";
            text.append(blanks).append(key);
            write(node.isArray() ? node.get(i) : node.get(keys.get(i)), indent + 2, key.length(), text);
            text.append(i + 1 < node.size() ? ",\n" : "\n");
        }
        text.append(" ".repeat(indent)).append(node.isArray() ? ']' : '}');
    }

    private static String brief(JsonNode node) throws JsonProcessingException {
        List<String> parts = new ArrayList<>();
        if (node.isArray()) {
            for (JsonNode each : node) {
                parts.add(brief(each));
            }
            return "[" + String.join(", ", parts) + "]";
        }
        if (node.isObject()) {
            for (var each : node.properties()) {
                parts.add(MAPPER.writeValueAsString(each.getKey()) + ": " + brief(each.getValue()));
            }
            return "{" + String.join(", ", parts) + "}";
        }
        return MAPPER.writeValueAsString(node);
    }
}
