package driftwood.behaviour.slip;

import driftwood.behaviour.run.Trials;
import driftwood.witness.Trial;
import driftwood.witness.Witness;
import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What came of a trial.
 *
 * @param answers one for each slip
 * @param passed  what each case that does the same twice passes, by its number
 */
public record TrialResults(List<Answer> answers, Map<Integer, Passed> passed) {
    public TrialResults() {
        this(new ArrayList<>(), new TreeMap<>());
    }

    /**
     * What became of a slip.
     *
     * @param by     number of the case that noticed it, or {@link Trial#UNNOTICED}, {@link Trial#UNREACHED},
     *               {@link Trials#ENDED}, {@link Trials#UNTRIED}
     * @param comers numbers of some cases that come to an unnoticed slip
     */
    public record Answer(int by, List<Integer> comers) {
    }

    /**
     * What a case passes.
     *
     * @param probes    by the numbers of the classes
     * @param work      lines of observed code that it runs
     * @param signature of what happens
     * @param features  coarse numbers of what happens: from 0 for what was come to and printed, below for steps in order
     * @param states    inner states of the receiver, in order
     * @param compared  values that were compared and are not equal
     */
    public record Passed(Map<Long, BitSet> probes, long work, int signature, List<Integer> features, List<Long> states,
            List<Pair> compared) {
    }

    /**
     * Two values that observed code compared.
     *
     * @param place   as {@link Slip#place}
     * @param one     a number or a text
     * @param other   of the same sort
     * @param numbers whether they are numbers
     */
    public record Pair(String place, String one, String other, boolean numbers) {
    }

    /** How a trial ended, as far as it wrote. */
    public enum Ended {
        /** After some slip, or the last of them. */
        WELL,
        /** In the middle of a slip. */
        IN_SLIP,
        /** In the middle of a case, without any slip. */
        IN_CASE
    }

    /**
     * Adds what a trial wrote.
     *
     * @param places by their numbers
     * @param at     takes the number of the case that was begun last
     */
    public Ended read(Path results, List<String> places, int[] at) throws IOException {
        Ended ended = Ended.WELL;
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(Files.newInputStream(results)))) {
            for (int tag = from.read(); tag >= 0; tag = from.read()) {
                ended = tag == Witness.BEGIN ? Ended.IN_SLIP : tag == Trial.AT ? Ended.IN_CASE : Ended.WELL;
                if (tag == Trial.AT) {
                    at[0] = from.readInt();
                } else if (tag == Trial.PASSED) {
                    passed.put(from.readInt(), new Passed(probes(from), from.readLong(), from.readInt(), numbers(from), states(from), pairs(from, places)));
                } else if (tag == Witness.END) {
                    int by = from.readInt();
                    List<Integer> comers = new ArrayList<>();
                    for (int left = from.readInt(); left > 0; left--) {
                        comers.add(from.readInt());
                    }
                    answers.add(new Answer(by, comers));
                }
            }
        } catch (EOFException e) {
            return ended == Ended.IN_CASE ? ended : Ended.IN_SLIP;
        }
        return ended;
    }

    private static List<Integer> numbers(DataInputStream from) throws IOException {
        List<Integer> numbers = new ArrayList<>();
        for (int left = from.readInt(); left > 0; left--) {
            numbers.add(from.readInt());
        }
        return numbers;
    }

    private static List<Long> states(DataInputStream from) throws IOException {
        List<Long> states = new ArrayList<>();
        for (int left = from.readInt(); left > 0; left--) {
            states.add(from.readLong());
        }
        return states;
    }

    private static List<Pair> pairs(DataInputStream from, List<String> places) throws IOException {
        List<Pair> pairs = new ArrayList<>();
        for (int left = from.readInt(); left > 0; left--) {
            pairs.add(new Pair(places.get(from.readInt()), from.readUTF(), from.readUTF(), from.readBoolean()));
        }
        return pairs;
    }

    /** Processes that try different slips come to different places: together they know what was compared at all of them. */
    public void addAll(Map<Integer, Passed> others) {
        others.forEach((at, other) -> passed.merge(at, other, (one, two) -> {
            List<Pair> all = new ArrayList<>(one.compared());
            all.addAll(two.compared());
            return new Passed(one.probes(), one.work(), one.signature(), one.features(), one.states(), all);
        }));
    }

    private static Map<Long, BitSet> probes(DataInputStream from) throws IOException {
        Map<Long, BitSet> passed = new TreeMap<>();
        for (int left = from.readInt(); left > 0; left--) {
            long type = from.readLong();
            passed.put(type, BitSet.valueOf(from.readNBytes(from.readInt())));
        }
        return passed;
    }
}
