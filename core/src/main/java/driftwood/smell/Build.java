package driftwood.smell;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.CodeSource;

/** Tells this build of Driftwood from any other: another one may judge otherwise. */
final class Build {
    private Build() {
    }

    /** Size and time of the program file; empty where it is not run from one. */
    static String stamp() {
        CodeSource source = Build.class.getProtectionDomain().getCodeSource();
        try {
            Path file = source == null ? null : Path.of(source.getLocation().toURI());
            return file == null ? "" : Files.size(file) + " " + Files.getLastModifiedTime(file).toMillis() + " ";
        } catch (IOException | URISyntaxException | IllegalArgumentException e) {
            return "";
        }
    }
}
