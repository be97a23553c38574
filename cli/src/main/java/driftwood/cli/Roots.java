package driftwood.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Which project a place belongs to. */
final class Roots {
    private static final List<String> VERSION_CONTROL = List.of(".git", ".hg", ".svn", ".jj", ".bzr", "_darcs", ".fslckout");
    private static final List<String> BUILDS = List.of("pom.xml", "build.gradle", "build.gradle.kts", "settings.gradle",
            "settings.gradle.kts", "build.xml", "pyproject.toml", "setup.py", "setup.cfg");

    private Roots() {
    }

    /**
     * The nearest folder upwards with .driftwood, driftwood.yaml or version control; where there is none, the outermost with
     * a build file; where there is none either, the folder itself, or that of a file (the working folder where it holds it).
     *
     * @param place a file or folder that exists
     */
    static Path of(Path place) {
        Path start = place.toAbsolutePath().normalize();
        Path folder = Files.isDirectory(start) ? start : start.getParent();
        Path marked = upwards(folder, Roots::isMarked, false);
        Path built = marked == null ? upwards(folder, Roots::isBuilt, true) : marked;
        if (built != null) {
            return built;
        }
        Path here = Path.of("").toAbsolutePath();
        return !start.equals(folder) && folder.startsWith(here) ? here : folder;
    }

    private static Path upwards(Path folder, Predicate<Path> wanted, boolean outermost) {
        Path found = null;
        for (Path each = folder; each != null && (found == null || outermost); each = each.getParent()) {
            found = wanted.test(each) ? each : found;
        }
        return found;
    }

    private static boolean isMarked(Path folder) {
        return Files.isRegularFile(folder.resolve("driftwood.yaml")) || keepsSomething(folder.resolve(".driftwood"))
                || VERSION_CONTROL.stream().anyMatch(each -> Files.exists(folder.resolve(each)));
    }

    /** A folder with nothing but a cache is left where somebody once scanned; it says nothing. */
    private static boolean keepsSomething(Path folder) {
        if (!Files.isDirectory(folder)) {
            return false;
        }
        try (Stream<Path> content = Files.list(folder)) {
            return content.anyMatch(each -> !each.getFileName().toString().equals("cache"));
        } catch (IOException e) {
            return false;
        }
    }

    private static boolean isBuilt(Path folder) {
        return BUILDS.stream().anyMatch(each -> Files.isRegularFile(folder.resolve(each)));
    }
}
