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
        if (node.path("same").isTextual()) {
            return alive(node.get("same").asText());
        }
        if (node.path("standIn").isTextual()) {
            String name = node.get("standIn").asText();
            return "stand-in " + name.substring(name.lastIndexOf('.') + 1);
        }
        if (node.path("throws").has("is")) {
            return "throws " + of(node.get("throws"));
        }
        if (node.has("is") && node.size() == 2 && node.has("text")) {
            return simple(node) + " " + node.get("text");
        }
        List<String> parts = new ArrayList<>();
        node.properties().forEach(field -> {
            if (!field.getKey().equals("is") && !field.getKey().equals("then")) {
                parts.add(field.getKey() + ": " + of(field.getValue()));
            }
        });
        return (node.has("is") ? simple(node) : "") + "{" + String.join(", ", parts) + "}" + then(node.path("then"));
    }

    /** The calls that bring an object into its state. */
    private static String then(JsonNode steps) {
        StringBuilder text = new StringBuilder();
        for (JsonNode each : steps) {
            String given = of(each.path("given"));
            text.append('.').append(each.path("call").asText()).append('(').append(given, 1, given.length() - 1).append(')');
        }
        return text.toString();
    }

    /** What has a name in a case: the receiver, what a step was handed, what it gave. */
    static String alive(String name) {
        return name.equals("this") ? "it" : name.indexOf('.') < 0 ? "(result of step " + name + ")"
                : "(" + name.substring(name.indexOf('.') + 1) + " of step " + name.substring(0, name.indexOf('.')) + ")";
    }

    private static String simple(JsonNode node) {
        String name = node.get("is").asText();
        return name.substring(name.lastIndexOf('.') + 1);
    }
}
