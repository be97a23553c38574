package driftwood.refactor;

import java.util.BitSet;
import java.util.HashMap;
import java.util.Map;

/** The lines that stand after a refactoring as they did before, there or further down. */
public final class Untouched {
    private final Refactoring refactoring;
    /** Compared when a file is first asked for. */
    private final Map<String, BitSet> changed = new HashMap<>();

    public Untouched(Refactoring refactoring) {
        this.refactoring = refactoring;
    }

    /** Whether no line of a place changes, and nothing is put between them. @param line the first, counted from 1 */
    public boolean has(String file, int line, int endLine) {
        int next = changed.computeIfAbsent(file, this::compared).nextSetBit(2 * line - 1);
        return next < 0 || next >= 2 * endLine;
    }

    private BitSet compared(String file) {
        return refactoring.files().contains(file) ? Diff.changed(refactoring.originals().getOrDefault(file, ""),
                refactoring.after(file, refactoring.stages().size()).orElse("")) : new BitSet();
    }
}
