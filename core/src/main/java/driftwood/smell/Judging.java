package driftwood.smell;

import driftwood.program.Program;
import driftwood.source.Unread;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentSkipListMap;

/** The second phase of a scan: all detectors judge, in parallel; overlaps are settled, ids and cures given. */
final class Judging {
    private final List<Detector<?>> detectors;
    private final Scan.Options options;

    Judging(List<Detector<?>> detectors, Scan.Options options) {
        this.detectors = detectors;
        this.options = options;
    }

    Conclusion conclude(Scan.Linked linked) {
        List<Facts> facts = linked.facts();
        Program program = linked.program();
        Crew crew = new Crew("judge", options.threads(), 0);
        List<List<Finding>> parts = new ArrayList<>(Collections.nCopies(detectors.size(), List.of()));
        crew.share(parts.size(), at -> parts.set(at, judge(detectors.get(at), program, facts)));
        List<Finding> findings = new ArrayList<>();
        parts.forEach(findings::addAll);
        findings.sort(Comparator.comparing(Finding::file).thenComparingInt(Finding::line)
                .thenComparing(Finding::smell).thenComparing(Finding::message));
        List<Finding> named = List.copyOf(Ids.assign(Overlaps.settled(findings)));
        Map<String, List<Fit>> fits = new ConcurrentSkipListMap<>();
        crew.share(named.size(), at -> fits.put(named.get(at).id(), options.cures().of(named.get(at), program)));
        List<Leave> leaves = new ArrayList<>();
        List<Unread> unread = new ArrayList<>();
        for (Facts each : facts) {
            unread.addAll(each.unread());
            if (options.judgesTests() || !each.outline().test()) {
                leaves.addAll(each.leaves());
            }
        }
        return new Conclusion(named, new TreeMap<>(fits), leaves, unread);
    }

    /** The seer of a detector gives exactly its sightings, which the compiler cannot follow through the map. */
    @SuppressWarnings("unchecked")
    private <S> List<Finding> judge(Detector<S> detector, Program program, List<Facts> facts) {
        List<Seen<S>> sighted = new ArrayList<>();
        for (Facts each : facts) {
            boolean test = each.outline().test() && !options.judgesTests();
            for (Object seen : each.sightings().getOrDefault(detector.seer().key(), List.of())) {
                sighted.add(new Seen<>(each.outline().file(), test, (S) seen));
            }
        }
        return detector.judge(program, sighted);
    }
}
