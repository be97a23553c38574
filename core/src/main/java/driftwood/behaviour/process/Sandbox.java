package driftwood.behaviour.process;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import driftwood.store.Scratch;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.zip.CRC32;
import org.apache.commons.io.FileUtils;

/** A copy of a project in which a command is run, so that nothing of the project itself can change. */
public final class Sandbox implements AutoCloseable {
    private static final Set<String> LEFT = Set.of(".git", ".driftwood");
    /** More output than this is cut off, and the program with it. In bytes. */
    private static final int MOST_OUTPUT = 4 << 20;
    private static final int MOST_FILE = 1 << 20;
    /** A child that lives on may hold the output open; nobody waits longer for it. In milliseconds. */
    private static final int AFTERWARDS = 2000;
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final Path folder;
    private final Path copy;

    public Sandbox(Path project) throws IOException {
        // The last part has always the same length, so that texts which wrap at paths stay alike.
        this.folder = Scratch.folder("run").toRealPath();
        this.copy = folder.resolve("project");
        copy(project);
    }

    private void copy(Path project) throws IOException {
        Files.walkFileTree(project, new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult preVisitDirectory(Path place, BasicFileAttributes is) throws IOException {
                if (!place.equals(project) && LEFT.contains(place.getFileName().toString())) {
                    return FileVisitResult.SKIP_SUBTREE;
                }
                Files.createDirectories(copy.resolve(project.relativize(place).toString()));
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFile(Path place, BasicFileAttributes is) throws IOException {
                if (is.isRegularFile() || is.isSymbolicLink()) {
                    Files.copy(place, copy.resolve(project.relativize(place).toString()),
                            StandardCopyOption.COPY_ATTRIBUTES, LinkOption.NOFOLLOW_LINKS);
                }
                return FileVisitResult.CONTINUE;
            }
        });
    }

    /**
     * Runs a command in the copy.
     *
     * @param input  what it reads from standard input
     * @param more   of the environment
     * @param millis after which it is killed with its children
     * @return its exit code or that it did not end, what it printed by lines, and the files that it wrote or removed
     */
    public ObjectNode run(String command, String input, Map<String, String> more, long millis) throws IOException {
        Map<String, Long> before = digests();
        boolean windows = System.getProperty("os.name").startsWith("Windows");
        ProcessBuilder builder = new ProcessBuilder(windows ? List.of("cmd", "/c", command) : List.of("sh", "-c", command))
                .directory(copy.toFile());
        Contained.prepared(builder, folder).environment().putAll(Map.of("TZ", "UTC", "HOME", folder.toString(), "TMPDIR", folder.toString(),
                "NO_COLOR", "1", "PYTHONDONTWRITEBYTECODE", "1"));
        builder.environment().putAll(more);
        builder.redirectInput(Files.writeString(folder.resolve("input"), input).toFile());
        Process process = builder.start();
        Gathering out = new Gathering(process.getInputStream(), process);
        Gathering err = new Gathering(process.getErrorStream(), process);
        boolean ended = false;
        try {
            ended = process.waitFor(millis, TimeUnit.MILLISECONDS);
            // Killing a process closes what it printed, so one that has ended is read to its end first.
            out.join(ended ? AFTERWARDS : 1);
            err.join(ended ? AFTERWARDS : 1);
            Contained.end(process, folder);
            out.join(AFTERWARDS);
            err.join(AFTERWARDS);
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
        }
        ObjectNode outcome = JSON.objectNode();
        if (out.cut || err.cut) {
            outcome.put("exit", "printed more than " + MOST_OUTPUT / (1 << 20) + " MiB");
        } else if (ended) {
            outcome.put("exit", process.exitValue());
        } else {
            outcome.put("exit", "did not end within " + millis + " ms");
        }
        outcome.set("out", lines(out.text()));
        outcome.set("err", lines(err.text()));
        ObjectNode files = changed(before);
        if (!files.isEmpty()) {
            outcome.set("files", files);
        }
        return outcome;
    }

    /** Reads what a process prints, up to a bound. */
    private static final class Gathering extends Thread {
        private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        private final InputStream from;
        private final Process process;
        private volatile boolean cut;

        Gathering(InputStream from, Process process) {
            this.from = from;
            this.process = process;
            setDaemon(true);
            start();
        }

        @Override
        public void run() {
            byte[] some = new byte[8192];
            try {
                for (int count = from.read(some); count >= 0; count = from.read(some)) {
                    synchronized (bytes) {
                        bytes.write(some, 0, count);
                        cut = bytes.size() > MOST_OUTPUT;
                    }
                    if (cut) {
                        process.destroyForcibly();
                        return;
                    }
                }
            } catch (IOException e) {
                return;
            }
        }

        String text() {
            synchronized (bytes) {
                return cut ? "" : bytes.toString(java.nio.charset.StandardCharsets.UTF_8);
            }
        }
    }

    /** The folder's own name differs each time and says nothing. */
    private ArrayNode lines(String text) {
        ArrayNode lines = JSON.arrayNode();
        text.replace(copy.toString(), "<project>").replace(folder.toString(), "<folder>").lines().forEach(lines::add);
        return lines;
    }

    private Map<String, Long> digests() throws IOException {
        Map<String, Long> digests = new TreeMap<>();
        try (var all = Files.walk(copy)) {
            for (Path each : all.filter(Files::isRegularFile).toList()) {
                CRC32 sum = new CRC32();
                sum.update(Files.readAllBytes(each));
                digests.put(copy.relativize(each).toString().replace('\\', '/'), sum.getValue());
            }
        }
        return digests;
    }

    private ObjectNode changed(Map<String, Long> before) throws IOException {
        Map<String, Long> after = digests();
        ObjectNode files = JSON.objectNode();
        Set<String> names = new TreeSet<>(before.keySet());
        names.addAll(after.keySet());
        for (String name : names) {
            if (!after.containsKey(name)) {
                files.put(name, "removed");
            } else if (!after.get(name).equals(before.get(name))) {
                byte[] bytes = Files.readAllBytes(copy.resolve(name));
                boolean text = bytes.length <= MOST_FILE && new String(bytes, java.nio.charset.StandardCharsets.UTF_8)
                        .indexOf('\uFFFD') < 0;
                if (text) {
                    files.set(name, lines(new String(bytes, java.nio.charset.StandardCharsets.UTF_8)));
                } else {
                    files.put(name, bytes.length + " bytes, checksum " + Long.toHexString(after.get(name)));
                }
            }
        }
        return files;
    }

    @Override
    public void close() {
        FileUtils.deleteQuietly(folder.toFile());
    }
}
