package driftwood.behaviour.input;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * Combinations of values for several slots: all of them where they are few, else such that every value occurs and most
 * pairs of values occur together (greedy, after Cohen et al., The AETG System, 1997). The same seed gives the same.
 */
public final class Pairs {
    private static final int TRIES = 24;

    private Pairs() {
    }

    /**
     * Chooses combinations.
     *
     * @param sizes how many values each slot has; a slot without values leaves nothing to choose
     * @param most  how many combinations at most
     * @return for each combination the index of the value in each slot
     */
    public static List<int[]> choose(int[] sizes, int most, long seed) {
        long product = 1;
        for (int size : sizes) {
            product = Math.min(1L << 40, product * size);
        }
        if (product <= most) {
            return all(sizes, (int) product);
        }
        return covering(sizes, most, new Random(seed));
    }

    private static List<int[]> all(int[] sizes, int product) {
        List<int[]> rows = new ArrayList<>();
        for (int i = 0; i < product; i++) {
            int[] row = new int[sizes.length];
            int rest = i;
            for (int slot = sizes.length - 1; slot >= 0; slot--) {
                row[slot] = rest % sizes[slot];
                rest /= sizes[slot];
            }
            rows.add(row);
        }
        return rows;
    }

    private static List<int[]> covering(int[] sizes, int most, Random random) {
        List<int[]> rows = new ArrayList<>();
        Set<Long> covered = new HashSet<>();
        Set<List<Integer>> used = new HashSet<>();
        int longest = 0;
        for (int size : sizes) {
            longest = Math.max(longest, size);
        }
        int idle = 0;
        rows.add(new int[sizes.length]);
        cover(rows.get(0), covered);
        while (rows.size() < most && idle < 4 * TRIES) {
            int[] best = null;
            int bestGain = -1;
            for (int i = 0; i < TRIES; i++) {
                int[] row = candidate(sizes, rows.size(), longest, random);
                int gain = gain(row, covered);
                if (gain > bestGain) {
                    best = row;
                    bestGain = gain;
                }
            }
            idle = bestGain == 0 ? idle + 1 : 0;
            List<Integer> key = new ArrayList<>();
            for (int each : best) {
                key.add(each);
            }
            if (bestGain > 0 && used.add(key) || rows.size() < longest && used.add(key)) {
                rows.add(best);
                cover(best, covered);
            }
        }
        return rows;
    }

    /** The first rows give every slot its values in turn, so that none is left out. */
    private static int[] candidate(int[] sizes, int row, int longest, Random random) {
        int[] candidate = new int[sizes.length];
        int fixed = row < longest ? random.nextInt(sizes.length) : -1;
        for (int slot = 0; slot < sizes.length; slot++) {
            boolean inTurn = row < longest && (slot == fixed || sizes[slot] == longest);
            candidate[slot] = inTurn ? row % sizes[slot] : random.nextInt(sizes[slot]);
        }
        return candidate;
    }

    private static int gain(int[] row, Set<Long> covered) {
        int gain = 0;
        for (int i = 0; i < row.length; i++) {
            for (int j = i; j < row.length; j++) {
                gain += covered.contains(key(i, row[i], j, row[j])) ? 0 : 1;
            }
        }
        return gain;
    }

    private static void cover(int[] row, Set<Long> covered) {
        for (int i = 0; i < row.length; i++) {
            for (int j = i; j < row.length; j++) {
                covered.add(key(i, row[i], j, row[j]));
            }
        }
    }

    private static long key(int slot, int value, int otherSlot, int otherValue) {
        return ((slot * 4096L + value) * 256 + otherSlot) * 4096 + otherValue;
    }
}
