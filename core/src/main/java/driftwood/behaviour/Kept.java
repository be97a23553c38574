package driftwood.behaviour;

import driftwood.behaviour.Recording.Case;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Chooses among drawn cases those that are worth keeping. */
final class Kept {
    private Kept() {
    }

    /** The first cases with outcomes of their own, then others. */
    static List<Case> first(List<Case> pool, int most) {
        Set<Integer> kept = new TreeSet<>();
        fill(pool, most, kept, true);
        fill(pool, most, kept, false);
        return numbered(pool, kept);
    }

    /**
     * All cases that notice a slip, all that take a branch which no other takes, then others with outcomes of their own. A
     * case that tells nothing of its own is not kept.
     */
    static List<Case> telling(List<Case> pool, int most, Set<Integer> noticing, Set<Integer> covering) {
        Set<Integer> kept = new TreeSet<>(noticing);
        kept.addAll(covering);
        fill(pool, most, kept, true);
        return numbered(pool, kept);
    }

    private static List<Case> numbered(List<Case> pool, Set<Integer> kept) {
        List<Case> chosen = new ArrayList<>();
        for (int at : kept) {
            Case each = pool.get(at);
            chosen.add(new Case("c" + (chosen.size() + 1), each.routine(), each.on(), each.before(), each.given(),
                    each.outcome(), each.varies(), each.anyOrder()));
        }
        return chosen;
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
}
