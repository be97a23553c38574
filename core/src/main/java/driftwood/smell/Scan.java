package driftwood.smell;

import driftwood.history.History;
import driftwood.program.Outline;
import driftwood.program.OutlineBuilder;
import driftwood.program.Program;
import driftwood.read.FileTree;
import driftwood.read.Readers;
import driftwood.source.Generated;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceFinder;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;

/**
 * A scan: reads and sees all files in parallel, batch by batch, then links and judges. Trees are let go of as soon as
 * their file is seen.
 */
public final class Scan {
    private static final int BATCH = 48;
    /** The rest of a huge history is left unread. */
    private static final Duration HISTORY_LIMIT = Duration.ofSeconds(5);
    /** For expressions nested thousands of levels deep; the memory is only reserved until it is used. In bytes. */
    private static final long STACK = 1L << 29;

    private final Options options;

    /**
     * How to scan.
     *
     * @param smells   keys of the smells to look for; empty for all
     * @param tests    whether test code is judged as well
     * @param threads  at least 1
     * @param progress told the number of files seen so far, from any thread
     * @param settings what the project decided for itself
     */
    public record Options(List<String> smells, boolean tests, int threads, IntConsumer progress, Settings settings) {
        /** Everything, with all cores, silently. */
        public static final Options DEFAULT =
                new Options(List.of(), false, Runtime.getRuntime().availableProcessors(), count -> { }, Settings.DEFAULT);
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

    /** What one batch of files gave. */
    private record Batch(List<Leave> leaves, List<Outline> outlines, Map<String, List<Seen<?>>> sightings, List<Unread> unread,
            List<String> latin) {
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
        List<Batch> batches = see(found.files(), seers);
        List<Outline> outlines = new ArrayList<>();
        List<Unread> unread = new ArrayList<>(found.unread());
        List<String> latin = new ArrayList<>();
        for (Batch batch : batches) {
            batch.outlines().forEach(each -> outlines.add(judgesTests() ? each.judged() : each));
            unread.addAll(batch.unread());
            latin.addAll(batch.latin());
        }
        unread.sort(null);
        latin.sort(null);
        Program program = Program.link(outlines);
        History history = await(past);
        List<Finding> judged = judge(detectors, program, batches, history);
        List<Leave> leaves = batches.stream().flatMap(each -> each.leaves().stream()).toList();
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

    private List<Batch> see(List<SourceFile> files, List<Seer<?>> seers) {
        List<List<SourceFile>> slices = new ArrayList<>();
        for (int i = 0; i < files.size(); i += BATCH) {
            slices.add(files.subList(i, Math.min(files.size(), i + BATCH)));
        }
        AtomicInteger next = new AtomicInteger();
        AtomicInteger seen = new AtomicInteger();
        Batch[] done = new Batch[slices.size()];
        Readers readers = new Readers();
        Callable<Void> worker = () -> {
            for (int i = next.getAndIncrement(); i < done.length; i = next.getAndIncrement()) {
                done[i] = see(slices.get(i), seers, readers);
                options.progress().accept(seen.addAndGet(slices.get(i).size()));
            }
            return null;
        };
        List<FutureTask<Void>> tasks = new ArrayList<>();
        for (int i = 0; i < Math.max(1, Math.min(options.threads(), slices.size())); i++) {
            FutureTask<Void> task = new FutureTask<>(worker);
            tasks.add(task);
            new Thread(null, task, "see-" + i, STACK).start();
        }
        tasks.forEach(Scan::await);
        return List.of(done);
    }

    private static <T> T await(FutureTask<T> task) {
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

    private Batch see(List<SourceFile> files, List<Seer<?>> seers, Readers readers) {
        boolean judgesGenerated = options.settings().generated();
        Batch batch = new Batch(new ArrayList<>(), new ArrayList<>(), new LinkedHashMap<>(), new ArrayList<>(), new ArrayList<>());
        List<SourceText> texts = new ArrayList<>();
        for (SourceFile file : files) {
            try {
                SourceText text = SourceText.read(file);
                texts.add(Generated.is(text) && !judgesGenerated ? text.asideFromJudging() : text);
                boolean judged = judgesTests() || !file.test();
                batch.leaves().addAll(judged ? Leave.in(text) : List.of());
                if (text.latin()) {
                    batch.latin().add(file.path());
                }
            } catch (SourceText.NotReadable e) {
                batch.unread().add(new Unread(file.path(), 1, e.getMessage()));
            }
        }
        Map<Language, List<SourceText>> byLanguage = new EnumMap<>(Language.class);
        texts.forEach(each -> byLanguage.computeIfAbsent(each.file().language(), key -> new ArrayList<>()).add(each));
        byLanguage.forEach((language, own) -> readers.of(language).read(own, tree -> {
            batch.unread().addAll(tree.unread());
            see(tree, seers, batch);
        }));
        return batch;
    }

    private static void see(FileTree tree, List<Seer<?>> seers, Batch batch) {
        try {
            Outline outline = OutlineBuilder.of(tree);
            Map<String, List<Seen<?>>> own = new LinkedHashMap<>();
            for (Seer<?> seer : seers) {
                List<Seen<?>> seen = new ArrayList<>();
                seer.see(tree).forEach(each -> seen.add(new Seen<>(tree.file().path(), tree.file().test(), each)));
                own.put(seer.key(), seen);
            }
            batch.outlines().add(outline);
            own.forEach((key, seen) -> batch.sightings().computeIfAbsent(key, k -> new ArrayList<>()).addAll(seen));
        } catch (StackOverflowError e) {
            batch.unread().add(new Unread(tree.file().path(), 1, "nested too deeply to be looked at"));
        }
    }

    private List<Finding> judge(List<Detector<?>> detectors, Program program, List<Batch> batches, History history) {
        List<Finding> findings = new ArrayList<>();
        for (Detector<?> detector : detectors) {
            findings.addAll(judge(detector, program, batches));
        }
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
    private <S> List<Finding> judge(Detector<S> detector, Program program, List<Batch> batches) {
        List<Seen<S>> sighted = new ArrayList<>();
        for (Batch batch : batches) {
            for (Seen<?> seen : batch.sightings().getOrDefault(detector.seer().key(), List.of())) {
                Seen<S> own = (Seen<S>) seen;
                sighted.add(judgesTests() ? new Seen<>(own.file(), false, own.sighting()) : own);
            }
        }
        return detector.judge(program, sighted);
    }
}
