package driftwood.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * What recordings may run beside the code of their project, as the user allowed: remembered in the user's own folder, by
 * project and content. A repository cannot bring it along.
 */
public final class Trust {
    /** Overrides the user's own folder, for tests. */
    public static final String FOLDER = "driftwood.user-folder";

    private final Path file;

    /** Of this user. */
    public Trust() {
        this(folder());
    }

    Trust(Path folder) {
        this.file = folder.resolve("trusted");
    }

    /** Where programs keep what belongs to the user: XDG Base Directory Specification 0.8; on Windows APPDATA. */
    private static Path folder() {
        String told = System.getProperty(FOLDER);
        if (told != null) {
            return Path.of(told);
        }
        for (String each : List.of("XDG_DATA_HOME", "APPDATA")) {
            String place = System.getenv(each);
            if (place != null && !place.isBlank()) {
                return Path.of(place, "driftwood");
            }
        }
        return Path.of(System.getProperty("user.home"), ".local", "share", "driftwood");
    }

    /** Whether the user allowed all of this. @param what is run or loaded, in words */
    public boolean has(Path root, List<String> what) {
        try {
            return what.isEmpty() || Files.exists(file) && Files.readAllLines(file).containsAll(what.stream().map(each -> line(root, each)).toList());
        } catch (IOException e) {
            return false;
        }
    }

    /** Remembers that the user allowed it. */
    public void remember(Path root, List<String> what) {
        if (has(root, what)) {
            return;
        }
        try {
            Files.createDirectories(file.getParent());
            List<String> lines = new ArrayList<>(Files.exists(file) ? Files.readAllLines(file) : List.of());
            what.stream().map(each -> line(root, each)).filter(each -> !lines.contains(each)).forEach(lines::add);
            Whole.write(file, String.join("\n", lines) + "\n");
        } catch (IOException e) {
            throw new UncheckedIOException("cannot write " + file, e);
        }
    }

    private static String line(Path root, String what) {
        return Hash.of(root.toAbsolutePath().normalize() + "\n" + what);
    }
}
