package driftwood.scan;

import driftwood.pack.Packed;
import driftwood.pack.Packing;
import driftwood.program.TypeOutline;
import driftwood.scan.Judged.Ruling;
import driftwood.scan.Judged.Verdict;
import driftwood.scan.memory.Facts;
import driftwood.scan.memory.Facts.Remarks;
import driftwood.scan.memory.FileStamp;
import driftwood.scan.memory.Shift;
import driftwood.smell.Detector;
import driftwood.smell.Leave;
import driftwood.source.Unread;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Judges after a change, and only what the change can matter to. It holds as long as no file came, went or declares
 * anything else than before: then a detector says the same as long as its own sightings, and the calls and creations
 * that it asked for, are the same. What stands elsewhere now is told where it stands. Where any of this is not certain,
 * all is judged anew.
 */
final class Rejudging {
    private static final Packing<Verdict> VERDICT = Packing.of(Verdict.class);

    private final List<Detector> detectors;
    private final Scan.Options options;
    private final Linked linked;

    Rejudging(List<Detector> detectors, Scan.Options options, Linked linked) {
        this.detectors = detectors;
        this.options = options;
        this.linked = linked;
    }

    /** What all detectors have to say now; empty where all must be judged anew. @param traces of all files */
    Optional<Judged> after(Judged before, List<FileStamp> traces) {
        if (!before.files().equals(traces.stream().map(each -> each.file().path()).toList())
                || before.rulings().size() != detectors.size() || before.divided()) {
            return Optional.empty();
        }
        List<FileStamp> changed = new ArrayList<>();
        for (int i = 0; i < traces.size(); i++) {
            String digest = before.digests().get(i);
            if (!traces.get(i).digest().equals(digest)) {
                changed.add(traces.get(i));
                if (!declaresTheSame(traces.get(i), digest)) {
                    return Optional.empty();
                }
            }
        }
        return Shift.of(changed, file -> linked.program("").answersIn(file)).flatMap(shift -> rulings(before.rulings(), shift, changed.stream().anyMatch(Rejudging::holdsParts)).map(rulings ->
                new Judged(before.files(), traces.stream().map(FileStamp::digest).toList(), rulings,
                        remarks(before.remarks(), changed, shift.files()), false)));
    }

    // driftwood: leave misplaced-behaviour because when judging may be left out is for this class to say
    private static boolean declaresTheSame(FileStamp trace, String before) {
        return trace.change().filter(each -> each.before().equals(before)
                && each.was().declared().isAlike(each.is().declared())).isPresent();
    }

    /** Whether it declares parts of types: what is said of such a type may stand in another of its files. */
    private static boolean holdsParts(FileStamp file) {
        return file.fresh().filter(facts -> facts.outline().types().stream().anyMatch(TypeOutline::isPartial)).isPresent();
    }

    /** Empty where something could not be judged. @param parts whether what changed declares parts of types */
    private Optional<List<Ruling>> rulings(List<Ruling> before, Shift shift, boolean parts) {
        List<Optional<List<Verdict>>> moved = new ArrayList<>(Collections.nCopies(detectors.size(), Optional.empty()));
        new Workers("move", options.threads(), 0).share(detectors.size(), at -> moved.set(at, moved(detectors.get(at), before.get(at), shift, parts)));
        Map<Detector, Ruling> now = new HashMap<>();
        List<Detector> whole = new ArrayList<>();
        List<Detector> there = new ArrayList<>();
        for (int i = 0; i < detectors.size(); i++) {
            Detector detector = detectors.get(i);
            if (moved.get(i).isEmpty()) {
                whole.add(detector);
            } else {
                now.put(detector, new Ruling(detector.smell().key(), moved.get(i).get(), before.get(i).asked()));
            }
            if (moved.get(i).isPresent() && isConcerned(detector, before.get(i), shift)) {
                there.add(detector);
            }
        }
        // driftwood: leave hard-coded-instantiation because a judging belongs to one scan and is nobody else's
        Judging judging = new Judging(options, linked);
        // Who asked most takes longest, and begins first: the others fill the other threads meanwhile.
        whole.sort(Comparator.comparingInt((Detector each) -> before.get(detectors.indexOf(each)).asked().length).reversed());
        List<Ruling> all = judging.rulings(whole, Set.of());
        for (int i = 0; i < whole.size(); i++) {
            now.put(whole.get(i), all.get(i));
        }
        List<Ruling> some = judging.rulings(there, shift.files());
        for (int i = 0; i < there.size(); i++) {
            List<Verdict> joined = new ArrayList<>(now.get(there.get(i)).verdicts());
            joined.addAll(some.get(i).verdicts());
            now.put(there.get(i), new Ruling(some.get(i).smell(), joined, some.get(i).asked()));
        }
        return judging.failures().isEmpty() ? Optional.of(detectors.stream().map(now::get).toList()) : Optional.empty();
    }

    private static boolean isConcerned(Detector detector, Ruling before, Shift shift) {
        return detector.seers().stream().anyMatch(each -> shift.concerns(each.key()))
                || (detector.isLocal() ? shift.concernsUses() : shift.concerns(before.asked()));
    }

    /** What a detector's verdicts are now but for those of the files that must be judged anew; empty where all must be. */
    private static Optional<List<Verdict>> moved(Detector detector, Ruling before, Shift shift, boolean parts) {
        boolean other = isConcerned(detector, before, shift);
        return other && (!detector.isLocal() || parts) ? Optional.empty() : moved(before.verdicts().stream()
                .filter(each -> !other || !shift.files().contains(each.finding().file())).toList(), shift);
    }

    /** The same verdicts, where they stand now; empty where that is not certain of one of them. */
    private static Optional<List<Verdict>> moved(List<Verdict> verdicts, Shift shift) {
        List<Verdict> moved = new ArrayList<>();
        for (Verdict each : verdicts) {
            Shift.Mover mover = shift.new Mover();
            Packed packed = VERDICT.pack(each, mover);
            Optional<Verdict> now = mover.hasMet() ? VERDICT.unpack(packed) : Optional.of(each);
            if (mover.isLost() || now.isEmpty()) {
                return Optional.empty();
            }
            moved.add(now.get());
        }
        return Optional.of(moved);
    }

    private Remarks remarks(Remarks before, List<FileStamp> changed, Set<String> files) {
        List<Leave> leaves = new ArrayList<>(before.leaves());
        List<Unread> unread = new ArrayList<>(before.unread());
        leaves.removeIf(each -> files.contains(each.file()));
        unread.removeIf(each -> files.contains(each.file()));
        for (FileStamp each : changed) {
            Facts facts = each.fresh().orElseThrow();
            unread.addAll(facts.remarks().unread());
            if (options.judgesTests() || !facts.outline().test()) {
                leaves.addAll(facts.remarks().leaves());
            }
        }
        leaves.sort(Comparator.comparing(Leave::file));
        unread.sort(Comparator.comparing(Unread::file));
        return new Remarks(leaves, unread);
    }
}
