package driftwood.behaviour;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recording.Step;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;

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
    private final List<String> words = new ArrayList<>();
    private final List<Long> numbers = new ArrayList<>();
    private final Random random;

    /**
     * @param constants that the code under observation compares with, or knows
     * @param seed      the same gives the same
     */
    Neighbours(Collection<Literal> constants, long seed) {
        this.random = new Random(seed);
        texts(constants, LiteralKind.STRING).forEach(words::add);
        texts(constants, LiteralKind.CHARACTER).forEach(each -> words.add(each.replaceAll("^'(.+)'$", "$1")));
        texts(constants, LiteralKind.INTEGER).forEach(each -> number(each).ifPresent(numbers::add));
        texts(constants, LiteralKind.DECIMAL).filter(each -> each.endsWith(".0")).forEach(each ->
                number(each.replace(".0", "")).ifPresent(numbers::add));
    }

    private static Stream<String> texts(Collection<Literal> constants, LiteralKind kind) {
        return constants.stream().filter(each -> each.kind() == kind).map(Literal::text);
    }

    private static Optional<Long> number(String text) {
        try {
            return Optional.of(Long.decode(text.replace("_", "").replaceAll("[lL]$", "")));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
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
        return leaf.isNumber() ? number(leaf) : Moments.near(leaf.asText(), random).<JsonNode>map(JSON::textNode)
                .orElseGet(() -> text(leaf.asText()));
    }

    /** One letter large instead of small, or the reverse. */
    private String otherCase(String text) {
        if (text.isEmpty()) {
            return text;
        }
        int at = random.nextInt(text.length());
        char one = text.charAt(at);
        char other = Character.isUpperCase(one) ? Character.toLowerCase(one) : Character.toUpperCase(one);
        return text.substring(0, at) + other + text.substring(at + 1);
    }

    private JsonNode number(JsonNode leaf) {
        if (leaf.isFloatingPointNumber()) {
            double value = leaf.asDouble();
            double[] near = {value + 1, value - 1, -value, value / 2, value * 10, 0, 1, Double.MAX_VALUE};
            return JSON.numberNode(near[random.nextInt(near.length)]);
        }
        long value = leaf.asLong();
        long[] near = {value + 1, value - 1, value + 1, value - 1, -value, value * 2, value * 3, 0, 1, 2, 10,
                Integer.MAX_VALUE, Integer.MIN_VALUE, Integer.MAX_VALUE - random.nextInt(3),
                Integer.MIN_VALUE + random.nextInt(3), 46_340 + random.nextInt(3), 65_535 + random.nextInt(3), random.nextInt(100), random.nextInt(10)};
        boolean known = !numbers.isEmpty() && random.nextInt(3) == 0;
        // What is scaled before it is compared shows at the product of two constants.
        long factor = known && random.nextInt(3) == 0 ? numbers.get(random.nextInt(numbers.size())) : 1;
        long chosen = known ? numbers.get(random.nextInt(numbers.size())) * factor + random.nextInt(3) - 1
                : near[random.nextInt(near.length)];
        boolean small = leaf.isInt() || leaf.isShort();
        return small ? JSON.numberNode((int) Math.max(Integer.MIN_VALUE, Math.min(Integer.MAX_VALUE, chosen)))
                : JSON.numberNode(chosen);
    }

    private JsonNode text(String text) {
        if (text.length() == 1) {
            String word = words.isEmpty() ? text : words.get(random.nextInt(words.size()));
            long code = numbers.isEmpty() ? 'q' : numbers.get(random.nextInt(numbers.size())) + random.nextInt(3) - 1;
            int[] near = {word.isEmpty() ? 'a' : word.charAt(0), word.isEmpty() ? 'b' : word.charAt(word.length() - 1),
                    text.charAt(0) + 1, text.charAt(0) - 1, random.nextInt(128), '0' + random.nextInt(10), 0,
                    Character.MAX_VALUE, (int) Math.min(Character.MAX_VALUE, code)};
            return JSON.textNode(String.valueOf((char) Math.max(0, near[random.nextInt(near.length)])));
        }
        int at = text.isEmpty() ? 0 : random.nextInt(text.length());
        String odd = " aZ09-+.,/xXeE\"'\n_:$#LDf";
        String word = words.isEmpty() ? "" : words.get(random.nextInt(words.size()));
        String any = random.nextBoolean() && !word.isEmpty() ? word
                : String.valueOf(odd.charAt(random.nextInt(odd.length())));
        String changed = switch (random.nextInt(14)) {
            case 0 -> text + any;
            case 1 -> any + text;
            case 2 -> text.substring(0, at) + any + text.substring(at);
            case 3 -> text.isEmpty() ? "" : text.substring(0, at) + text.substring(at + 1);
            case 4 -> text + text;
            case 5 -> any + random.nextInt(20);
            case 6, 7 -> otherCase(text);
            case 8, 9 -> otherCase(word);
            case 10, 11, 12 -> word;
            default -> text.substring(at);
        };
        return JSON.textNode(changed.length() > 200 ? "" : changed);
    }
}
