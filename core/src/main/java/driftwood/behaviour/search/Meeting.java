package driftwood.behaviour.search;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.slip.TrialResults.Pair;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Makes of a case, in which two values were compared that are not equal, one in which they may be: where one of them
 * stands among its values, the other takes its place; else a number moves by as much as they differ.
 */
final class Meeting {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** Right beside the other is worth as much as equal. */
    private static final int[] BESIDE = {0, 0, 0, 1, -1};

    private final Random random;

    Meeting(Random random) {
        this.random = random;
    }

    /** Another case; empty where nothing in it can be moved. */
    Optional<Case> of(Case from, Pair pair) {
        Sequence one = Sequence.of(from);
        List<JsonNode> leaves = Sequence.leaves(one.tree());
        return (pair.numbers() ? number(leaves, pair) : text(leaves, pair))
                .map(moved -> one.with(Sequence.replaced(one.tree(), moved.at(), moved.to())).told());
    }

    /** A case with a number in the place of one of its numbers, or away by as much from another. */
    Optional<Case> with(Case from, String number) {
        Sequence one = Sequence.of(from);
        List<JsonNode> leaves = Sequence.leaves(one.tree());
        List<Integer> numbers = new ArrayList<>();
        for (int i = 0; i < leaves.size(); i++) {
            if (leaves.get(i).isNumber()) {
                numbers.add(i);
            }
        }
        if (numbers.isEmpty()) {
            return Optional.empty();
        }
        int at = numbers.get(random.nextInt(numbers.size()));
        BigDecimal wanted = new BigDecimal(number);
        if (random.nextInt(3) == 0) {
            BigDecimal other = leaves.get(numbers.get(random.nextInt(numbers.size()))).decimalValue();
            wanted = random.nextBoolean() ? other.add(wanted) : other.subtract(wanted);
        }
        return Optional.of(one.with(Sequence.replaced(one.tree(), at, like(leaves.get(at), wanted))).told());
    }

    /** A leaf, by its number, and what takes its place. */
    private record Moved(int at, JsonNode to) {
    }

    private Optional<Moved> number(List<JsonNode> leaves, Pair pair) {
        BigDecimal one = new BigDecimal(finite(pair.one()));
        BigDecimal other = new BigDecimal(finite(pair.other()));
        List<Moved> equal = new ArrayList<>();
        List<Integer> numbers = new ArrayList<>();
        int beside = BESIDE[random.nextInt(BESIDE.length)];
        for (int i = 0; i < leaves.size(); i++) {
            if (leaves.get(i).isNumber()) {
                numbers.add(i);
                if (leaves.get(i).decimalValue().compareTo(one) == 0) {
                    equal.add(new Moved(i, like(leaves.get(i), other.add(BigDecimal.valueOf(beside)))));
                } else if (leaves.get(i).decimalValue().compareTo(other) == 0) {
                    equal.add(new Moved(i, like(leaves.get(i), one.add(BigDecimal.valueOf(beside)))));
                }
            }
        }
        if (!equal.isEmpty() && random.nextInt(4) > 0) {
            return Optional.of(equal.get(random.nextInt(equal.size())));
        }
        if (numbers.isEmpty()) {
            return Optional.empty();
        }
        int at = numbers.get(random.nextInt(numbers.size()));
        BigDecimal way = random.nextBoolean() ? other.subtract(one) : one.subtract(other);
        return Optional.of(new Moved(at, like(leaves.get(at), leaves.get(at).decimalValue().add(way).add(BigDecimal.valueOf(beside)))));
    }

    private static String finite(String number) {
        return number.endsWith("y") || number.equals("NaN") ? "0" : number;
    }

    private static JsonNode like(JsonNode leaf, BigDecimal number) {
        if (leaf.isFloatingPointNumber()) {
            return JSON.numberNode(number.doubleValue());
        }
        long whole = number.longValue();
        return leaf.isInt() ? JSON.numberNode((int) Math.max(Integer.MIN_VALUE, Math.min(Integer.MAX_VALUE, whole))) : JSON.numberNode(whole);
    }

    private Optional<Moved> text(List<JsonNode> leaves, Pair pair) {
        List<Moved> moves = new ArrayList<>();
        for (int i = 0; i < leaves.size(); i++) {
            String leaf = leaves.get(i).isTextual() ? leaves.get(i).asText() : null;
            if (leaf != null) {
                swapped(leaf, pair.one(), pair.other()).ifPresent(to(moves, i));
                swapped(leaf, pair.other(), pair.one()).ifPresent(to(moves, i));
            }
        }
        return moves.isEmpty() ? Optional.empty() : Optional.of(moves.get(random.nextInt(moves.size())));
    }

    private static java.util.function.Consumer<String> to(List<Moved> moves, int at) {
        return text -> moves.add(new Moved(at, JSON.textNode(text)));
    }

    private static Optional<String> swapped(String leaf, String from, String to) {
        if (leaf.equals(from)) {
            return Optional.of(to);
        }
        return !from.isEmpty() && leaf.contains(from) ? Optional.of(leaf.replace(from, to)) : Optional.empty();
    }
}
