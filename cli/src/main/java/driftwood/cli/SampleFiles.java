package driftwood.cli;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.io.FileUtils;

/** The sample project and its worked versions, which lie beside the program's jar. */
public final class SampleFiles {
    private SampleFiles() {
    }

    /** Copies one of the samples over a folder. @param name kelp-quay, right or slip */
    public static void copy(String name, Path folder) {
        Path from = home().resolve(name);
        try {
            FileUtils.copyDirectory(from.toFile(), folder.toFile());
        } catch (IOException e) {
            throw new UncheckedIOException("cannot unpack the sample into " + folder, e);
        }
    }

    /** Whether there is such a sample. */
    static boolean has(String name) {
        return Files.isDirectory(home().resolve(name));
    }

    /** Where a sample lies; not to be written to. */
    static Path folder(String name) {
        return home().resolve(name);
    }

    private static Path home() {
        try {
            Path own = Path.of(SampleFiles.class.getProtectionDomain().getCodeSource().getLocation().toURI());
            for (Path place : List.of(own.resolveSibling("demo"), own.resolve("../../../demo").normalize())) {
                if (Files.isDirectory(place.resolve("kelp-quay"))) {
                    return place;
                }
            }
            throw new IllegalStateException("the sample project is missing beside " + own);
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }
}
