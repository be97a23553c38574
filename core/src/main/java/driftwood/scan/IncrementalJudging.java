package driftwood.scan;

import driftwood.scan.memory.Build;
import driftwood.scan.memory.Digest;
import driftwood.scan.memory.FileStamp;
import driftwood.scan.memory.Memory;
import driftwood.scan.memory.Memory.Kind;
import driftwood.scan.memory.Remembered;
import driftwood.smell.Detector;
import java.util.List;
import java.util.Optional;

/** Finds out what the detectors say of a project with as little judging as it takes, and remembers it. */
final class IncrementalJudging {
    private final List<Detector> detectors;
    private final Scan.Options options;
    private final Linked linked;

    IncrementalJudging(List<Detector> detectors, Scan.Options options, Linked linked) {
        this.detectors = detectors;
        this.options = options;
        this.linked = linked;
    }

    /** What all detectors say. @param traces of all files, in the order of their paths */
    Judged judged(List<FileStamp> traces) {
        if (options.memory() == Memory.NONE) {
            return all(traces);
        }
        String stamp = Digest.of(Build.stamp() + options.settings() + options.judgesTests());
        Optional<Judged> before = options.memory().recall(Kind.JUDGED, "", stamp).flatMap(Judged.PACKING::unpack);
        if (before.filter(each -> each.isOf(traces)).isPresent()) {
            return before.get();
        }
        Judged now;
        try {
            now = before.flatMap(each -> new Rejudging(detectors, options, linked).after(each, traces))
                    .orElseGet(() -> all(traces));
        } catch (Remembered.Lost e) {
            linked.seeAgain();
            now = all(traces);
        }
        if (!now.isWhole()) {
            return now;
        }
        options.memory().remember(Kind.JUDGED, "", stamp, Judged.PACKING.pack(now).bytes());
        return now;
    }

    private Judged all(List<FileStamp> traces) {
        // driftwood: leave hard-coded-instantiation because a judging belongs to one scan and is nobody else's
        return new Judging(options, linked).all(detectors, traces);
    }
}
