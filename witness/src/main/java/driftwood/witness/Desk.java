package driftwood.witness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.CRC32;

/**
 * The working folder of observed code. What a case writes there is told and cleared away: the next one finds it empty.
 * A folder that holds something from the start is somebody's own: it is left alone, and nothing of it is told.
 */
final class Desk {
    /** More files than this are only counted. */
    static final int MOST_FILES = 40;
    /** A longer file is told by its length and checksum. In bytes. */
    static final int MOST_BYTES = 64 * 1024;

    private final Path folder;
    private final boolean own;

    Desk(Path folder) {
        this.folder = folder;
        String[] names = folder.toFile().list();
        this.own = names != null && names.length == 0;
    }

    /** What was written since the last call, by name. Links are not followed; a folder is told only where it is empty. */
    List<Outcome.Writing> take() {
        List<Path> all = below();
        if (all.isEmpty()) {
            return List.of();
        }
        List<Outcome.Writing> written = new ArrayList<>();
        List<Path> told = all.stream().filter(each -> !isFilled(each)).sorted().toList();
        for (Path each : told.subList(0, Math.min(MOST_FILES, told.size()))) {
            written.add(new Outcome.Writing(folder.relativize(each).toString().replace('\\', '/'), text(each)));
        }
        if (told.size() > MOST_FILES) {
            written.add(new Outcome.Writing("...", "and " + (told.size() - MOST_FILES) + " files more"));
        }
        all.stream().sorted(Comparator.reverseOrder()).forEach(each -> each.toFile().delete());
        return written;
    }

    private List<Path> below() {
        String[] names = folder.toFile().list();
        if (!own || names == null || names.length == 0) {
            return List.of();
        }
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(each -> !each.equals(folder)).toList();
        } catch (IOException | UncheckedIOException e) {
            return List.of();
        }
    }

    private static boolean isFilled(Path each) {
        String[] names = Files.isDirectory(each, LinkOption.NOFOLLOW_LINKS) ? each.toFile().list() : null;
        return names != null && names.length > 0;
    }

    private static String text(Path file) {
        if (Files.isSymbolicLink(file)) {
            return "a link";
        }
        if (Files.isDirectory(file)) {
            return "a folder";
        }
        if (!Files.isRegularFile(file)) {
            return "a pipe or device";
        }
        try {
            if (Files.size(file) > MOST_BYTES) {
                return Files.size(file) + " bytes";
            }
            byte[] bytes = Files.readAllBytes(file);
            try {
                return Foreign.blurred(StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString()
                        .replace("\r\n", "\n"));
            } catch (CharacterCodingException e) {
                CRC32 sum = new CRC32();
                sum.update(bytes);
                return bytes.length + " bytes, checksum " + Long.toHexString(sum.getValue());
            }
        } catch (IOException e) {
            return "not readable";
        }
    }
}
