package driftwood.words;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
    public static Block beside(Class<?> owner, String name) {
        try (InputStream kept = owner.getResourceAsStream(name + KEPT)) {
            if (kept != null) {
                try (JsonParser parser = new JsonFactory().createParser(kept)) {
                    parser.nextToken();
                    return Block.of(name + WRITTEN, value(parser));
                }
            }
            try (InputStream written = owner.getResourceAsStream(name + WRITTEN)) {
                if (written == null) {
                    throw new FileNotFoundException(name + WRITTEN);
                }
                return Block.of(name + WRITTEN, YAMLMapper.builder().build().readValue(written, Map.class));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot read " + name + WRITTEN + " beside " + owner.getName(), e);
        }
    }

    /** The value that begins where the parser stands: a map, a list, a text, a number or a truth value. */
    private static Object value(JsonParser parser) throws IOException {
        if (parser.isExpectedStartObjectToken()) {
            Map<String, Object> map = new LinkedHashMap<>();
            while (parser.nextToken() != JsonToken.END_OBJECT) {
                String key = parser.currentName();
                parser.nextToken();
                map.put(key, value(parser));
            }
            return map;
        }
        if (parser.isExpectedStartArrayToken()) {
            List<Object> list = new ArrayList<>();
            while (parser.nextToken() != JsonToken.END_ARRAY) {
                list.add(value(parser));
            }
            return list;
        }
        return parser.currentToken().isNumeric() ? parser.getNumberValue() : parser.currentToken().isBoolean() ? (Object) parser.getBooleanValue()
                : parser.getText();
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
