package driftwood.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.io.FileUtils;

/**
 * Temporary folders of this process: all of them below one folder that tells whose it is. It goes when the process ends; what
 * a killed process left behind is taken away by the next one.
 */
public final class Scratch {
    private static final Pattern NAME = Pattern.compile("driftwood-(\\d+)-(\\d+)");
    private static final List<Consumer<Path>> BEFORE = new CopyOnWriteArrayList<>();
    private static Path own;

    private Scratch() {
    }

    /**
     * A new empty folder. Its path has the same length for the same name, so that texts which wrap at paths stay alike.
     *
     * @param name what it is for, in letters
     */
    public static synchronized Path folder(String name) throws IOException {
        if (own == null || !Files.isDirectory(own)) {
            own = make(Path.of(System.getProperty("java.io.tmpdir")).toRealPath());
        }
        return Files.createTempDirectory(own, name + "-");
    }

    /** To be done before this process ends and its folder goes, whatever ends it. */
    public static void beforeLeaving(Consumer<Path> what) {
        BEFORE.add(what);
    }

    private static Path make(Path all) throws IOException {
        sweep(all);
        ProcessHandle self = ProcessHandle.current();
        Path made = all.resolve(String.format("driftwood-%010d-%013d", self.pid(), begun(self)));
        Files.createDirectories(made);
        restrict(made);
        Runtime.getRuntime().addShutdownHook(new Thread(() -> {
            BEFORE.forEach(each -> each.accept(made));
            FileUtils.deleteQuietly(made.toFile());
        }));
        return made;
    }

    /** Nobody else looks into it. */
    private static void restrict(Path folder) throws IOException {
        if (folder.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.setPosixFilePermissions(folder, java.nio.file.attribute.PosixFilePermissions.fromString("rwx------"));
        }
    }

    private static long begun(ProcessHandle process) {
        return process.info().startInstant().map(java.time.Instant::toEpochMilli).orElse(0L);
    }

    private static void sweep(Path all) {
        try (Stream<Path> folders = Files.list(all)) {
            List<Path> left = folders.filter(Scratch::isLeft).toList();
            left.forEach(each -> FileUtils.deleteQuietly(each.toFile()));
        } catch (IOException e) {
            return;
        }
    }

    /** Whether its process is gone; where another has its number now, the instant of the start tells. */
    private static boolean isLeft(Path folder) {
        Matcher name = NAME.matcher(folder.getFileName().toString());
        if (!name.matches() || !Files.isDirectory(folder)) {
            return false;
        }
        Optional<ProcessHandle> process = ProcessHandle.of(Long.parseLong(name.group(1)));
        return process.isEmpty() || begun(process.get()) != Long.parseLong(name.group(2));
    }
}
