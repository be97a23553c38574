package driftwood.scan;

import driftwood.pattern.Patterns;
import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.scan.Judged.Ruling;
import driftwood.scan.Judged.Verdict;
import driftwood.scan.memory.Facts;
import driftwood.scan.memory.Facts.Remarks;
import driftwood.scan.memory.FileStamp;
import driftwood.scan.memory.Remembered;
import driftwood.smell.Detector;
import driftwood.smell.Dependants;
import driftwood.smell.Finding;
import driftwood.smell.Leave;
import driftwood.smell.Seen;
import driftwood.smell.Seer;
import driftwood.smell.Sightings;
import driftwood.source.Unread;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The second phase of a scan: detectors judge, in parallel, and patterns answer. */
final class Judging {
    /** Stands for the file where something is the matter with all of them. */
    static final String PROJECT = ".";

    private final Scan.Options options;
    private final Linked linked;
    private final Workers workers;
    private final Queue<Unread> failures = new ConcurrentLinkedQueue<>();

    Judging(Scan.Options options, Linked linked) {
        this.options = options;
        this.linked = linked;
        this.workers = new Workers("judge", options.threads(), 0);
    }

    /** All that all detectors have to say. */
    Judged all(List<Detector> detectors, List<FileStamp> traces) {
        List<Facts> facts = linked.facts();
        workers.share(facts.size(), at -> facts.get(at).outline().calls().size());
        List<Leave> leaves = new ArrayList<>();
        List<Unread> unread = new ArrayList<>();
        for (Facts each : facts) {
            unread.addAll(each.remarks().unread());
            if (options.judgesTests() || !each.outline().test()) {
                leaves.addAll(each.remarks().leaves());
            }
        }
        List<Ruling> rulings = rulings(detectors, Set.of());
        unread.addAll(failures);
        return new Judged(traces.stream().map(each -> each.file().path()).toList(),
                traces.stream().map(FileStamp::digest).toList(), rulings, new Remarks(leaves, unread), !linked.trees().isOne());
    }

    /**
     * What some detectors have to say, in the same order.
     *
     * @param only paths of the files to be judged; empty for all
     */
    List<Ruling> rulings(List<Detector> detectors, Set<String> only) {
        if (detectors.isEmpty()) {
            return List.of();
        }
        List<Ruling> rulings = new ArrayList<>();
        for (String tree : linked.trees().layers()) {
            List<Ruling> more = rulings(detectors, tree, only);
            for (int i = 0; i < more.size(); i++) {
                if (tree.isEmpty()) {
                    rulings.add(more.get(i));
                } else {
                    rulings.set(i, rulings.get(i).and(more.get(i)));
                }
            }
        }
        return rulings;
    }

    /** What they say of the files of one source tree. */
    private List<Ruling> rulings(List<Detector> detectors, String tree, Set<String> only) {
        Trees trees = linked.trees();
        Program whole = linked.program(tree);
        Set<String> wanted = only.isEmpty() && !trees.isOne() ? whole.outlines().stream().map(Outline::file)
                .filter(each -> trees.of(each).equals(tree)).collect(Collectors.toSet()) : only;
        Program program = wanted.isEmpty() ? whole : whole.judging(wanted);
        Set<String> seen = trees.isOne() ? only : whole.outlines().stream().map(Outline::file).collect(Collectors.toSet());
        Map<String, List<Seen<Object>>> sighted = sightings(detectors.stream().flatMap(each -> each.seers().stream()).map(Seer::key)
                .collect(Collectors.toSet()), seen);
        List<Ruling> rulings = new ArrayList<>(Collections.nCopies(detectors.size(), null));
        Sightings sightings = new Sightings(sighted);
        List<Integer> order = longestFirst(detectors, sighted);
        workers.share(detectors.size(), at -> rulings.set(order.get(at), ruling(detectors.get(order.get(at)), program, sightings)));
        Dependants dependants = new Dependants(whole.outlines(), rulings.stream().flatMap(each -> each.verdicts().stream())
                .map(each -> each.finding().type()).collect(Collectors.toSet()));
        return rulings.stream().map(each -> (trees.isOne() ? each : each.of(wanted)).among(dependants)).toList();
    }

    /** The numbers of detectors, those first that have most to judge: the others fill the other threads meanwhile. */
    private static List<Integer> longestFirst(List<Detector> detectors, Map<String, List<Seen<Object>>> sighted) {
        return IntStream.range(0, detectors.size()).boxed().sorted(Comparator.comparingInt((Integer at) -> detectors.get(at).seers().stream()
                .mapToInt(each -> sighted.get(each.key()).size()).sum()).reversed()).toList();
    }

    /** Smells that could not be judged for a reason of our own. */
    List<Unread> failures() {
        return List.copyOf(failures);
    }

    /** A detector that fails costs what it would have said, not the scan. */
    private Ruling ruling(Detector detector, Program program, Sightings sightings) {
        try {
            return said(detector, program, sightings);
        } catch (Remembered.Lost e) {
            throw e;
        } catch (RuntimeException | StackOverflowError | AssertionError e) {
            failures.add(new Unread(PROJECT, 1, detector.smell().key() + " could not be judged: a defect in Driftwood ("
                    + e.getClass().getSimpleName() + ")" + options.mishaps().keep(detector.smell().key(), e)));
            return new Ruling(detector.smell().key(), List.of(), new int[0]);
        }
    }

    private Ruling said(Detector detector, Program program, Sightings sightings) {
        Set<Integer> asked = new HashSet<>();
        Program telling = program.telling(question -> asked.add(question.hashCode()));
        List<Finding> findings = detector.judge(telling, sightings);
        List<Verdict> verdicts = findings.stream().map(each -> new Verdict(each, Patterns.fits(options.patterns().get(), each, telling))).toList();
        return new Ruling(detector.smell().key(), verdicts, asked.stream().mapToInt(Integer::intValue).sorted().toArray());
    }

    /** What some seers saw, in the order of files: detectors that share a seer share it. */
    private Map<String, List<Seen<Object>>> sightings(Set<String> seers, Set<String> only) {
        List<Facts> files = linked.facts().stream()
                .filter(each -> only.isEmpty() || only.contains(each.outline().file())).toList();
        List<Map<String, List<Object>>> seen = new ArrayList<>(Collections.nCopies(files.size(), Map.of()));
        workers.share(files.size(), at -> seen.set(at, seers.stream().collect(Collectors.toMap(seer -> seer,
                seer -> files.get(at).sightings(seer)))));
        Map<String, List<Seen<Object>>> all = new HashMap<>();
        seers.forEach(each -> all.put(each, new ArrayList<>()));
        for (int i = 0; i < files.size(); i++) {
            String file = files.get(i).outline().file();
            boolean test = files.get(i).outline().test() && !options.judgesTests();
            seen.get(i).forEach((seer, one) -> one.forEach(each -> all.get(seer).add(new Seen<>(file, test, each))));
        }
        return all;
    }
}
