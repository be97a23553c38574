package driftwood.cli;

import java.nio.file.Path;
import java.util.List;

/**
 * The places of a project that the user named: they choose what is shown, not what is read.
 *
 * @param root   of the project, absolute
 * @param places files and folders, absolute
 */
public record Scope(Path root, List<Path> places) {

    /** Whether a file is at or below one of them. @param file relative to the root */
    public boolean has(String file) {
        if (isWhole()) {
            return true;
        }
        Path path = root.resolve(file).normalize();
        return places.stream().anyMatch(path::startsWith);
    }

    /** Whether it is the whole project. */
    public boolean isWhole() {
        return places.contains(root);
    }
}
