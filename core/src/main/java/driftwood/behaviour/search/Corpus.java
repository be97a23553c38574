package driftwood.behaviour.search;

import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.slip.TrialResults.Passed;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** The cases that a search has found so far, and which of them showed something new: a branch, a state, a way to end. */
final class Corpus {
    /** New states of one type count that often; numbers alone would go on for ever. */
    private static final int MOST_STATES = 300;

    private final List<Case> cases = new ArrayList<>();
    private final List<Passed> passed = new ArrayList<>();
    private final Set<Case> known = new HashSet<>();
    private final Set<Integer> features = new HashSet<>();
    private final Map<String, Set<Long>> states = new HashMap<>();
    private final List<Integer> telling = new ArrayList<>();
    private final Random random;

    Corpus(Random random) {
        this.random = random;
    }

    List<Case> cases() {
        return cases;
    }

    /** What a case passes, by its number. */
    Passed passed(int number) {
        return passed.get(number);
    }

    boolean isNew(Case each) {
        return known.add(each);
    }

    /** Adds a case that does the same twice. @param anew whether it takes a new branch @return its number */
    int add(Case each, Passed told, boolean anew) {
        boolean worth = anew;
        for (int feature : told.features()) {
            worth |= features.add(each.owner().hashCode() + feature);
        }
        Set<Long> met = states.computeIfAbsent(each.owner(), key -> new HashSet<>());
        for (long state : told.states()) {
            worth |= met.size() < MOST_STATES && met.add(state);
        }
        cases.add(each);
        passed.add(told);
        if (worth) {
            telling.add(cases.size() - 1);
        }
        return cases.size() - 1;
    }

    /** A case to go on from: half of the time one that was found lately. */
    Case parent() {
        List<Integer> from = telling.isEmpty() ? List.of(random.nextInt(cases.size())) : telling;
        int late = Math.min(from.size(), 120);
        return cases.get(random.nextBoolean() ? from.get(from.size() - 1 - random.nextInt(late)) : from.get(random.nextInt(from.size())));
    }
}
