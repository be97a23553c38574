package driftwood.witness;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Map;
import java.util.TreeMap;

/** Where observed code that was made to say so tells which of its branches were taken, class by class. */
public final class Probes {
    private static final Map<Long, boolean[]> BY_CLASS = new TreeMap<>();

    private Probes() {
    }

    /** The probes of a class: its code sets those it passes. @param type its number @param count how many it has */
    public static synchronized boolean[] of(long type, int count) {
        return BY_CLASS.computeIfAbsent(type, key -> new boolean[count]);
    }

    /** Numbers of the probes passed since this was last asked, by the number of the class; all are unset again. */
    static synchronized Map<Long, BitSet> take() {
        Map<Long, BitSet> taken = new TreeMap<>();
        BY_CLASS.forEach((type, probes) -> {
            BitSet passed = new BitSet();
            for (int i = 0; i < probes.length; i++) {
                passed.set(i, probes[i]);
            }
            if (!passed.isEmpty()) {
                taken.put(type, passed);
            }
            Arrays.fill(probes, false);
        });
        return taken;
    }
}
