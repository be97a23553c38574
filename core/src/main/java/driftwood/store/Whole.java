package driftwood.store;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.ThreadLocalRandom;

/** Files that are there whole or not at all, with the rights that any new file gets. */
public final class Whole {
    private static final String DRAFT = ".draft";
    /** Nobody writes for so long; what is older was left by a process that was killed. */
    private static final Duration OLD = Duration.ofMinutes(1);

    private Whole() {
    }

    /**
     * Writes a text: to a draft beside the file first, forced to disk, then renamed into place.
     *
     * @return the file
     */
    public static Path write(Path file, String text) throws IOException {
        return write(file, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes bytes in the same way. */
    public static Path write(Path file, byte[] content) throws IOException {
        return write(file, content, file.getParent());
    }

    /**
     * Writes bytes in the same way, but for the draft: where nothing but sources should lie, not even a killed process leaves one.
     *
     * @param drafts a folder for drafts; where it is on another disk, from which nothing can be renamed into place, they lie beside the file
     */
    public static Path write(Path file, byte[] content, Path drafts) throws IOException {
        Path draft = drafts.resolve(DRAFT + Long.toString(ThreadLocalRandom.current().nextLong(Long.MAX_VALUE), Character.MAX_RADIX));
        sweep(drafts);
        try {
            try (FileChannel channel = FileChannel.open(draft, StandardOpenOption.WRITE, StandardOpenOption.CREATE_NEW)) {
                ByteBuffer bytes = ByteBuffer.wrap(content);
                while (bytes.hasRemaining()) {
                    channel.write(bytes);
                }
                channel.force(true);
            }
            keepRights(file, draft);
            return Files.move(draft, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            Files.deleteIfExists(draft);
            if (drafts.equals(file.getParent())) {
                throw e;
            }
            return write(file, content);
        } catch (IOException e) {
            Files.deleteIfExists(draft);
            throw e;
        }
    }

    /** A script that may be run, or that nobody else may read, stays so. */
    private static void keepRights(Path file, Path draft) throws IOException {
        PosixFileAttributeView rights = Files.getFileAttributeView(file, PosixFileAttributeView.class);
        if (rights != null && Files.exists(file)) {
            Files.setPosixFilePermissions(draft, rights.readAttributes().permissions());
        }
    }

    private static void sweep(Path folder) throws IOException {
        Instant old = Instant.now().minus(OLD);
        try (DirectoryStream<Path> drafts = Files.newDirectoryStream(folder, DRAFT + "*")) {
            for (Path each : drafts) {
                if (Files.getLastModifiedTime(each).toInstant().isBefore(old)) {
                    Files.deleteIfExists(each);
                }
            }
        }
    }
}
