package driftwood.behaviour.process;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * What is run in processes that some of it may end: round after round, each with what is left. While it is tried for the first
 * time, what calls something that never came to its end is given up soon: each try costs the whole time of a case.
 *
 * @param <T> what is run
 * @param <O> what comes of it
 */
public final class Tries<T, O> {
    private static final int MOST_ROUNDS = 26;
    private static final int MOST_ENDED = 2;

    private final List<T> all;
    private final Function<T, List<String>> calls;
    private final Function<T, Optional<String>> refused;
    private final BiFunction<T, String, O> notRun;
    private final boolean first;
    private final Map<Integer, O> outcomes = new TreeMap<>();
    private final Map<String, Integer> ended = new HashMap<>();
    private final Set<String> fine = new HashSet<>();
    private final List<Integer> round = new ArrayList<>();
    private int rounds;

    /**
     * @param calls   what each of them calls and makes
     * @param refused why one is not run at all; empty where it is
     * @param notRun  what comes of one that is not run, with the reason
     * @param first   whether nobody knows yet which of them end
     */
    public Tries(List<T> all, Function<T, List<String>> calls, Function<T, Optional<String>> refused, BiFunction<T, String, O> notRun, boolean first) {
        this.all = all;
        this.calls = calls;
        this.refused = refused;
        this.notRun = notRun;
        this.first = first;
    }

    /** What is still to be run, in order; empty where all is done. */
    public List<T> left() {
        round.clear();
        for (int i = 0; i < all.size(); i++) {
            if (!outcomes.containsKey(i)) {
                Optional<String> reason = reason(all.get(i));
                if (reason.isPresent()) {
                    outcomes.put(i, notRun.apply(all.get(i), reason.get()));
                } else {
                    round.add(i);
                }
            }
        }
        rounds++;
        return round.stream().map(all::get).toList();
    }

    private Optional<String> reason(T one) {
        return rounds == 0 ? refused.apply(one) : givenUp(one);
    }

    private Optional<String> givenUp(T one) {
        if (rounds == MOST_ROUNDS) {
            return Optional.of("not run: " + (MOST_ROUNDS - 1) + " cases before it ended the process");
        }
        return calls.apply(one).stream().filter(each -> first && ended.getOrDefault(each, 0) >= MOST_ENDED && !fine.contains(each)).findFirst()
                .map(each -> "not run: " + each + " did not end, ended the process, or left threads running, in " + MOST_ENDED + " cases before");
    }

    /** What came of the first ones of those that were left. @param isEnd whether it does not end, or ends the process */
    public void told(List<O> some, Predicate<O> isEnd) {
        for (int i = 0; i < some.size(); i++) {
            outcomes.put(round.get(i), some.get(i));
            List<String> called = calls.apply(all.get(round.get(i)));
            if (isEnd.test(some.get(i))) {
                Set.copyOf(called).forEach(each -> ended.merge(each, 1, Integer::sum));
            } else {
                fine.addAll(called);
            }
        }
    }

    /** What came of all, in their order. */
    public List<O> outcomes() {
        return List.copyOf(outcomes.values());
    }
}
