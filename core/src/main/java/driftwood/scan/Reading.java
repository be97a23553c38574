package driftwood.scan;

import driftwood.program.OutlineBuilder;
import driftwood.read.FileTree;
import driftwood.read.Reader;
import driftwood.read.Readers;
import driftwood.read.Unreadable;
import driftwood.scan.memory.PackedFacts;
import driftwood.scan.memory.Digest;
import driftwood.scan.memory.Facts;
import driftwood.scan.memory.Facts.Remarks;
import driftwood.scan.memory.FileStamp;
import driftwood.scan.memory.FileStamp.Change;
import driftwood.scan.memory.Memory;
import driftwood.scan.memory.Memory.Kind;
import driftwood.scan.memory.Remembered;
import driftwood.smell.Leave;
import driftwood.smell.Seer;
import driftwood.source.Generated;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import driftwood.tree.Mark;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;

/**
 * The first phase of a scan: reads and sees all files in parallel, batch by batch; what an earlier scan saw of a file
 * with the same path and text is recalled instead. Trees are let go of as soon as their file is seen.
 */
final class Reading {
    private static final int BATCH = 48;
    /** For expressions nested thousands of levels deep; the memory is only reserved until it is used. In bytes. */
    private static final long STACK = 1L << 29;

    private final List<Seer<?>> seers;
    private final Map<String, Class<?>> types = new HashMap<>();
    private final Scan.Options options;
    private final Workers workers;
    private final Readers readers = new Readers();
    private final ConcurrentLinkedQueue<Unread> unread = new ConcurrentLinkedQueue<>();
    /** What all keys have in common: marks are remembered by their places, so that one more is another memory. */
    private final String common;

    Reading(List<Seer<?>> seers, Scan.Options options) {
        this.seers = seers;
        seers.forEach(each -> types.put(each.key(), each.sighting()));
        this.options = options;
        this.workers = new Workers("see", options.threads(), STACK);
        StringBuilder stamp = new StringBuilder().append(OutlineBuilder.VERSION).append(Arrays.toString(Mark.values()))
                .append(options.settings().generated()).append(options.judgesTests());
        seers.forEach(seer -> stamp.append(' ').append(seer.key()).append(seer.version()));
        this.common = stamp.append(' ').append(Runtime.version().feature()).append('\n').toString();
    }

    /** Files that could not be read at all. */
    List<Unread> unread() {
        return List.copyOf(unread);
    }

    /** All files that could be read, in the order of their paths: seen before, or seen now. */
    List<FileStamp> see(List<SourceFile> files) {
        AtomicInteger seen = new AtomicInteger();
        ConcurrentLinkedQueue<FileStamp> traces = new ConcurrentLinkedQueue<>();
        workers.share(batches(files), at -> {
            List<SourceFile> batch = batch(files, at);
            traces.addAll(traces(batch));
            options.progress().accept(seen.addAndGet(batch.size()));
        });
        List<FileStamp> sorted = new ArrayList<>(traces);
        sorted.sort(Comparator.comparing(each -> each.file().path()));
        return sorted;
    }

    /** The facts of files: those seen now, or those remembered; what is damaged is seen again. In the same order. */
    List<Facts> facts(List<FileStamp> traces) {
        ConcurrentLinkedQueue<Facts> facts = new ConcurrentLinkedQueue<>();
        workers.share(batches(traces), at -> {
            Map<SourceFile, byte[]> lost = new LinkedHashMap<>();
            for (FileStamp each : batch(traces, at)) {
                Optional<Facts> known = each.fresh().<Facts>map(fresh -> fresh).or(() ->
                        Remembered.of(options.memory(), each.file().path(), each.digest(), each.lines()));
                known.ifPresentOrElse(facts::add, () -> bytes(each.file()).ifPresent(bytes -> lost.put(each.file(), bytes)));
            }
            read(lost, Map.of()).forEach(each -> each.fresh().ifPresent(facts::add));
        });
        return sorted(facts);
    }

    /** The facts of files, all seen again, in the same order. */
    List<Facts> anew(List<FileStamp> traces) {
        ConcurrentLinkedQueue<Facts> facts = new ConcurrentLinkedQueue<>();
        workers.share(batches(traces), at -> {
            Map<SourceFile, byte[]> again = new LinkedHashMap<>();
            batch(traces, at).forEach(each -> bytes(each.file()).ifPresent(bytes -> again.put(each.file(), bytes)));
            read(again, Map.of()).forEach(each -> each.fresh().ifPresent(facts::add));
        });
        return sorted(facts);
    }

    private static List<Facts> sorted(Collection<Facts> facts) {
        List<Facts> sorted = new ArrayList<>(facts);
        sorted.sort(Comparator.comparing(each -> each.outline().file()));
        return sorted;
    }

    private static int batches(List<?> all) {
        return (all.size() + BATCH - 1) / BATCH;
    }

    private static <T> List<T> batch(List<T> all, int at) {
        return all.subList(at * BATCH, Math.min(all.size(), (at + 1) * BATCH));
    }

    private List<FileStamp> traces(List<SourceFile> files) {
        List<FileStamp> traces = new ArrayList<>();
        Map<String, String> keys = new HashMap<>();
        Map<SourceFile, byte[]> unknown = new LinkedHashMap<>();
        for (SourceFile file : files) {
            bytes(file).ifPresent(bytes -> {
                String key = options.memory() == Memory.NONE ? "" : key(file, bytes);
                Optional<FileStamp> known = options.memory().recall(Kind.TRACE, file.path(), key)
                        .flatMap(trace -> FileStamp.of(file, trace));
                known.ifPresentOrElse(traces::add, () -> {
                    keys.put(file.path(), key);
                    unknown.put(file, bytes);
                });
            });
        }
        traces.addAll(read(unknown, keys));
        return traces;
    }

    /** Reads files and remembers what is seen. @param keys by path; "" where nothing is to be remembered */
    private List<FileStamp> read(Map<SourceFile, byte[]> files, Map<String, String> keys) {
        Map<Language, List<SourceText>> texts = new LinkedHashMap<>();
        Map<String, Found> found = new HashMap<>();
        files.forEach((file, bytes) -> text(file, bytes).ifPresent(text -> {
            texts.computeIfAbsent(file.language(), each -> new ArrayList<>()).add(text);
            found.put(file.path(), new Found(file, text.latin(), text.file().test() && !file.test()));
        }));
        List<FileStamp> traces = new ArrayList<>();
        texts.forEach((language, batch) -> read(readers.of(language), batch, tree -> see(tree).ifPresent(facts ->
                traces.add(remembered(found.get(tree.file().path()), facts, keys.getOrDefault(tree.file().path(), ""))))));
        return traces;
    }

    /** A file as it was found. @param latin whether it is not UTF-8 @param aside whether its text says that it is not judged */
    private record Found(SourceFile file, boolean latin, boolean aside) {
    }

    /** A file that breaks its reader must not take its neighbours along: they are read again, one by one. */
    private void read(Reader reader, List<SourceText> texts, Consumer<FileTree> take) {
        Set<SourceFile> taken = new HashSet<>();
        try {
            reader.read(texts, tree -> {
                taken.add(tree.file());
                take.accept(tree);
            });
        } catch (RuntimeException | StackOverflowError | AssertionError e) {
            List<SourceText> left = texts.stream().filter(each -> !taken.contains(each.file())).toList();
            if (texts.size() > 1) {
                left.forEach(each -> read(reader, List.of(each), take));
            } else {
                left.forEach(each -> failed(each.file(), e));
            }
        }
    }

    private void failed(SourceFile file, Throwable problem) {
        String why = problem instanceof Unreadable known ? known.getMessage() : problem instanceof StackOverflowError ? "nested too deeply to be read"
                : "a defect in Driftwood (" + problem.getClass().getSimpleName() + ")" + options.mishaps().keep(file.path(), problem);
        unread.add(new Unread(file.path(), 1, why));
    }

    private FileStamp remembered(Found found, Facts.Fresh facts, String key) {
        SourceFile file = found.file();
        int lines = facts.outline().lines();
        Memory memory = options.memory();
        if (key.isEmpty()) {
            return new FileStamp(file, lines, found.latin(), found.aside(), "", Optional.of(facts), Optional.empty());
        }
        PackedFacts is = PackedFacts.of(facts);
        String digest = is.digest();
        Optional<Change> change = memory.stamp(Kind.DECLARED, file.path()).flatMap(before ->
                PackedFacts.recall(memory, file.path(), before).map(was -> new Change(before, was, is)));
        FileStamp trace = new FileStamp(file, lines, found.latin(), found.aside(), digest, Optional.of(facts), change);
        is.remember(memory, file.path(), digest);
        memory.remember(Kind.TRACE, file.path(), key, trace.bytes());
        return trace;
    }

    private Optional<byte[]> bytes(SourceFile file) {
        try {
            return Optional.of(SourceText.bytes(file));
        } catch (SourceText.NotReadable e) {
            unread.add(new Unread(file.path(), 1, e.getMessage()));
            return Optional.empty();
        }
    }

    private Optional<SourceText> text(SourceFile file, byte[] bytes) {
        try {
            SourceText text = SourceText.decode(file, bytes);
            boolean aside = !options.settings().generated() && Generated.is(text)
                    || text.file().language().isTestText(text.file().path(), text.text());
            return Optional.of(aside ? text.asideFromJudging() : text);
        } catch (SourceText.NotReadable e) {
            unread.add(new Unread(file.path(), 1, e.getMessage()));
            return Optional.empty();
        }
    }

    /** What the facts of a file depend on: its path, its text, its reader, all who see, and who is left aside. */
    private String key(SourceFile file, byte[] bytes) {
        Reader reader = readers.of(file.language());
        String context = file.path() + (file.test() ? " aside " : " judged " + Generated.VERSION + ' ') + reader.context(file) + ' '
                + reader.version() + ' ' + common;
        return Digest.of(context) + Digest.of(bytes);
    }

    /** Files that are not judged only declare and use: who calls, creates and overrides is found there, but no smell. */
    private Optional<Facts.Fresh> see(FileTree tree) {
        try {
            Map<String, List<Object>> sightings = new LinkedHashMap<>();
            for (Seer<?> seer : tree.file().test() && !options.judgesTests() ? List.<Seer<?>>of() : seers) {
                sightings.put(seer.key(), List.copyOf(seer.see(tree)));
            }
            return Optional.of(new Facts.Fresh(OutlineBuilder.of(tree), sightings, types,
                    new Remarks(Leave.in(tree.source()), tree.unread())));
        } catch (RuntimeException | StackOverflowError | AssertionError e) {
            unread.addAll(tree.unread());
            failed(tree.file(), e);
            return Optional.empty();
        }
    }
}
