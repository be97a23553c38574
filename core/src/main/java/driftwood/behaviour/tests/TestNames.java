package driftwood.behaviour.tests;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.tree.TypeRef;

/** Names of tests, after what they show: {@code gives40}, {@code throwsIllegalArgumentException}. */
final class TestNames {
    private static final int LONGEST = 32;

    private TestNames() {
    }

    /** @param result declared type of what is handed back */
    static String of(JsonNode outcome, TypeRef result) {
        String after = outcome.path("leaves").has("this") ? "AndChanges" : "";
        if (outcome.has("throws")) {
            return "throws" + simple(outcome.at("/throws/is").asText()) + after;
        }
        if (outcome.has("prints")) {
            return "prints" + after;
        }
        return result.text().equals("void") ? after.isEmpty() ? "passes" : "changes" : "gives" + words(outcome.get("gives")) + after;
    }

    private static String words(JsonNode value) {
        if (value.isNull()) {
            return "Nothing";
        }
        if (value.isArray()) {
            return value.isEmpty() ? "NoElements" : value.size() + (value.size() == 1 ? "Element" : "Elements");
        }
        if (value.isTextual()) {
            return value.asText().isEmpty() ? "EmptyText" : camel(value.asText(), "Text");
        }
        if (value.isValueNode()) {
            return camel(value.asText().replace("-", "minus ").replace(".", " point "), "Number");
        }
        for (String key : new String[] {"enum", "is", "standIn"}) {
            if (value.has(key)) {
                return camel(simple(value.get(key).asText()), "Value");
            }
        }
        return camel(value.fieldNames().next(), "Value");
    }

    private static String simple(String name) {
        return name.substring(Math.max(name.lastIndexOf('.'), name.lastIndexOf('$')) + 1);
    }

    /** Letters and digits of a text, each word with a capital. @param none where there are none */
    private static String camel(String text, String none) {
        StringBuilder all = new StringBuilder();
        boolean upper = true;
        for (char c : text.toCharArray()) {
            boolean part = c < 128 && Character.isLetterOrDigit(c);
            if (part && all.length() < LONGEST) {
                all.append(upper ? Character.toUpperCase(c) : c);
            }
            upper = !part;
        }
        return all.length() == 0 ? none : all.toString();
    }
}
