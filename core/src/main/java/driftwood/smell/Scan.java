package driftwood.smell;

import driftwood.history.History;
import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.source.SourceFinder;
import driftwood.source.Unread;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/**
 * A scan: reads and sees all files in parallel, batch by batch, then links and judges. Trees are let go of as soon as
 * their file is seen.
 */
public final class Scan {
    /** The rest of a huge history is left unread. */
    private static final Duration HISTORY_LIMIT = Duration.ofSeconds(5);

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
     */
    public record Options(List<String> smells, boolean tests, int threads, IntConsumer progress, Settings settings,
            Memory memory) {
        /** Everything, with all cores, silently. */
        public static final Options DEFAULT =
                new Options(List.of(), false, Runtime.getRuntime().availableProcessors(), count -> { }, Settings.DEFAULT,
                        Memory.NONE);
    }

    /**
     * What a scan found.
     *
     * @param root     the scanned root
     * @param program  all files linked
     * @param findings most drag first
     * @param unread   what could not be read, by file and line
     * @param latin    files that are not UTF-8 and were read as ISO-8859-1
     * @param files    how many were read
     * @param lines    how many they have
     * @param languages number of files by language
     * @param left     how many findings a comment left out
     * @param complaints what is wrong with such comments
     */
    public record Result(Path root, Program program, List<Finding> findings, List<Unread> unread, List<String> latin,
            int files, int lines, Map<String, Integer> languages, int left, List<Unread> complaints) {
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
        SourceFinder.Found found = new SourceFinder(root, options.settings().excluded()).find(places);
        List<Detector<?>> detectors = Catalogue.detectors(options.settings());
        List<Seer<?>> seers = detectors.stream().<Seer<?>>map(Detector::seer).distinct().toList();
        FutureTask<History> past = new FutureTask<>(() -> options.settings().history()
                ? History.of(root, HISTORY_LIMIT) : History.NONE);
        new Thread(past, "history").start();
        Seeing seeing = new Seeing(seers, options);
        List<Facts> facts = seeing.see(found.files());
        List<Outline> outlines = new ArrayList<>();
        List<Unread> unread = new ArrayList<>(found.unread());
        unread.addAll(seeing.unread());
        List<String> latin = new ArrayList<>(seeing.latin());
        for (Facts each : facts) {
            outlines.add(judgesTests() ? each.outline().judged() : each.outline());
            unread.addAll(each.unread());
        }
        unread.sort(null);
        latin.sort(null);
        Program program = Program.link(outlines);
        History history = await(past);
        List<Finding> judged = judge(detectors, program, facts, history);
        List<Leave> leaves = facts.stream().filter(each -> judgesTests()
                || !each.outline().test()).flatMap(each -> each.leaves().stream()).toList();
        List<Finding> findings = judged.stream().filter(each -> wanted(each)
                && leaves.stream().noneMatch(leave -> leave.covers(each))).toList();
        List<Unread> complaints = new ArrayList<>();
        for (Leave leave : leaves) {
            String complaint = leave.complaint(judged.stream().anyMatch(leave::covers));
            if (!complaint.isEmpty()) {
                complaints.add(new Unread(leave.file(), leave.line(), complaint));
            }
        }
        int left = (int) judged.stream().filter(each -> leaves.stream().anyMatch(leave -> leave.covers(each))).count();
        Map<String, Integer> languages = new TreeMap<>();
        program.outlines().forEach(each -> languages.merge(each.language().key(), 1, Integer::sum));
        int lines = program.outlines().stream().mapToInt(Outline::lines).sum();
        return new Result(root, program, findings, unread, latin, outlines.size(), lines, languages,
                left, complaints);
    }

    private boolean wanted(Finding finding) {
        return options.smells().isEmpty() || options.smells().contains(finding.smell());
    }

    private boolean judgesTests() {
        return options.tests() || options.settings().tests();
    }

    static <T> T await(FutureTask<T> task) {
        try {
            return task.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while reading", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw new IllegalStateException(e.getCause());
        }
    }

    private List<Finding> judge(List<Detector<?>> detectors, Program program, List<Facts> facts, History history) {
        List<Finding> findings = new ArrayList<>();
        AtomicInteger next = new AtomicInteger();
        List<List<Finding>> parts = new ArrayList<>(Collections.nCopies(detectors.size(), List.of()));
        List<FutureTask<Void>> tasks = new ArrayList<>();
        for (int i = 0; i < Math.max(1, options.threads()); i++) {
            FutureTask<Void> task = new FutureTask<>(() -> {
                for (int at = next.getAndIncrement(); at < parts.size(); at = next.getAndIncrement()) {
                    parts.set(at, judge(detectors.get(at), program, facts));
                }
                return null;
            });
            tasks.add(task);
            new Thread(task, "judge-" + i).start();
        }
        tasks.forEach(Scan::await);
        parts.forEach(findings::addAll);
        findings.sort(Comparator.comparing(Finding::file).thenComparingInt(Finding::line)
                .thenComparing(Finding::smell).thenComparing(Finding::message));
        List<Finding> named = new ArrayList<>(Ids.assign(Overlaps.settled(findings)));
        if (history.isKnown()) {
            named.replaceAll(each -> each.weighed(history));
        }
        named.sort(Finding.BY_DRAG);
        return named;
    }

    /** The seer of a detector gives exactly its sightings, which the compiler cannot follow through the map. */
    @SuppressWarnings("unchecked")
    private <S> List<Finding> judge(Detector<S> detector, Program program, List<Facts> facts) {
        List<Seen<S>> sighted = new ArrayList<>();
        for (Facts each : facts) {
            boolean test = each.outline().test() && !judgesTests();
            for (Object seen : each.sightings().getOrDefault(detector.seer().key(), List.of())) {
                sighted.add(new Seen<>(each.outline().file(), test, (S) seen));
            }
        }
        return detector.judge(program, sighted);
    }
}
