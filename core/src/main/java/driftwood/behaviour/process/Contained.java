package driftwood.behaviour.process;

import driftwood.store.Scratch;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.apache.commons.io.FileUtils;

/**
 * Processes of observed code. Each has a home of its own and a mark in its environment, which what it starts inherits: by the
 * mark all of them are found and ended, also those that left their parent or session. Where the system has no /proc, only
 * those are found that are still children.
 */
public final class Contained {
    private static final String MARK = "DRIFTWOOD_RUN";
    private static final String ROOM = "room";
    private static final Path PROCESSES = Path.of("/proc");
    /** What is started while others are being ended is found in another round. */
    private static final int ROUNDS = 20;

    static {
        Scratch.beforeLeaving(all -> endAll(all + "/"));
    }

    private Contained() {
    }

    /** An empty working folder for a run. Code that deletes what is around it meets nothing that is needed here. */
    public static Path work(Path folder) throws IOException {
        Path work = Files.createDirectories(folder.resolve(ROOM).resolve("work"));
        FileUtils.cleanDirectory(work.toFile());
        return work;
    }

    /**
     * Prepares a process to be started.
     *
     * @param folder of all its runs, which is its mark
     */
    public static ProcessBuilder prepared(ProcessBuilder builder, Path folder) throws IOException {
        Path home = Files.createDirectories(folder.resolve(ROOM).resolve("home"));
        Map<String, String> environment = builder.environment();
        environment.keySet().removeIf(each -> each.startsWith("XDG_"));
        environment.putAll(Map.of(MARK, folder.toString(), "HOME", home.toString(), "USERPROFILE", home.toString()));
        return builder;
    }

    /** Waits for a process; when it has ended, or its time is over, all that it started is ended. @return its exit code; -1 where it would not go */
    public static int ended(Process process, Path folder, long millis) {
        try {
            process.waitFor(millis, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        end(process, folder);
        return process.isAlive() ? -1 : process.exitValue();
    }

    /** Ends a process and all that it started. */
    static void end(Process process, Path folder) {
        List<ProcessHandle> children = process.descendants().toList();
        if (process.isAlive()) {
            process.destroyForcibly();
            try {
                process.waitFor(2, TimeUnit.SECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        children.forEach(ProcessHandle::destroyForcibly);
        endAll(folder + "\0");
    }

    /** Ends all processes with a mark that begins so; a zero byte ends a mark. */
    private static void endAll(String mark) {
        for (int round = 0; round < ROUNDS; round++) {
            List<ProcessHandle> marked = marked(mark);
            if (marked.isEmpty()) {
                return;
            }
            marked.forEach(ProcessHandle::destroyForcibly);
        }
    }

    private static List<ProcessHandle> marked(String mark) {
        if (!Files.isDirectory(PROCESSES)) {
            return List.of();
        }
        String sought = new String((MARK + "=" + mark).getBytes(StandardCharsets.UTF_8), StandardCharsets.ISO_8859_1);
        try (Stream<Path> all = Files.list(PROCESSES)) {
            return all.filter(each -> each.getFileName().toString().matches("\\d+") && isMarked(each, sought))
                    .flatMap(each -> ProcessHandle.of(Long.parseLong(each.getFileName().toString())).stream())
                    .filter(each -> each.pid() != ProcessHandle.current().pid()).toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    /** Other users' processes cannot be read, and those that just ended. */
    private static boolean isMarked(Path process, String sought) {
        try {
            return new String(Files.readAllBytes(process.resolve("environ")), StandardCharsets.ISO_8859_1).contains(sought);
        } catch (IOException e) {
            return false;
        }
    }
}
