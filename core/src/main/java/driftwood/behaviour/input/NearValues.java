package driftwood.behaviour.input;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import driftwood.tree.Literal;
import driftwood.tree.LiteralKind;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;

/** Numbers and texts a little different from others, or equal to what the code compares with. */
public final class NearValues {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    /** What texts that list something put between. */
    private static final String SEPARATORS = "+,; :/-|=.\n";

    private final List<String> words = new ArrayList<>();
    private final List<Long> numbers = new ArrayList<>();
    private final List<Double> decimals = new ArrayList<>();
    private final Random random;

    /** @param constants that the code under observation compares with, or knows */
    public NearValues(Collection<Literal> constants, Random random) {
        this.random = random;
        texts(constants, LiteralKind.STRING).forEach(words::add);
        texts(constants, LiteralKind.CHARACTER).forEach(each -> words.add(each.replaceAll("^'(.+)'$", "$1")));
        texts(constants, LiteralKind.INTEGER).forEach(each -> number(each).ifPresent(numbers::add));
        texts(constants, LiteralKind.DECIMAL).filter(each -> each.endsWith(".0")).forEach(each ->
                number(each.replace(".0", "")).ifPresent(numbers::add));
        texts(constants, LiteralKind.DECIMAL).filter(each -> each.matches("-?[\\d.]+")).map(Double::valueOf).forEach(decimals::add);
        numbers.forEach(each -> decimals.add((double) each));
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

    /** @param others numbers that stand beside it: limits are often their sums with a constant */
    public JsonNode number(JsonNode leaf, List<JsonNode> others) {
        if (!numbers.isEmpty() && !others.isEmpty() && random.nextInt(3) == 0) {
            return sum(leaf, others.get(random.nextInt(others.size())));
        }
        return number(leaf);
    }

    private JsonNode sum(JsonNode leaf, JsonNode other) {
        long constant = numbers.get(random.nextInt(numbers.size())) * (random.nextBoolean() ? 1 : -1) + new int[] {0, 0, 1, -1}[random.nextInt(4)];
        if (leaf.isFloatingPointNumber()) {
            return JSON.numberNode(other.asDouble() + constant);
        }
        long sum = other.asLong() + constant;
        return leaf.isInt() || leaf.isShort() ? JSON.numberNode((int) Math.max(Integer.MIN_VALUE, Math.min(Integer.MAX_VALUE, sum)))
                : JSON.numberNode(sum);
    }

    public JsonNode number(JsonNode leaf) {
        if (leaf.isFloatingPointNumber()) {
            double value = leaf.asDouble();
            if (!decimals.isEmpty() && random.nextInt(3) == 0) {
                double[] beside = {0, 0.5, -0.5, 0.01};
                return JSON.numberNode(decimals.get(random.nextInt(decimals.size())) + beside[random.nextInt(beside.length)]);
            }
            double[] near = {value + 1, value - 1, 0.0 - value, value / 2, value * 10, 0, 1, Double.MAX_VALUE};
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

    public JsonNode text(String text) {
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
        String another = words.isEmpty() ? text : words.get(random.nextInt(words.size()));
        String any = random.nextBoolean() && !word.isEmpty() ? word
                : String.valueOf(odd.charAt(random.nextInt(odd.length())));
        String changed = switch (random.nextInt(17)) {
            case 0 -> text + any;
            case 1 -> any + text;
            case 2 -> text.substring(0, at) + any + text.substring(at);
            case 3 -> text.isEmpty() ? "" : text.substring(0, at) + text.substring(at + 1);
            case 4 -> text + text;
            case 5 -> any + random.nextInt(20);
            case 6, 7 -> otherCase(text);
            case 8, 9 -> otherCase(word);
            case 10, 11, 12 -> word;
            case 13, 14 -> (random.nextBoolean() ? word : text) + SEPARATORS.charAt(random.nextInt(SEPARATORS.length())) + another;
            default -> text.substring(at);
        };
        return JSON.textNode(changed.length() > 200 ? "" : changed);
    }
}
