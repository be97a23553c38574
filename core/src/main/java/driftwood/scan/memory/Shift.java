package driftwood.scan.memory;

import driftwood.pack.Moves;
import driftwood.pack.Packed;
import driftwood.program.Outline;
import driftwood.program.Program.Use;
import driftwood.scan.memory.PackedFacts.Sighted;
import driftwood.scan.memory.Facts.Used;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;

/** What some files say otherwise than before, and where their lines are now. */
public final class Shift {
    /** Two things that stood on one line stand on two now. */
    private static final int TORN = -1;

    private final Set<String> seers = new HashSet<>();
    private final Set<Integer> questions = new HashSet<>();
    private final Map<String, TreeMap<Integer, Integer>> lines = new HashMap<>();

    private Shift() {
    }

    /**
     * The shift of files that declare the same as before.
     *
     * @param answers the questions that a file's calls and creations help to answer
     * @return empty where things have changed places, so that what comes first is another
     */
    public static Optional<Shift> of(List<FileStamp> changed, Function<Outline, Map<String, List<Use>>> answers) {
        Shift shift = new Shift();
        for (FileStamp each : changed) {
            Outline outline = each.fresh().orElseThrow().outline();
            PackedFacts was = each.change().orElseThrow().was();
            PackedFacts is = each.change().orElseThrow().is();
            TreeMap<Integer, Integer> moved = shift.lines.computeIfAbsent(outline.file(), key -> new TreeMap<>());
            pair(was.declared(), is.declared(), moved);
            shift.compareSightings(was, is, moved);
            if (was.used().isAlike(is.used())) {
                pair(was.used(), is.used(), moved);
            } else {
                Optional<Used> used = PackedFacts.USED.unpack(was.used());
                if (used.isEmpty()) {
                    return Optional.empty();
                }
                shift.compareUses(answers.apply(outline.using(used.get().creations(), used.get().calls())),
                        answers.apply(outline), moved);
            }
            moved.values().removeIf(line -> line == TORN);
            if (!isRising(moved)) {
                return Optional.empty();
            }
        }
        return Optional.of(shift);
    }

    private void compareSightings(PackedFacts was, PackedFacts is, TreeMap<Integer, Integer> moved) {
        Set<String> all = new HashSet<>(was.rest().sighted().keySet());
        all.addAll(is.rest().sighted().keySet());
        for (String seer : all) {
            Sighted before = was.rest().sighted().get(seer);
            Sighted now = is.rest().sighted().get(seer);
            if (before != null && now != null && before.packed().isAlike(now.packed())) {
                pair(before.packed(), now.packed(), moved);
            } else {
                seers.add(seer);
            }
        }
    }

    private void compareUses(Map<String, List<Use>> was, Map<String, List<Use>> is, TreeMap<Integer, Integer> moved) {
        Set<String> all = new HashSet<>(was.keySet());
        all.addAll(is.keySet());
        for (String question : all) {
            List<Use> before = was.getOrDefault(question, List.of());
            List<Use> now = is.getOrDefault(question, List.of());
            if (before.stream().map(Use::fact).toList().equals(now.stream().map(Use::fact).toList())) {
                for (int i = 0; i < before.size(); i++) {
                    pair(before.get(i).line(), now.get(i).line(), moved);
                }
            } else {
                questions.add(question.hashCode());
            }
        }
    }

    private static void pair(Packed was, Packed is, TreeMap<Integer, Integer> moved) {
        for (int i = 0; i < was.lines().length; i++) {
            pair(was.lines()[i], is.lines()[i], moved);
        }
    }

    private static void pair(int was, int is, TreeMap<Integer, Integer> moved) {
        moved.merge(was, is, (one, other) -> one.equals(other) ? one : TORN);
    }

    private static boolean isRising(TreeMap<Integer, Integer> moved) {
        List<Integer> now = new ArrayList<>(moved.values());
        for (int i = 1; i < now.size(); i++) {
            if (now.get(i) <= now.get(i - 1)) {
                return false;
            }
        }
        return true;
    }

    /** Paths of the files. */
    public Set<String> files() {
        return lines.keySet();
    }

    /** Whether something that a seer saw is another. */
    public boolean concerns(String seer) {
        return seers.contains(seer);
    }

    /** Whether calls or creations are others. */
    public boolean concernsUses() {
        return !questions.isEmpty();
    }

    /** Whether one of some questions about calls and creations has another answer. @param asked hash codes */
    public boolean concerns(int[] asked) {
        return Arrays.stream(asked).anyMatch(questions::contains);
    }

    /** Tells where lines are now, and remembers whether it was asked for one that it cannot tell. */
    public final class Mover implements Moves {
        private boolean lost;
        private boolean met;

        @Override
        public int moved(String file, int line) {
            TreeMap<Integer, Integer> known = lines.get(file);
            if (known == null) {
                return line;
            }
            Integer now = known.get(line);
            lost |= now == null;
            met = true;
            return now == null ? line : now;
        }

        /** Whether it was asked for a line that it does not know. */
        public boolean isLost() {
            return lost;
        }

        /** Whether it was asked for a line of one of the files. */
        public boolean hasMet() {
            return met;
        }
    }
}
