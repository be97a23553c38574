package driftwood.cli;

import driftwood.cli.render.Excerpt;
import driftwood.cli.render.Style;
import driftwood.scan.Scan;
import driftwood.source.Language;
import driftwood.source.Texts;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Code of the sample office that has a smell, in the language that a folder is mostly written in. */
public final class SampleExample {
    /** Enough to know what a project is written in: nobody waits for a home folder to be walked. */
    private static final int MOST_FILES = 2000;
    private static final int DEEPEST = 6;
    private static final int MOST_LINES = 24;
    private static final Set<String> OTHERS = Set.of("node_modules", "vendor", "target", "build", "dist");

    private SampleExample() {
    }

    /** Where it stands, and the code; empty for Java, whose examples are shorter, and where the sample has no such place. */
    public static Optional<String> of(String smell, Path folder, Style style, int width) {
        return Files.isDirectory(folder) ? of(smell, languageOf(folder), style, width) : Optional.empty();
    }

    private static Optional<String> of(String smell, Optional<Language> spoken, Style style, int width) {
        return spoken.filter(each -> SampleFiles.has("kelp-quay-" + each.key())).flatMap(language -> {
            Path office = SampleFiles.folder("kelp-quay-" + language.key());
            return new Scan(Scan.Options.DEFAULT.only(smell)).run(office, List.of(office)).findings().stream().findFirst().map(found ->
                    found.file() + ":" + found.line() + " of driftwood demo --language " + language.key() + ":\n\n"
                            + new Excerpt(new Texts(office), style, width).of(found.file(), found.line(), found.endLine(), MOST_LINES, 2));
        });
    }

    /** Most files below, hidden folders and fetched packages aside. */
    static Optional<Language> languageOf(Path folder) {
        Map<Language, Integer> counts = new HashMap<>();
        int[] seen = {0};
        try {
            Files.walkFileTree(folder.toAbsolutePath().normalize(), EnumSet.noneOf(java.nio.file.FileVisitOption.class), DEEPEST, new SimpleFileVisitor<>() {
                @Override
                public FileVisitResult preVisitDirectory(Path each, BasicFileAttributes attributes) {
                    String name = String.valueOf(each.getFileName());
                    boolean other = !each.equals(folder.toAbsolutePath().normalize()) && (name.startsWith(".") || OTHERS.contains(name));
                    return other ? FileVisitResult.SKIP_SUBTREE : FileVisitResult.CONTINUE;
                }

                @Override
                public FileVisitResult visitFile(Path each, BasicFileAttributes attributes) {
                    Language.ofFileName(each.getFileName().toString()).ifPresent(language -> counts.merge(language, 1, Integer::sum));
                    return ++seen[0] < MOST_FILES ? FileVisitResult.CONTINUE : FileVisitResult.TERMINATE;
                }

                @Override
                public FileVisitResult visitFileFailed(Path each, IOException problem) {
                    return FileVisitResult.CONTINUE;
                }
            });
        } catch (IOException e) {
            throw new UncheckedIOException("cannot look into " + folder, e);
        }
        return counts.entrySet().stream().max(Map.Entry.<Language, Integer>comparingByValue().thenComparing(each -> each.getKey().key())).map(Map.Entry::getKey);
    }
}
