package driftwood;

import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.source.Language;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** A small project made of source texts, for tests. */
public final class Given {
    public static final Language JAVA = Language.ofKey("java").orElseThrow();
    public static final Language PYTHON = Language.ofKey("python").orElseThrow();

    private static final Pattern PACKAGE = Pattern.compile("(?m)^package ([\\w.]+);");
    private static final Pattern TYPE = Pattern.compile("(?:class|interface|enum|record|@interface) (\\w+)");

    private Given() {
    }

    /** Writes sources below a folder, each named after its package and first type. */
    public static Path written(Path root, String... sources) {
        for (String source : sources) {
            Matcher named = PACKAGE.matcher(source);
            String folder = named.find() ? named.group(1).replace('.', '/') + "/" : "";
            Matcher type = TYPE.matcher(source);
            String name = type.find() ? type.group(1) : "package-info";
            write(root.resolve(folder + name + ".java"), source);
        }
        return root;
    }

    /** Writes one file, with its folders. */
    public static Path write(Path file, String text) {
        try {
            Files.createDirectories(file.getParent());
            return Files.writeString(file, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Scans sources for one smell, or for all where it is empty. */
    public static Scan.Result scan(String smell, String... sources) {
        try {
            Path root = Files.createTempDirectory("driftwood-test");
            try {
                String[] smells = smell.isEmpty() ? new String[0] : new String[] {smell};
                written(root, sources);
                return new Scan(Scan.Options.DEFAULT.only(smells).on(2)).run(root, List.of(root));
            } finally {
                try (Stream<Path> files = Files.walk(root)) {
                    files.sorted(Comparator.reverseOrder()).forEach(each -> each.toFile().delete());
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Finding messages of one smell, most drag first. */
    public static List<String> messages(String smell, String... sources) {
        return scan(smell, sources).findings().stream().map(Finding::message).toList();
    }

    /** The only finding of one smell. */
    public static Finding only(String smell, String... sources) {
        List<Finding> findings = scan(smell, sources).findings();
        if (findings.size() != 1) {
            throw new AssertionError("expected one finding, but there are " + findings.stream()
                    .map(each -> each.symbol() + ": " + each.message()).toList());
        }
        return findings.get(0);
    }
}
