package driftwood.refactor.java;

import java.io.DataInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Class files that the project's own build left beside its sources. The compiler takes the newer of a source and its class
 * file, and reads class files many times faster: a plan in a project that is built need not read half of its sources.
 */
final class Built {
    /** Where the usual builds put what they make of a folder of sources. */
    private static final Map<String, List<String>> OUTPUT = Map.of(
            "src/main/java", List.of("target/classes", "build/classes/java/main"),
            "src/test/java", List.of("target/test-classes", "build/classes/java/test"));
    /** Class files of Java 1 have 45, and each version one more. */
    private static final int BEFORE_FIRST = 44;

    private Built() {
    }

    /** Those that exist and that the compiler at hand can read. @param roots folders in which packages begin */
    static List<Path> of(Collection<Path> roots) {
        List<Path> all = new ArrayList<>();
        for (Path root : roots) {
            OUTPUT.forEach((sources, outputs) -> {
                if (root.endsWith(sources)) {
                    Path module = root.getParent().getParent().getParent();
                    outputs.stream().map(each -> module == null ? Path.of(each) : module.resolve(each)).filter(Built::isReadable).forEach(all::add);
                }
            });
        }
        return all.stream().distinct().sorted().toList();
    }

    private static boolean isReadable(Path folder) {
        if (!Files.isDirectory(folder)) {
            return false;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            Optional<Path> any = files.filter(each -> each.toString().endsWith(".class")).findFirst();
            return any.isPresent() && version(any.get()) <= Runtime.version().feature() + BEFORE_FIRST;
        } catch (IOException | java.io.UncheckedIOException e) {
            return false;
        }
    }

    private static int version(Path file) throws IOException {
        try (DataInputStream in = new DataInputStream(Files.newInputStream(file))) {
            in.readInt();
            in.readUnsignedShort();
            return in.readUnsignedShort();
        }
    }
}
