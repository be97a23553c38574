package driftwood.scan;

import driftwood.pack.Packing;
import driftwood.pattern.Fit;
import driftwood.scan.memory.Facts.Remarks;
import driftwood.scan.memory.FileStamp;
import driftwood.smell.Dependants;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What the detectors said of a project, before overlaps are settled, and what it depends on: enough to judge only the
 * rest anew after a change.
 *
 * @param files   paths, in their order
 * @param digests of the facts of each
 * @param rulings one a detector
 * @param remarks of all files that are judged
 * @param divided whether several source trees contradict one another
 */
record Judged(List<String> files, List<String> digests, List<Ruling> rulings, Remarks remarks, boolean divided) {
    static final Packing<Judged> PACKING = Packing.of(Judged.class);

    /** By place; the rest only makes the order certain. */
    private static final Comparator<Finding> BY_PLACE = Comparator.comparing(Finding::file).thenComparingInt(Finding::line)
            .thenComparing(Finding::smell).thenComparing(Finding::message).thenComparingInt(Finding::endLine)
            .thenComparing(Finding::symbol);

    /**
     * What one detector said.
     *
     * @param smell    key of its smell
     * @param verdicts in any order
     * @param asked    hash codes of all that it asked the program about calls and creations
     */
    record Ruling(String smell, List<Verdict> verdicts, int[] asked) {

        /** What it said of some files. */
        Ruling of(Set<String> files) {
            return new Ruling(smell, verdicts.stream().filter(each -> files.contains(each.finding().file())).toList(), asked);
        }

        /** The same, with how central the types are. */
        Ruling among(Dependants dependants) {
            return new Ruling(smell, verdicts.stream().map(each -> new Verdict(each.finding().among(dependants), each.fits())).toList(), asked);
        }

        /** Both together. */
        Ruling and(Ruling other) {
            return new Ruling(smell, Stream.concat(verdicts.stream(), other.verdicts.stream()).toList(),
                    IntStream.concat(IntStream.of(asked), IntStream.of(other.asked)).sorted().distinct().toArray());
        }
    }

    /** A finding without an id, and the patterns that answer it, best first. */
    record Verdict(Finding finding, List<Fit> fits) {
    }

    /** Whether it is of just these files, with just these facts. */
    boolean isOf(List<FileStamp> traces) {
        return files.equals(traces.stream().map(each -> each.file().path()).toList())
                && digests.equals(traces.stream().map(FileStamp::digest).toList());
    }

    /** Whether every smell could be judged. */
    boolean isWhole() {
        return remarks.unread().stream().noneMatch(each -> each.file().equals(Judging.PROJECT));
    }

    /** What comes of it: overlaps settled, ids given. */
    Conclusion concluded() {
        List<Verdict> all = new ArrayList<>();
        rulings.forEach(each -> all.addAll(each.verdicts()));
        all.sort(Comparator.comparing(Verdict::finding, BY_PLACE));
        List<Finding> settled = Overlaps.settled(all.stream().map(Verdict::finding).toList());
        List<Finding> findings = Ids.assign(settled);
        return new Conclusion(findings, fits(all, settled, findings), remarks.leaves(), remarks.unread());
    }

    /**
     * @param settled some of the findings of all verdicts, the very same, in their order
     * @param named   these with their ids
     */
    private static Map<String, List<Fit>> fits(List<Verdict> all, List<Finding> settled, List<Finding> named) {
        Map<String, List<Fit>> fits = new TreeMap<>();
        int at = 0;
        for (Verdict each : all) {
            if (at < settled.size() && each.finding() == settled.get(at)) {
                fits.put(named.get(at).id(), each.fits());
                at++;
            }
        }
        return fits;
    }
}
