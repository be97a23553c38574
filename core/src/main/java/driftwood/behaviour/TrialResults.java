package driftwood.behaviour;

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
 * @param passed  the probes that each case passes, by its number; those by the numbers of the classes
 */
record TrialResults(List<Answer> answers, Map<Integer, Map<Long, BitSet>> passed) {
    TrialResults() {
        this(new ArrayList<>(), new TreeMap<>());
    }

    /**
     * What became of a slip.
     *
     * @param by     number of the case that noticed it, or {@link Trial#UNNOTICED}, {@link Trial#UNREACHED},
     *               {@link Trials#ENDED}, {@link Trials#UNTRIED}
     * @param comers numbers of some cases that come to an unnoticed slip
     */
    record Answer(int by, List<Integer> comers) {
    }

    /** Adds what a trial wrote. @return whether a slip was begun and not ended */
    boolean read(Path results) throws IOException {
        boolean begun = false;
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(Files.newInputStream(results)))) {
            for (int tag = from.read(); tag >= 0; tag = from.read()) {
                begun = tag == Witness.BEGIN;
                if (tag == Trial.PASSED) {
                    passed.put(from.readInt(), probes(from));
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
            begun = true;
        }
        return begun;
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
