package driftwood.cli.render;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;

/** Recorded values as a reader would write them: {@code Tug{name: "Ada", tonnage: 80}}. */
final class Parts {
    private Parts() {
    }

    static String of(JsonNode node) {
        if (node == null || node.isMissingNode()) {
            return "nothing";
        }
        if (node.isArray()) {
            List<String> items = new ArrayList<>();
            node.forEach(item -> items.add(of(item)));
            return "[" + String.join(", ", items) + "]";
        }
        if (!node.isObject()) {
            return node.toString();
        }
        if (node.has("enum")) {
            String[] words = node.get("enum").asText().split("\\.");
            return words.length < 2 ? words[0] : words[words.length - 2] + "." + words[words.length - 1];
        }
        if (node.has("is") && node.size() == 2 && node.has("text")) {
            return simple(node) + " " + node.get("text");
        }
        List<String> parts = new ArrayList<>();
        node.properties().forEach(field -> {
            if (!field.getKey().equals("is")) {
                parts.add(field.getKey() + ": " + of(field.getValue()));
            }
        });
        return (node.has("is") ? simple(node) : "") + "{" + String.join(", ", parts) + "}";
    }

    private static String simple(JsonNode node) {
        String name = node.get("is").asText();
        return name.substring(name.lastIndexOf('.') + 1);
    }
}
