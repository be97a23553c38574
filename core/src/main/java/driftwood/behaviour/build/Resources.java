package driftwood.behaviour.build;

import driftwood.program.Outline;
import driftwood.program.Program;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Where observed Java code finds its resources: {@code src/main/resources} in the layout of Maven and Gradle, else what
 * lies beside the sources.
 */
public final class Resources {
    private Resources() {
    }

    /** Folders, in the order of the sources. @param root of the project */
    public static List<Path> of(Program program, Path root) {
        Set<Path> found = new LinkedHashSet<>();
        for (Path source : sources(program, root)) {
            Path beside = source.resolveSibling("resources");
            if (source.endsWith("java") && Files.isDirectory(beside)) {
                found.add(beside);
            } else if (!source.endsWith(Path.of("src", "main", "java"))) {
                found.add(source);
            }
        }
        return List.copyOf(found);
    }

    /** The folders that packages begin in. */
    static List<Path> sources(Program program, Path root) {
        Set<Path> folders = new LinkedHashSet<>();
        for (Outline each : program.outlines()) {
            if (each.language().isOnTheJvm() && !each.test()) {
                String folder = each.file().contains("/") ? each.file().substring(0, each.file().lastIndexOf('/')) : "";
                String packages = each.packageName().replace('.', '/');
                if (packages.isEmpty()) {
                    folders.add(root.resolve(folder).normalize());
                } else if (folder.equals(packages) || folder.endsWith("/" + packages)) {
                    folders.add(root.resolve(folder.substring(0, folder.length() - packages.length())).normalize());
                }
            }
        }
        return new ArrayList<>(folders);
    }
}
