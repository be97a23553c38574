package driftwood.behaviour.recording;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Compares outcomes: where they differ, and whether only in order. */
public final class Comparison {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private Comparison() {
    }

    /**
     * A place where two outcomes differ.
     *
     * @param path     JSON pointer into the outcome
     * @param expected what was recorded, missing where there was nothing
     * @param actual   what is there now
     */
    public record Difference(String path, JsonNode expected, JsonNode actual) {
    }

    /** All places where two outcomes differ, outermost first. @param masked places that are not compared */
    public static List<Difference> differences(JsonNode expected, JsonNode actual, Collection<String> masked) {
        List<Difference> found = new ArrayList<>();
        differences(expected, actual, "", new HashSet<>(masked), found);
        return found;
    }

    private static void differences(JsonNode expected, JsonNode actual, String path, Set<String> masked,
            List<Difference> found) {
        if (masked.contains(path) || expected.equals(actual) || isSameNumber(expected, actual)) {
            return;
        }
        if (expected.isObject() && actual.isObject()) {
            Set<String> names = new LinkedHashSet<>();
            expected.fieldNames().forEachRemaining(names::add);
            actual.fieldNames().forEachRemaining(names::add);
            for (String name : names) {
                differences(orMissing(expected.get(name)), orMissing(actual.get(name)), path + "/" + escaped(name),
                        masked, found);
            }
        } else if (expected.isArray() && actual.isArray() && expected.size() == actual.size()) {
            for (int i = 0; i < expected.size(); i++) {
                differences(expected.get(i), actual.get(i), path + "/" + i, masked, found);
            }
        } else {
            found.add(new Difference(path, expected, actual));
        }
    }

    /** A number read back from a file may be held otherwise than one just made: what is written of it tells. */
    private static boolean isSameNumber(JsonNode expected, JsonNode actual) {
        return expected.isNumber() && actual.isNumber() && expected.asText().equals(actual.asText());
    }

    private static JsonNode orMissing(JsonNode node) {
        return node == null ? MissingNode.getInstance() : node;
    }

    public static String escaped(String name) {
        return name.replace("~", "~0").replace("/", "~1");
    }

    /** Whether two outcomes have the same content in any order: every list sorted, they are equal. */
    public static boolean isReordered(JsonNode expected, JsonNode actual, Collection<String> masked) {
        return sorted(expected, "", Set.copyOf(masked)).equals(sorted(actual, "", Set.copyOf(masked)));
    }

    /** The same value with the lists at some places sorted. */
    public static JsonNode sortedAt(JsonNode node, Collection<String> places) {
        return places.isEmpty() ? node : sortedAt(node, "", Set.copyOf(places));
    }

    private static JsonNode sortedAt(JsonNode node, String path, Set<String> places) {
        if (places.contains(path)) {
            return sorted(node, path, Set.of());
        }
        if (node.isObject()) {
            ObjectNode copy = JSON.objectNode();
            node.properties().forEach(field -> copy.set(field.getKey(),
                    sortedAt(field.getValue(), path + "/" + escaped(field.getKey()), places)));
            return copy;
        }
        if (node.isArray()) {
            ArrayNode copy = JSON.arrayNode();
            for (int i = 0; i < node.size(); i++) {
                copy.add(sortedAt(node.get(i), path + "/" + i, places));
            }
            return copy;
        }
        return node;
    }

    private static JsonNode sorted(JsonNode node, String path, Set<String> masked) {
        if (masked.contains(path)) {
            return JSON.nullNode();
        }
        if (node.isObject()) {
            ObjectNode copy = JSON.objectNode();
            List<String> names = new ArrayList<>();
            node.fieldNames().forEachRemaining(names::add);
            names.stream().sorted().forEach(name ->
                    copy.set(name, sorted(node.get(name), path + "/" + escaped(name), masked)));
            return copy;
        }
        if (node.isArray()) {
            List<JsonNode> items = new ArrayList<>();
            for (int i = 0; i < node.size(); i++) {
                items.add(sorted(node.get(i), path + "/" + i, masked));
            }
            items.sort(Comparator.comparing(JsonNode::toString));
            ArrayNode copy = JSON.arrayNode();
            items.forEach(copy::add);
            return copy;
        }
        return node;
    }
}
