package driftwood.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** The folder {@code .driftwood} of a project. What is in it is meant to be committed, except {@code cache/}. */
public final class Folder {
    private final Path path;

    /** @param root of the project */
    public Folder(Path root) {
        this.path = root.resolve(".driftwood");
    }

    public Path path() {
        return path;
    }

    /** A place for files that need not be kept; it exists afterwards, and tells version control to pass it over. */
    public Path cache() {
        try {
            Path cache = Files.createDirectories(path.resolve("cache"));
            Path ignore = cache.resolve(".gitignore");
            if (!Files.exists(ignore)) {
                Files.writeString(ignore, "*\n");
            }
            return cache;
        } catch (IOException e) {
            throw new UncheckedIOException("cannot write below " + path, e);
        }
    }

    /**
     * Writes a value as JSON: to a temporary file first, forced to disk, then renamed into place.
     *
     * @param name relative to the folder, with forward slashes
     * @return where it is
     */
    public Path write(String name, Object value) {
        try {
            return write(name, ShortLines.of(value));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Writes a text in the same way. */
    public Path write(String name, String text) {
        try {
            Path target = path.resolve(name);
            Files.createDirectories(target.getParent());
            return Whole.write(target, text);
        } catch (IOException e) {
            throw new UncheckedIOException("cannot write " + path.resolve(name), e);
        }
    }

    /**
     * Reads a value.
     *
     * @throws IOException where the file is missing or is not what it should be; the message says which
     */
    public <T> T read(Path file, Class<T> type) throws IOException {
        try {
            return Mapper.JSON.readValue(file.toFile(), type);
        } catch (JsonProcessingException e) {
            String why = e.getOriginalMessage().replaceAll("\\(?\\s*(start marker )?at \\[Source:.*|\\n.*", "").strip();
            throw new IOException(file + ":" + (e.getLocation() == null ? 1 : e.getLocation().getLineNr()) + " is damaged: " + why, e);
        }
    }

    /** The JSON files below a sub-folder, sorted; empty where it does not exist. */
    public List<Path> files(String name) {
        Path folder = path.resolve(name);
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(each -> each.getFileName().toString().endsWith(".json")).sorted().toList();
        } catch (IOException e) {
            throw new UncheckedIOException("cannot list " + folder, e);
        }
    }

    /** Made when the first file is read: it takes 30 ms, and most commands read none. */
    private static final class Mapper {
        private static final ObjectMapper JSON = new ObjectMapper();

        private Mapper() {
        }
    }
}
