package driftwood.scan.memory;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.CodeSource;

/** Tells this build of Driftwood from any other: another one may judge otherwise. */
public final class Build {
    private Build() {
    }

    /** Size and time of the program file; empty where it is not run from one. */
    public static String stamp() {
        CodeSource source = Build.class.getProtectionDomain().getCodeSource();
        try {
            Path file = source == null ? null : Path.of(source.getLocation().toURI());
            return file == null ? "" : Files.size(file) + " " + Files.getLastModifiedTime(file).toMillis() + " ";
        } catch (IOException | URISyntaxException | IllegalArgumentException e) {
            return "";
        }
    }
}
