package driftwood.source;

import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Walks folders for source files. Hidden folders, build output and links are passed over: a link could lead
 * outside the project or round in a circle.
 */
public final class SourceFinder {
    /** Folders of build output, wherever they stand beside a build file or a source folder. */
    private static final Set<String> BUILD_OUTPUT = Set.of("target", "build", "out", "bin", "dist");
    private static final Set<String> NEVER = Set.of("node_modules", "__pycache__", "site-packages");
    private static final List<String> BUILD_MARKS =
            List.of("pom.xml", "build.gradle", "build.gradle.kts", "build.xml", "src", ".git", "package.json");
    private static final Set<String> TEST_FOLDERS = Set.of("test", "tests", "testsuite", "test_suite", "unittests", "testfixtures", "it", "test-sources",
            "__tests__", "__mocks__");
    /** A project beside the one that it tests: {@code Quay.Tests}. */
    private static final Pattern TEST_PROJECT = Pattern.compile(".+[.-](unit|integration|functional|acceptance)?tests?");
    /** On the Java virtual machine, packages of these names hold other things. */
    private static final Set<String> SPECIFYING = Set.of("spec", "specs");

    private final Path root;
    private final IgnoreRules ignored;

    /**
     * What a walk found.
     *
     * @param files  sorted by path
     * @param unread folders that could not be entered
     */
    public record Found(List<SourceFile> files, List<Unread> unread) {
    }

    /** @param root the scanned root: paths are told relative to it */
    public SourceFinder(Path root) {
        this(root, List.of());
    }

    /** @param excluded paths to leave out, in the form of an ignore file, told from the root */
    public SourceFinder(Path root, List<String> excluded) {
        this.root = root.toAbsolutePath().normalize();
        // driftwood: leave hard-coded-instantiation because which files are ignored is read from the folder that is searched
        this.ignored = new IgnoreRules(this.root, excluded);
    }

    /**
     * All source files at and below the given places, each once, sorted by path.
     *
     * @param places files or folders that exist; a file named outright is taken even where a walk would skip it
     */
    public Found find(List<Path> places) {
        Map<Path, SourceFile> files = new LinkedHashMap<>();
        List<Unread> unread = new ArrayList<>();
        for (Path place : places) {
            Path start = place.toAbsolutePath().normalize();
            if (Files.isDirectory(start)) {
                walk(start, files, unread);
            } else {
                take(start, files);
            }
        }
        List<SourceFile> sorted = new ArrayList<>(files.values());
        sorted.sort(Comparator.comparing(SourceFile::path));
        return new Found(sorted, unread);
    }

    private void walk(Path start, Map<Path, SourceFile> files, List<Unread> unread) {
        try {
            Files.walkFileTree(start, new SimpleFileVisitor<>() {
                @Override
                public FileVisitResult preVisitDirectory(Path folder, BasicFileAttributes attributes) {
                    return !folder.equals(start) && (passedOver(folder) || ignored.leavesOut(folder, true))
                            ? FileVisitResult.SKIP_SUBTREE : FileVisitResult.CONTINUE;
                }

                @Override
                public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
                    String below = start.relativize(file).toString().replace('\\', '/');
                    if (attributes.isRegularFile() && Language.ofFileName(file.getFileName().toString()).filter(each -> !each.isFetched(below)).isPresent()
                            && !ignored.leavesOut(file, false)) {
                        take(file, files);
                    }
                    return FileVisitResult.CONTINUE;
                }

                @Override
                public FileVisitResult visitFileFailed(Path file, IOException problem) {
                    unread.add(new Unread(relative(file), 1, "this folder could not be entered"));
                    return FileVisitResult.CONTINUE;
                }
            });
        } catch (IOException e) {
            unread.add(new Unread(relative(start), 1, "the walk broke off: " + e.getMessage()));
        }
    }

    private void take(Path file, Map<Path, SourceFile> files) {
        Language.ofFileName(file.getFileName().toString()).ifPresent(language -> {
            String path = relative(file);
            files.putIfAbsent(file, new SourceFile(path, file, language, isTest(path, language)));
        });
    }

    private static boolean passedOver(Path folder) {
        String name = folder.getFileName().toString();
        if (name.startsWith(".") || NEVER.contains(name)) {
            return true;
        }
        if (Files.exists(folder.resolve("pyvenv.cfg"))) {
            return true;
        }
        return BUILD_OUTPUT.contains(name)
                && BUILD_MARKS.stream().anyMatch(mark -> Files.exists(folder.resolveSibling(mark)));
    }

    /** Told by a folder of the conventional name anywhere on the way from the root. */
    private static boolean isTest(String path, Language language) {
        String[] folders = path.toLowerCase(Locale.ROOT).split("/");
        for (int i = 0; i < folders.length - 1; i++) {
            if (TEST_FOLDERS.contains(folders[i]) || TEST_PROJECT.matcher(folders[i]).matches() || !language.isOnTheJvm() && SPECIFYING.contains(folders[i])) {
                return true;
            }
        }
        return language.isTestName(path.substring(path.lastIndexOf('/') + 1));
    }

    private String relative(Path file) {
        Path way = file.startsWith(root) ? root.relativize(file) : file;
        return way.toString().replace('\\', '/');
    }
}
