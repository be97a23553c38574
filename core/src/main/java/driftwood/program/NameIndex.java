package driftwood.program;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;

/** Which files may call routines of a name, found without looking at their calls. */
final class NameIndex {
    private final List<Outline> outlines;
    /** A hash code and the number of a file that has it, in one; ascending. */
    private final long[] pairs;

    NameIndex(List<Outline> outlines) {
        this.outlines = outlines;
        this.pairs = new long[outlines.stream().mapToInt(each -> each.named().hashes().length).sum()];
        int at = 0;
        for (int file = 0; file < outlines.size(); file++) {
            for (int hash : outlines.get(file).named().hashes()) {
                pairs[at++] = (long) hash << Integer.SIZE | file;
            }
        }
        Arrays.parallelSort(pairs);
    }

    /** Those that may call one of some names, in their order. */
    List<Outline> mayCall(Collection<String> names) {
        BitSet files = new BitSet(outlines.size());
        for (String name : names) {
            int hash = name.hashCode();
            int at = Arrays.binarySearch(pairs, (long) hash << Integer.SIZE);
            for (at = at < 0 ? -at - 1 : at; at < pairs.length && pairs[at] >> Integer.SIZE == hash; at++) {
                files.set((int) pairs[at]);
            }
        }
        return files.stream().mapToObj(outlines::get).toList();
    }
}
