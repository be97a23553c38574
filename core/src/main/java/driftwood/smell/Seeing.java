package driftwood.smell;

import driftwood.program.OutlineBuilder;
import driftwood.read.FileTree;
import driftwood.read.Readers;
import driftwood.source.Generated;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import driftwood.source.Unread;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.FutureTask;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * The first phase of a scan: reads and sees all files in parallel, batch by batch; what an earlier scan saw of a file
 * with the same path and text is recalled instead. Trees are let go of as soon as their file is seen.
 */
final class Seeing {
    private static final int BATCH = 48;
    /** For expressions nested thousands of levels deep; the memory is only reserved until it is used. In bytes. */
    private static final long STACK = 1L << 29;

    private final List<Seer<?>> seers;
    private final Scan.Options options;
    private final Readers readers = new Readers();
    private final ConcurrentLinkedQueue<Unread> unread = new ConcurrentLinkedQueue<>();
    private final ConcurrentLinkedQueue<String> latin = new ConcurrentLinkedQueue<>();

    Seeing(List<Seer<?>> seers, Scan.Options options) {
        this.seers = seers;
        this.options = options;
    }

    /** Files that could not be read at all. */
    List<Unread> unread() {
        return List.copyOf(unread);
    }

    /** Files that are not UTF-8. */
    List<String> latin() {
        return List.copyOf(latin);
    }

    /** The facts of all files that could be read, in the order of their paths. */
    List<Facts> see(List<SourceFile> files) {
        AtomicInteger next = new AtomicInteger();
        AtomicInteger seen = new AtomicInteger();
        ConcurrentLinkedQueue<Facts> facts = new ConcurrentLinkedQueue<>();
        int slices = (files.size() + BATCH - 1) / BATCH;
        List<FutureTask<Void>> tasks = new ArrayList<>();
        for (int i = 0; i < Math.max(1, Math.min(options.threads(), slices)); i++) {
            FutureTask<Void> task = new FutureTask<>(() -> {
                for (int at = next.getAndIncrement(); at < slices; at = next.getAndIncrement()) {
                    List<SourceFile> slice = files.subList(at * BATCH, Math.min(files.size(), (at + 1) * BATCH));
                    facts.addAll(batch(slice));
                    options.progress().accept(seen.addAndGet(slice.size()));
                }
                return null;
            });
            tasks.add(task);
            new Thread(null, task, "see-" + i, STACK).start();
        }
        tasks.forEach(Scan::await);
        List<Facts> sorted = new ArrayList<>(facts);
        sorted.sort(Comparator.comparing(each -> each.outline().file()));
        return sorted;
    }

    private List<Facts> batch(List<SourceFile> files) {
        List<Facts> facts = new ArrayList<>();
        Map<String, String> keys = new HashMap<>();
        Map<Language, List<SourceText>> unknown = new EnumMap<>(Language.class);
        for (SourceFile file : files) {
            text(file).ifPresent(text -> {
                String key = key(text);
                Optional<Facts> known = options.memory().recall(file.path(), key).flatMap(Facts::of);
                known.ifPresentOrElse(facts::add, () -> {
                    keys.put(text.file().path(), key);
                    unknown.computeIfAbsent(file.language(), each -> new ArrayList<>()).add(text);
                });
            });
        }
        unknown.forEach((language, texts) -> readers.of(language).read(texts, tree -> see(tree).ifPresent(each -> {
            facts.add(each);
            if (options.memory() != Memory.NONE) {
                each.bytes().ifPresent(bytes -> options.memory().remember(tree.file().path(),
                        keys.get(tree.file().path()), bytes));
            }
        })));
        return facts;
    }

    private Optional<SourceText> text(SourceFile file) {
        try {
            SourceText text = SourceText.read(file);
            if (text.latin()) {
                latin.add(file.path());
            }
            boolean aside = !options.settings().generated() && Generated.is(text);
            return Optional.of(aside ? text.asideFromJudging() : text);
        } catch (SourceText.NotReadable e) {
            unread.add(new Unread(file.path(), 1, e.getMessage()));
            return Optional.empty();
        }
    }

    /** What the facts of a file depend on: its path, its text, its reader, and all who see. */
    private String key(SourceText text) {
        StringBuilder stamp = new StringBuilder(text.file().path()).append(text.file().test() ? " aside " : " judged ")
                .append(readers.of(text.file().language()).context(text.file()));
        stamp.append(' ').append(readers.of(text.file().language()).version()).append(' ').append(OutlineBuilder.VERSION);
        seers.forEach(seer -> stamp.append(' ').append(seer.key()).append(seer.version()));
        stamp.append(' ').append(Runtime.version().feature()).append('\n').append(text.text());
        return Ids.digest(stamp.toString().getBytes(StandardCharsets.UTF_8));
    }

    private Optional<Facts> see(FileTree tree) {
        try {
            Map<String, List<Object>> sightings = new LinkedHashMap<>();
            for (Seer<?> seer : seers) {
                sightings.put(seer.key(), List.copyOf(seer.see(tree)));
            }
            return Optional.of(new Facts(OutlineBuilder.of(tree), sightings, Leave.in(tree.source()), tree.unread()));
        } catch (StackOverflowError e) {
            unread.addAll(tree.unread());
            unread.add(new Unread(tree.file().path(), 1, "nested too deeply to be looked at"));
            return Optional.empty();
        }
    }
}
