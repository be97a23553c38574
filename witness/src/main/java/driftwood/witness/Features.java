package driftwood.witness;

import driftwood.witness.Outcome.Told;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;

/**
 * What happens in a case in coarse numbers: which step ended how and changed what, alone and after the one before it. A
 * case with a number that none had before is worth keeping in mind. What was come to, how often, and the shape of what was
 * printed are numbers from 0; what happened after what are numbers below. They guide the search and are not recorded.
 */
final class Features {
    private static final int MOST_LINES = 12;

    /** How much of a value counts, by what it is; of any other its text. */
    private static final Map<String, Function<Value, String>> COARSE = Map.of(
            "number", value -> value.text().startsWith("-") ? "minus" : value.text().matches("[0.]+") ? "none" : "some",
            "text", value -> value.text().isEmpty() ? "" : "text",
            "list", Features::size, "set", Features::size, "map", Features::size, "optional", Features::size);

    private Features() {
    }

    /**
     * Of one case.
     *
     * @param visits how often code came to each place
     * @param states inner states of the receiver, before the first step and after each
     */
    static List<Integer> of(Script script, Outcome outcome, Map<Integer, Integer> visits, List<Long> states) {
        Set<Integer> strong = new LinkedHashSet<>();
        Set<Integer> features = new LinkedHashSet<>();
        List<Integer> kinds = new ArrayList<>();
        for (int i = 0; i < outcome.steps().size(); i++) {
            Script.Step step = script.steps().get(i);
            String name = !step.of().equals(Script.NEW) && step.act() instanceof Make.Call call ? step.of().replaceAll("^\\d+", "") + call.name() : "make";
            int kind = (name + kind(outcome.steps().get(i))).hashCode();
            features.add(kind);
            for (int before = 0; before < kinds.size(); before++) {
                features.add(31 * kinds.get(before) + kind + (before == kinds.size() - 1 ? 7 : 0));
            }
            kinds.add(kind);
        }
        for (int i = 0; i < kinds.size(); i++) {
            for (int j = i + 1; j < kinds.size(); j++) {
                for (int k = j + 1; k < kinds.size(); k++) {
                    features.add(31 * (31 * kinds.get(i) + kinds.get(j)) + kinds.get(k));
                }
            }
        }
        List<Integer> moving = new ArrayList<>();
        for (int i = 0; i < kinds.size(); i++) {
            boolean moves = i + 1 < states.size() && !states.get(i).equals(states.get(i + 1));
            if (moves || !script.steps().get(i).of().equals(Script.THIS)) {
                moving.add(kinds.get(i) + (moves ? 1 : 0));
            }
        }
        fours(moving, features);
        outcome.out().lines().limit(MOST_LINES).forEach(line -> strong.add(shape(line).hashCode()));
        visits.forEach((place, count) -> strong.add(97 * place + 32 - Integer.numberOfLeadingZeros(count)));
        outcome.pairs().forEach(each -> strong.add(each.hashCode()));
        strong.add(outcome.calls().size());
        Set<Integer> all = new LinkedHashSet<>();
        strong.forEach(each -> all.add(each & Integer.MAX_VALUE));
        features.forEach(each -> all.add(each | Integer.MIN_VALUE));
        return List.copyOf(all);
    }

    /** What moves the object, in order, four at a time, whatever is in between: it may be remembered for long. */
    private static void fours(List<Integer> moving, Set<Integer> features) {
        for (int i = 0; i < moving.size(); i++) {
            for (int j = i + 1; j < moving.size(); j++) {
                for (int k = j + 1; k < moving.size(); k++) {
                    features.add(37 * (31 * moving.get(i) + moving.get(j)) + moving.get(k) + 11);
                    for (int l = k + 1; l < moving.size(); l++) {
                        features.add(31 * (31 * (31 * moving.get(i) + moving.get(j)) + moving.get(k)) + moving.get(l) + 5);
                    }
                }
            }
        }
    }

    private static String kind(Told told) {
        Value value = told.value();
        String coarse = COARSE.getOrDefault(value.kind(), each -> each.text() + problem(told)).apply(value);
        StringBuilder changed = new StringBuilder();
        for (int i = 0; i < told.names().size(); i++) {
            changed.append(told.names().get(i).replaceAll("^\\d+", "")).append(told.left().get(i).names());
        }
        return told.ending() + value.kind() + coarse + changed;
    }

    private static String size(Value many) {
        return Integer.toString(Math.min(3, many.parts().size()));
    }

    /** The message of what a step throws. */
    private static String problem(Told told) {
        boolean message = told.ending().equals("throws") && !told.value().parts().isEmpty();
        return message ? shape(told.value().parts().get(0).text()) : "";
    }

    /** A text without its numbers and words: blanks and signs are left. */
    private static String shape(String text) {
        return text.replaceAll("\\d+", "0").replaceAll("\\p{L}+", "a");
    }
}
