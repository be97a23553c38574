package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recording.Step;
import driftwood.tree.Literal;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * Cases close to one that is known: one of its values a little different, or equal to another of its values, which is
 * what it takes to tell limits and conditions apart.
 */
final class Neighbours {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    /** Calls that may come before another, for each type. */
    private static final int MOST_STEPS = 400;
    /** Calls before the observed one. */
    private static final int LONGEST = 5;

    private final Map<String, List<Step>> steps = new HashMap<>();
    private final Random random;
    private final NearValues near;

    /**
     * @param constants that the code under observation compares with, or knows
     * @param seed      the same gives the same
     */
    Neighbours(Collection<Literal> constants, long seed) {
        this.random = new Random(seed);
        this.near = new NearValues(constants, random);
    }

    /** Some neighbours of a case, none of them the case itself. */
    List<Case> of(Case from, int most) {
        List<JsonNode> values = new ArrayList<>();
        leaves(whole(from), values);
        Set<JsonNode> told = new LinkedHashSet<>(List.of(whole(from)));
        List<Case> found = new ArrayList<>();
        for (int i = 0; i < 3 * most && found.size() < most && !values.isEmpty(); i++) {
            Optional<Case> another = random.nextInt(4) == 0 ? otherwiseCome(from) : Optional.empty();
            if (another.isPresent()) {
                if (told.add(whole(another.get()))) {
                    found.add(another.get());
                }
                continue;
            }
            int[] left = {random.nextInt(values.size())};
            JsonNode other = other(values.get(left[0]), values);
            ObjectNode changed = (ObjectNode) replaced(whole(from), left, other);
            if (told.add(changed)) {
                found.add(apart(from, changed));
            }
        }
        return found;
    }

    /** Remembers which calls there are, so that others can be preceded by them. */
    void learn(Collection<Case> cases) {
        for (Case each : cases) {
            int hash = each.routine().indexOf('#');
            int open = each.routine().indexOf('(');
            if (each.on() != null && !each.on().isNull() && open > 0) {
                List<Step> known = steps.computeIfAbsent(each.routine().substring(0, hash), key -> new ArrayList<>());
                if (known.size() < MOST_STEPS) {
                    known.add(new Step(each.routine().substring(hash + 1, open), each.given()));
                }
            }
        }
    }

    /** The case after one call more, or one less; empty where no call is known. */
    private Optional<Case> otherwiseCome(Case from) {
        List<Step> known = steps.getOrDefault(from.routine().substring(0, from.routine().indexOf('#')), List.of());
        if (from.on() == null || from.on().isNull() || known.isEmpty()) {
            return Optional.empty();
        }
        List<Step> before = new ArrayList<>(from.before() == null ? List.of() : from.before());
        if (before.size() >= LONGEST || !before.isEmpty() && random.nextInt(4) == 0) {
            before.remove(random.nextInt(before.size()));
        } else {
            before.add(random.nextInt(before.size() + 1), known.get(random.nextInt(known.size())));
        }
        return Optional.of(new Case("", from.routine(), from.on(), before, from.given(), null, List.of(), List.of()));
    }

    /** A case with numbers made equal, two at a time: what tells {@code <} from {@code <=}. @param most how many */
    static List<Case> aligned(Case from, int most) {
        List<JsonNode> values = new ArrayList<>();
        leaves(whole(from), values);
        List<Case> found = new ArrayList<>();
        for (int i = values.size() - 1; i >= 0; i--) {
            for (int j = 0; j < values.size() && found.size() < most; j++) {
                boolean numbers = values.get(i).isIntegralNumber() && values.get(j).isIntegralNumber();
                if (numbers && !values.get(i).equals(values.get(j))) {
                    found.add(apart(from, (ObjectNode) replaced(whole(from), new int[] {i}, values.get(j))));
                }
            }
        }
        return found;
    }

    /** Receiver, steps and arguments in one tree. */
    private static ObjectNode whole(Case from) {
        ObjectNode whole = JSON.objectNode();
        whole.set("on", from.on());
        ArrayNode steps = whole.putArray("before");
        for (Step step : from.before() == null ? List.<Step>of() : from.before()) {
            ObjectNode one = steps.addObject();
            one.put("call:", step.call());
            one.set("given", step.given());
        }
        whole.set("given", from.given());
        return whole;
    }

    private static Case apart(Case from, ObjectNode whole) {
        List<Step> steps = new ArrayList<>();
        whole.get("before").forEach(each -> steps.add(new Step(each.get("call:").asText(), object(each.get("given")))));
        JsonNode on = whole.get("on");
        return new Case("", from.routine(), on == null || on.isNull() ? null : on, steps, object(whole.get("given")), null,
                List.of(), List.of());
    }

    private static ObjectNode object(JsonNode node) {
        return node instanceof ObjectNode object ? object : null;
    }

    /** Whether a field says what a value is rather than what is in it. */
    private static boolean isSpelling(String name) {
        return name.equals("is") || name.equals("by") || name.equals("enum") || name.equals("standIn")
                || name.equals("type") || name.equals("call:");
    }

    private static void leaves(JsonNode node, List<JsonNode> into) {
        if (node.isObject()) {
            node.properties().forEach(field -> {
                if (!isSpelling(field.getKey())) {
                    leaves(field.getValue(), into);
                }
            });
        } else if (node.isArray()) {
            node.forEach(each -> leaves(each, into));
        } else if (node.isNumber() || node.isTextual() || node.isBoolean()) {
            into.add(node);
        }
    }

    /** @param left how many leaves are still to be passed by; counted down */
    private static JsonNode replaced(JsonNode node, int[] left, JsonNode other) {
        if (node.isObject()) {
            ObjectNode copy = JSON.objectNode();
            node.properties().forEach(field -> copy.set(field.getKey(), isSpelling(field.getKey()) ? field.getValue()
                    : replaced(field.getValue(), left, other)));
            return copy;
        }
        if (node.isArray()) {
            ArrayNode copy = JSON.arrayNode();
            node.forEach(each -> copy.add(replaced(each, left, other)));
            return copy;
        }
        boolean leaf = node.isNumber() || node.isTextual() || node.isBoolean();
        return leaf && left[0]-- == 0 ? other : node;
    }

    private JsonNode other(JsonNode leaf, List<JsonNode> values) {
        if (leaf.isBoolean()) {
            return JSON.booleanNode(!leaf.asBoolean());
        }
        List<JsonNode> alike = values.stream().filter(each -> !each.equals(leaf)
                && each.getNodeType() == leaf.getNodeType()).toList();
        if (!alike.isEmpty() && random.nextInt(3) == 0) {
            return alike.get(random.nextInt(alike.size()));
        }
        return leaf.isNumber() ? near.number(leaf) : Moments.near(leaf.asText(), random).<JsonNode>map(JSON::textNode)
                .orElseGet(() -> near.text(leaf.asText()));
    }
}
