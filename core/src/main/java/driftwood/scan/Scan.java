package driftwood.scan;

import driftwood.history.History;
import driftwood.pattern.Fit;
import driftwood.pattern.Pattern;
import driftwood.pattern.Site;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.scan.memory.FileStamp;
import driftwood.scan.memory.Memory;
import driftwood.scan.memory.Past;
import driftwood.smell.Detector;
import driftwood.smell.Finding;
import driftwood.smell.Leave;
import driftwood.smell.Seer;
import driftwood.smell.Settings;
import driftwood.smell.detect.Catalogue;
import driftwood.source.Language;
import driftwood.source.SourceFinder;
import driftwood.source.Unread;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.FutureTask;
import java.util.function.IntConsumer;
import java.util.function.Predicate;
import java.util.function.Supplier;

/**
 * A scan: reads and sees all files in parallel, then links and judges; what an earlier scan came to is recalled where
 * the facts are the same.
 */
public final class Scan {
    private final Options options;

    /**
     * How to scan.
     *
     * @param smells   keys of the smells to look for; empty for all
     * @param tests    whether test code is judged as well
     * @param threads  at least 1
     * @param progress told the number of files seen so far, from any thread
     * @param settings what the project decided for itself
     * @param memory   what earlier scans saw
     * @param patterns gives those that may answer a finding; asked only where something is judged
     * @param mishaps  keeps the details of failures of our own
     */
    public record Options(List<String> smells, boolean tests, int threads, IntConsumer progress, Settings settings,
            Memory memory, Supplier<List<Pattern>> patterns, Mishaps mishaps) {
        /** Everything, with all cores, silently. */
        public static final Options DEFAULT =
                new Options(List.of(), false, Runtime.getRuntime().availableProcessors(), count -> { }, Settings.DEFAULT,
                        Memory.NONE, List::of, Mishaps.NONE);

        /** The same, looking for these smells only. @param keys none for all */
        public Options only(String... keys) {
            return new Options(List.of(keys), tests, threads, progress, settings, memory, patterns, mishaps);
        }

        /** The same, with test code judged as well. */
        public Options withTests() {
            return new Options(smells, true, threads, progress, settings, memory, patterns, mishaps);
        }

        /** The same, on so many threads, at least 1. */
        public Options on(int many) {
            return new Options(smells, tests, many, progress, settings, memory, patterns, mishaps);
        }

        /** The same, telling how many files are seen. */
        public Options telling(IntConsumer told) {
            return new Options(smells, tests, threads, told, settings, memory, patterns, mishaps);
        }

        /** The same, with what a project decided. */
        public Options with(Settings decided) {
            return new Options(smells, tests, threads, progress, decided, memory, patterns, mishaps);
        }

        /** The same, remembering. */
        public Options with(Memory remembering) {
            return new Options(smells, tests, threads, progress, settings, remembering, patterns, mishaps);
        }

        /** The same, answered by these patterns. */
        public Options answeredBy(List<Pattern> answering) {
            return new Options(smells, tests, threads, progress, settings, memory, () -> answering, mishaps);
        }

        /** The same, keeping the details of failures. */
        public Options with(Mishaps keeping) {
            return new Options(smells, tests, threads, progress, settings, memory, patterns, keeping);
        }

        boolean judgesTests() {
            return tests || settings.tests();
        }
    }

    /** The programs that the files make. */
    @FunctionalInterface
    public interface Programs {

        /** The program around a file. @param file relative path, of any file or none */
        Program holding(String file);
    }

    /**
     * What a scan found.
     *
     * @param root     the scanned root
     * @param linked   the files linked, when they are asked for
     * @param findings most drag first
     * @param fits     the patterns that answer each finding, best first, by its id
     * @param unread   what could not be read, by file and line
     * @param latin    files that are not UTF-8 and were read as ISO-8859-1
     * @param files    those that were read, in the order of their paths
     * @param left     findings that a comment left out
     * @param complaints what is wrong with such comments
     */
    public record Result(Path root, Programs linked, List<Finding> findings, Map<String, List<Fit>> fits,
            List<Unread> unread, List<String> latin, List<Read> files, List<Finding> left, List<Unread> complaints) {

        /** All files linked; of several source trees that contradict one another, the first. */
        public Program program() {
            return linked.holding("");
        }

        /** The same, its program that of the source tree around a file. */
        public Result around(String file) {
            return new Result(root, any -> linked.holding(file), findings, fits, unread, latin, files, left, complaints);
        }

        /** The same, as if some routines were not there. @param kept which of them are */
        public Result with(Predicate<RoutineOutline> kept) {
            Program less = program().with(kept);
            return new Result(root, any -> less, findings, fits, unread, latin, files, left, complaints);
        }

        /** Where refactorings of it would take place. */
        public Site site() {
            return new Site(root, program());
        }
    }

    /**
     * A file that was read.
     *
     * @param path     relative to the root
     * @param lines    how many it has
     * @param language its language
     * @param test     whether it is test code, told by its place
     * @param aside    whether what stands in it says that it is not judged: a program wrote it, or it imports what only tests do
     */
    public record Read(String path, int lines, Language language, boolean test, boolean aside) {
    }

    public Scan(Options options) {
        this.options = options;
    }

    /**
     * Scans files and folders below a root.
     *
     * @param root   paths are told relative to it
     * @param places existing files or folders
     */
    public Result run(Path root, List<Path> places) {
        FutureTask<History> past = new FutureTask<>(() -> options.settings().history()
                ? Past.of(root, options.memory()) : History.NONE);
        new Thread(past, "history").start();
        // driftwood: leave hard-coded-instantiation because to put the parts of a scan together is what a scan is for
        SourceFinder.Found found = new SourceFinder(root, options.settings().excluded()).find(places);
        List<Detector> detectors = Catalogue.detectors(options.settings());
        Reading seeing = new Reading(detectors.stream().<Seer<?>>flatMap(each -> each.seers().stream()).distinct().toList(), options);
        List<FileStamp> traces = seeing.see(found.files());
        Linked linked = new Linked(seeing, traces, options.judgesTests());
        Conclusion conclusion = new IncrementalJudging(detectors, options, linked).judged(traces).concluded();
        History history = Workers.await(past);
        List<Finding> judged = new ArrayList<>(conclusion.findings());
        if (history.isKnown()) {
            judged.replaceAll(each -> each.weighed(history));
        }
        judged.sort(Finding.BY_DRAG);
        List<Leave> leaves = conclusion.leaves();
        List<Finding> findings = judged.stream().filter(each -> wanted(each)
                && leaves.stream().noneMatch(leave -> leave.covers(each))).toList();
        List<Unread> unread = new ArrayList<>(found.unread());
        unread.addAll(seeing.unread());
        unread.addAll(conclusion.unread());
        unread.sort(null);
        List<Finding> left = judged.stream().filter(each -> wanted(each) && leaves.stream().anyMatch(leave -> leave.covers(each))).toList();
        return new Result(root, linked, findings, conclusion.fits(), unread,
                traces.stream().filter(FileStamp::latin).map(each -> each.file().path()).toList(), traces.stream().map(Scan::read).toList(),
                left, complaints(leaves, judged));
    }

    private static Read read(FileStamp trace) {
        return new Read(trace.file().path(), trace.lines(), trace.file().language(), trace.file().test(), trace.aside());
    }

    private static List<Unread> complaints(List<Leave> leaves, List<Finding> judged) {
        List<Unread> complaints = new ArrayList<>();
        for (Leave leave : leaves) {
            String complaint = leave.complaint(judged.stream().anyMatch(leave::covers), Catalogue.keys());
            if (!complaint.isEmpty()) {
                complaints.add(new Unread(leave.file(), leave.line(), complaint));
            }
        }
        return complaints;
    }

    private boolean wanted(Finding finding) {
        return options.smells().isEmpty() || options.smells().contains(finding.smell());
    }
}
