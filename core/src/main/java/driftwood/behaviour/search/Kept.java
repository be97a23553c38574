package driftwood.behaviour.search;

import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.slip.TrialResults.Passed;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntPredicate;

/** Chooses among cases those that are worth keeping. */
public final class Kept {
    private Kept() {
    }

    /** Cases that were run once: the first with outcomes of their own, routine by routine in turn, then others. */
    public static List<Case> first(List<Case> pool, int most) {
        Set<Integer> kept = new TreeSet<>();
        fill(pool, most, kept, true);
        fill(pool, most, kept, false);
        return kept.stream().map(pool::get).toList();
    }

    /** Numbers the cases of a recording. */
    public static List<Case> numbered(List<Case> cases) {
        List<Case> numbered = new ArrayList<>();
        cases.forEach(each -> numbered.add(each.named("c" + (numbered.size() + 1))));
        return numbered;
    }

    /**
     * All cases that are needed, then those that show most of what no kept case shows: first what was come to and printed,
     * then what happened after what. A case that tells nothing of its own is not kept.
     *
     * @param passed what each of the cases passes
     */
    static List<Case> telling(List<Case> pool, List<Passed> passed, int most, Set<Integer> needed) {
        Set<Integer> kept = new TreeSet<>(needed);
        Set<String> outcomes = new HashSet<>();
        kept.forEach(at -> outcomes.add(pool.get(at).routine() + passed.get(at).signature()));
        add(pool, passed, most, kept, outcomes, feature -> feature >= 0);
        add(pool, passed, most, kept, outcomes, feature -> true);
        return kept.stream().map(pool::get).toList();
    }

    /** Adds those with most that no other shows. @param counts which features do */
    private static void add(List<Case> pool, List<Passed> passed, int most, Set<Integer> kept, Set<String> outcomes, IntPredicate counts) {
        Set<Long> shown = new HashSet<>();
        kept.forEach(at -> shown.addAll(shows(pool.get(at), passed.get(at), counts)));
        PriorityQueue<long[]> waiting = new PriorityQueue<>(Comparator.<long[]>comparingLong(each -> -each[0])
                .thenComparingLong(each -> each[1]));
        for (int at = 0; at < pool.size(); at++) {
            if (!kept.contains(at)) {
                waiting.add(new long[] {worth(pool.get(at), passed.get(at), shown, counts), at});
            }
        }
        while (kept.size() < most && !waiting.isEmpty()) {
            long[] next = waiting.poll();
            int at = (int) next[1];
            long worth = worth(pool.get(at), passed.get(at), shown, counts);
            String outcome = pool.get(at).routine() + passed.get(at).signature();
            if (worth > 0 && worth < next[0]) {
                waiting.add(new long[] {worth, at});
            } else if (worth > 0 || counts.test(-1) && !outcomes.contains(outcome)) {
                kept.add(at);
                outcomes.add(outcome);
                shown.addAll(shows(pool.get(at), passed.get(at), counts));
            }
        }
    }

    private static long worth(Case each, Passed passed, Set<Long> shown, IntPredicate counts) {
        return shows(each, passed, counts).stream().filter(feature -> !shown.contains(feature)).count();
    }

    private static Set<Long> shows(Case each, Passed passed, IntPredicate counts) {
        Set<Long> shows = new HashSet<>();
        passed.features().stream().filter(counts::test).forEach(feature -> shows.add(31L * each.owner().hashCode() + feature));
        return shows;
    }

    /** Adds cases, routine by routine in turn. @param anew whether only such whose outcome no kept case has */
    private static void fill(List<Case> pool, int most, Set<Integer> kept, boolean anew) {
        Set<String> outcomes = new HashSet<>();
        kept.forEach(at -> outcomes.add(pool.get(at).routine() + pool.get(at).outcome()));
        Map<String, List<Integer>> byRoutine = new LinkedHashMap<>();
        for (int at = 0; at < pool.size(); at++) {
            if (!kept.contains(at)) {
                byRoutine.computeIfAbsent(pool.get(at).routine(), key -> new ArrayList<>()).add(at);
            }
        }
        for (int turn = 0; turn < pool.size() && kept.size() < most; turn++) {
            for (List<Integer> each : byRoutine.values()) {
                if (turn < each.size() && kept.size() < most) {
                    Case one = pool.get(each.get(turn));
                    if (!anew || outcomes.add(one.routine() + one.outcome())) {
                        kept.add(each.get(turn));
                    }
                }
            }
        }
    }

    /** For each routine without a steady case some of those that vary or do not end. @param steady cases that are kept */
    public static List<Case> restless(List<Case> pool, List<Case> steady, int each) {
        Map<String, Integer> counts = new HashMap<>();
        steady.forEach(one -> counts.merge(one.routine(), 1, Integer::sum));
        List<Case> some = new ArrayList<>();
        for (Case one : pool) {
            if (counts.merge(one.routine(), 1, Integer::sum) <= each) {
                some.add(one);
            }
        }
        return some;
    }
}
