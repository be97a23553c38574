package driftwood.smell;

import driftwood.program.Program;
import driftwood.smell.Facts.Remarks;
import driftwood.smell.Judged.Ruling;
import driftwood.smell.Judged.Verdict;
import driftwood.source.Unread;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/** The second phase of a scan: detectors judge, in parallel, and patterns answer. */
final class Judging {
    private final Scan.Options options;
    private final Scan.Linked linked;
    private final Crew crew;
    /** Detectors that share a seer share what it saw. */
    private final Map<String, List<Seen<Object>>> sighted = new ConcurrentHashMap<>();

    Judging(Scan.Options options, Scan.Linked linked) {
        this.options = options;
        this.linked = linked;
        this.crew = new Crew("judge", options.threads(), 0);
    }

    /** All that all detectors have to say. */
    Judged all(List<Detector<?>> detectors, List<Trace> traces) {
        List<Leave> leaves = new ArrayList<>();
        List<Unread> unread = new ArrayList<>();
        for (Facts each : linked.facts()) {
            unread.addAll(each.remarks().unread());
            if (options.judgesTests() || !each.outline().test()) {
                leaves.addAll(each.remarks().leaves());
            }
        }
        return new Judged(traces.stream().map(each -> each.file().path()).toList(),
                traces.stream().map(Trace::digest).toList(), rulings(detectors, Set.of()), new Remarks(leaves, unread));
    }

    /**
     * What some detectors have to say, in the same order.
     *
     * @param only paths of the files to be judged; empty for all
     */
    List<Ruling> rulings(List<Detector<?>> detectors, Set<String> only) {
        if (detectors.isEmpty()) {
            return List.of();
        }
        Program program = only.isEmpty() ? linked.program() : linked.program().judging(only);
        List<Ruling> rulings = new ArrayList<>(Collections.nCopies(detectors.size(), null));
        crew.share(detectors.size(), at -> rulings.set(at, ruling(detectors.get(at), program, only)));
        return rulings;
    }

    private Ruling ruling(Detector<?> detector, Program program, Set<String> only) {
        Set<Integer> asked = new TreeSet<>();
        List<Finding> findings = judge(detector, program.telling(question -> asked.add(question.hashCode())), only);
        List<Verdict> verdicts = findings.stream().map(each -> new Verdict(each, options.cures().of(each, program))).toList();
        return new Ruling(detector.smell().key(), verdicts, asked.stream().mapToInt(Integer::intValue).toArray());
    }

    /** The seer of a detector gives exactly its sightings, which the compiler cannot follow through the map. */
    @SuppressWarnings("unchecked")
    private <S> List<Finding> judge(Detector<S> detector, Program program, Set<String> only) {
        List<Seen<Object>> seen = only.isEmpty()
                ? sighted.computeIfAbsent(detector.seer().key(), key -> sightings(key, only))
                : sightings(detector.seer().key(), only);
        return detector.judge(program, (List<Seen<S>>) (List<?>) seen);
    }

    private List<Seen<Object>> sightings(String seer, Set<String> only) {
        List<Seen<Object>> all = new ArrayList<>();
        for (Facts each : linked.facts()) {
            if (only.isEmpty() || only.contains(each.outline().file())) {
                boolean test = each.outline().test() && !options.judgesTests();
                each.sightings(seer).forEach(seen -> all.add(new Seen<>(each.outline().file(), test, seen)));
            }
        }
        return all;
    }
}
