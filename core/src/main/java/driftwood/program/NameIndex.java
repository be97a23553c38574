package driftwood.program;

import driftwood.program.Outline.CallFact;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;

/** Which files may call routines of a name, found without looking at their calls; and the calls of a name in them. Safe to ask from several threads. */
final class NameIndex {
    private final List<Outline> outlines;
    /** A hash code and the number of a file that has it, in one; ascending. */
    private final long[] pairs;
    /** For each file that was asked, the hash codes of the names of its calls, in their order; a second time the names of what they are made on. */
    private final int[][] called;
    private final int[][] madeOn;

    NameIndex(List<Outline> outlines) {
        this.outlines = outlines;
        this.called = new int[outlines.size()][];
        this.madeOn = new int[outlines.size()][];
        this.pairs = new long[outlines.stream().mapToInt(each -> each.named().hashes().length).sum()];
        int at = 0;
        for (int file = 0; file < outlines.size(); file++) {
            for (int hash : outlines.get(file).named().hashes()) {
                pairs[at++] = (long) hash << Integer.SIZE | file;
            }
        }
        Arrays.parallelSort(pairs);
    }

    /** The calls of routines of a name, in the order of their files. */
    List<CallFact> calls(String name) {
        return found(name, called, call -> call.trail().lastName());
    }

    /** The calls that are made on what routines of a name give. */
    List<CallFact> callsOnResultOf(String name) {
        return found(name, madeOn, CallFact::onResultOf);
    }

    private List<CallFact> found(String name, int[][] hashes, Function<CallFact, String> key) {
        List<CallFact> found = new ArrayList<>();
        int wanted = name.hashCode();
        BitSet files = filesOf(List.of(name));
        for (int file = files.nextSetBit(0); file >= 0; file = files.nextSetBit(file + 1)) {
            List<CallFact> calls = outlines.get(file).calls();
            int[] own = hashes(file, hashes, key);
            for (int i = 0; i < own.length; i++) {
                if (own[i] == wanted && key.apply(calls.get(i)).equals(name)) {
                    found.add(calls.get(i));
                }
            }
        }
        return List.copyOf(found);
    }

    private int[] hashes(int file, int[][] known, Function<CallFact, String> key) {
        if (known[file] == null) {
            known[file] = outlines.get(file).calls().stream().mapToInt(each -> key.apply(each).hashCode()).toArray();
        }
        return known[file];
    }

    /** The calls of routines of any of some names, in the order of their files. */
    List<CallFact> callsOfAny(Collection<String> names) {
        int[] wanted = names.stream().mapToInt(String::hashCode).sorted().toArray();
        List<CallFact> found = new ArrayList<>();
        BitSet files = filesOf(names);
        // Calls that are only remembered are unpacked here: that is most of the work, and nobody else's file is needed for it.
        files.stream().parallel().forEach(file -> hashes(file, called, call -> call.trail().lastName()));
        for (int file = files.nextSetBit(0); file >= 0; file = files.nextSetBit(file + 1)) {
            List<CallFact> calls = outlines.get(file).calls();
            int[] own = hashes(file, called, call -> call.trail().lastName());
            for (int i = 0; i < own.length; i++) {
                if (Arrays.binarySearch(wanted, own[i]) >= 0 && names.contains(calls.get(i).trail().lastName())) {
                    found.add(calls.get(i));
                }
            }
        }
        return List.copyOf(found);
    }

    /** Those that may call one of some names, in their order. */
    List<Outline> mayCall(Collection<String> names) {
        return filesOf(names).stream().mapToObj(outlines::get).toList();
    }

    private BitSet filesOf(Collection<String> names) {
        BitSet files = new BitSet(outlines.size());
        for (String name : names) {
            int hash = name.hashCode();
            int at = Arrays.binarySearch(pairs, (long) hash << Integer.SIZE);
            for (at = at < 0 ? -at - 1 : at; at < pairs.length && pairs[at] >> Integer.SIZE == hash; at++) {
                files.set((int) pairs[at]);
            }
        }
        return files;
    }
}
