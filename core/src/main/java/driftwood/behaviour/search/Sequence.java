package driftwood.behaviour.search;

import driftwood.program.Symbol;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recording.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.IntUnaryOperator;

/**
 * A case as a row of steps, the last call one of them, so that others can be made of it.
 *
 * @param on     the receiver; null for none
 * @param steps  all of them; none for a construction
 * @param symbol of the last call, or of the construction
 */
record Sequence(JsonNode on, List<Step> steps, String symbol) {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Keys under which a word says what a value is rather than what is in it. */
    private static final Set<String> SPELLING = Set.of("is", "by", "enum", "standIn", "array", "call", "of", "same");

    static Sequence of(Case each) {
        List<Step> steps = new ArrayList<>(each.steps());
        if (!each.member().equals("new")) {
            steps.add(Step.call(each.member(), each.given()));
        }
        return new Sequence(each.on(), steps, each.routine());
    }

    Case told() {
        boolean construction = Symbol.of(symbol).member().equals("new");
        return Case.fresh(symbol, on, construction ? steps : steps.subList(0, steps.size() - 1),
                construction ? null : steps.get(steps.size() - 1).given());
    }

    /** With one step more at some place; names of what came later move on. */
    Sequence inserted(int at, Step step) {
        List<Step> all = renumbered(steps, number -> number > at ? number + 1 : number);
        all.add(at, step);
        return new Sequence(on, all, symbol);
    }

    /** With another last call. */
    Sequence ending(Word word) {
        List<Step> all = new ArrayList<>(steps);
        all.add(word.step());
        return new Sequence(on, all, word.symbol());
    }

    /** Without a step, which must not be the last, and without those that need it. */
    Sequence without(int at) {
        List<Step> all = new ArrayList<>(steps);
        all.remove(at);
        List<Step> left = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (i < at || !names(all.get(i)).contains(at + 1)) {
                left.add(all.get(i));
            } else {
                return this;
            }
        }
        return new Sequence(on, renumbered(left, number -> number > at ? number - 1 : number), symbol);
    }

    /** The numbers of the steps that a step refers to. */
    private static Set<Integer> names(Step step) {
        Set<Integer> numbers = new java.util.TreeSet<>();
        tree(step).findValuesAsText("same").forEach(each -> number(each, numbers));
        if (step.of() != null) {
            number(step.of(), numbers);
        }
        return numbers;
    }

    private static void number(String name, Set<Integer> into) {
        if (name.matches("\\d+(\\..*)?")) {
            into.add(Integer.parseInt(name.replaceAll("\\..*", "")));
        }
    }

    private static List<Step> renumbered(List<Step> steps, IntUnaryOperator to) {
        List<Step> all = new ArrayList<>();
        for (Step each : steps) {
            all.add(new Step(each.call(), each.of() == null ? null : renamed(each.of(), to),
                    each.make() == null ? null : renumbered(each.make(), to),
                    each.given() == null ? null : (ObjectNode) renumbered(each.given(), to)));
        }
        return all;
    }

    private static JsonNode renumbered(JsonNode value, IntUnaryOperator to) {
        if (value.isArray()) {
            ArrayNode copy = JSON.arrayNode();
            value.forEach(each -> copy.add(renumbered(each, to)));
            return copy;
        }
        if (!value.isObject()) {
            return value;
        }
        ObjectNode copy = JSON.objectNode();
        value.properties().forEach(each -> copy.set(each.getKey(), each.getKey().equals("same") && each.getValue().isTextual()
                ? JSON.textNode(renamed(each.getValue().asText(), to)) : renumbered(each.getValue(), to)));
        return copy;
    }

    private static String renamed(String name, IntUnaryOperator to) {
        if (!name.matches("\\d+(\\..*)?")) {
            return name;
        }
        String number = name.replaceAll("\\..*", "");
        return to.applyAsInt(Integer.parseInt(number)) + name.substring(number.length());
    }

    /** Receiver and steps in one tree, in which leaves can be counted and replaced. */
    ObjectNode tree() {
        ObjectNode whole = JSON.objectNode();
        whole.set("receiver", on == null ? null : on.deepCopy());
        ArrayNode all = whole.putArray("steps");
        steps.forEach(each -> all.add(tree(each)));
        return whole;
    }

    private static ObjectNode tree(Step step) {
        ObjectNode one = JSON.objectNode();
        one.put("call", step.call());
        one.put("of", step.of());
        one.set("make", step.make() == null ? null : step.make().deepCopy());
        one.set("given", step.given() == null ? null : step.given().deepCopy());
        return one;
    }

    /** The same calls with the values of a tree of the same form. */
    Sequence with(JsonNode whole) {
        List<Step> all = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            JsonNode one = whole.get("steps").get(i);
            all.add(new Step(steps.get(i).call(), steps.get(i).of(), or(one.get("make")),
                    one.get("given") instanceof ObjectNode given ? given : null));
        }
        return new Sequence(or(whole.get("receiver")), all, symbol);
    }

    private static JsonNode or(JsonNode node) {
        return node == null || node.isNull() ? null : node;
    }

    /** The numbers, texts and truth values in a tree, in order. */
    static List<JsonNode> leaves(JsonNode tree) {
        List<JsonNode> into = new ArrayList<>();
        leaves(tree, into);
        return into;
    }

    private static void leaves(JsonNode node, List<JsonNode> into) {
        if (node.isObject()) {
            node.properties().forEach(field -> {
                if (!isSpelling(field.getKey(), field.getValue())) {
                    leaves(field.getValue(), into);
                }
            });
        } else if (node.isArray()) {
            node.forEach(each -> leaves(each, into));
        } else if (isLeaf(node)) {
            into.add(node);
        }
    }

    private static boolean isSpelling(String key, JsonNode value) {
        return SPELLING.contains(key) && value.isTextual();
    }

    private static boolean isLeaf(JsonNode node) {
        return node.isNumber() || node.isTextual() || node.isBoolean();
    }

    /** A tree with one leaf replaced. @param at which, from 0 */
    static JsonNode replaced(JsonNode tree, int at, JsonNode other) {
        return replaced(tree, new int[] {at}, other);
    }

    private static JsonNode replaced(JsonNode node, int[] left, JsonNode other) {
        if (node.isObject()) {
            ObjectNode copy = JSON.objectNode();
            node.properties().forEach(field -> copy.set(field.getKey(), isSpelling(field.getKey(), field.getValue())
                    ? field.getValue() : replaced(field.getValue(), left, other)));
            return copy;
        }
        if (node.isArray()) {
            ArrayNode copy = JSON.arrayNode();
            node.forEach(each -> copy.add(replaced(each, left, other)));
            return copy;
        }
        return isLeaf(node) && left[0]-- == 0 ? other : node;
    }
}
