package driftwood.words;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/**
 * A table that people write in YAML beside a class. The build keeps each as JSON as well, because starting to read YAML
 * costs a fifth of a second, which is most of what a short command takes; without it, the YAML itself is read.
 */
public final class Table {
    private static final String WRITTEN = ".yaml";
    private static final String KEPT = ".json";

    private Table() {
    }

    /**
     * Reads a table.
     *
     * @param owner the class beside which it lies
     * @param name  of its file, without the ending
     * @throws UncheckedIOException where it is not there or is no such table
     */
    public static <T> T beside(Class<?> owner, String name, TypeReference<T> type) {
        try (InputStream kept = owner.getResourceAsStream(name + KEPT)) {
            if (kept != null) {
                return JsonMapper.builder().build().readValue(kept, type);
            }
            try (InputStream written = owner.getResourceAsStream(name + WRITTEN)) {
                if (written == null) {
                    throw new FileNotFoundException(name + WRITTEN);
                }
                return YAMLMapper.builder().build().readValue(written, type);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot read " + name + WRITTEN + " beside " + owner.getName(), e);
        }
    }

    /** For the build: keeps all tables below a folder as JSON. @param folders one, that of the compiled classes */
    public static void main(String[] folders) throws IOException {
        for (Path table : below(Path.of(folders[0]))) {
            JsonNode tree = YAMLMapper.builder().build().readTree(table.toFile());
            if (tree.isObject()) {
                String name = table.getFileName().toString();
                JsonMapper.builder().build().writeValue(table.resolveSibling(name.replace(WRITTEN, KEPT)).toFile(), tree);
            }
        }
    }

    private static List<Path> below(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(each -> each.toString().endsWith(WRITTEN)).sorted().toList();
        }
    }
}
