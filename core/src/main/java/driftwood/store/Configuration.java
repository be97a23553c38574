package driftwood.store;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import driftwood.smell.Settings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;

/** The file {@code driftwood.yaml} at the root of a project: what the project decides for itself. */
public final class Configuration {
    /** Its name. */
    public static final String FILE = "driftwood.yaml";
    /** All keys it may have; docs/driftwood.schema.json says the same. */
    public static final List<String> KEYS = List.of("parameter-limit", "composition-roots", "exclude", "tests",
            "generated", "classpath", "history");

    /** The file says something that it may not. */
    public static final class Invalid extends Exception {
        private static final long serialVersionUID = 1;
        private final String key;

        Invalid(String key, String why) {
            super(why);
            this.key = key;
        }

        /** The key that is not known; empty for any other mistake. */
        public String unknownKey() {
            return key;
        }
    }

    private Configuration() {
    }

    /**
     * The settings of a project; the catalogue's own where it has no such file.
     *
     * @throws Invalid where the file cannot be understood; the message says where and why
     */
    public static Settings of(Path root) throws Invalid {
        Path file = root.resolve(FILE);
        if (!Files.exists(file)) {
            return Settings.DEFAULT;
        }
        JsonNode tree;
        try {
            tree = new YAMLMapper().readTree(file.toFile());
        } catch (JacksonException e) {
            JsonLocation at = e.getLocation();
            throw new Invalid("", FILE + (at == null ? "" : ":" + at.getLineNr()) + " is no YAML: " + e.getOriginalMessage()
                    .lines().findFirst().orElse(""));
        } catch (IOException e) {
            throw new Invalid("", FILE + " cannot be read: " + e.getMessage());
        }
        return tree == null || tree.isMissingNode() || tree.isNull() ? Settings.DEFAULT : settings(tree);
    }

    private static Settings settings(JsonNode tree) throws Invalid {
        if (!tree.isObject()) {
            throw new Invalid("", FILE + " must be a list of keys with values, such as 'parameter-limit: 6'");
        }
        for (Iterator<String> keys = tree.fieldNames(); keys.hasNext();) {
            String key = keys.next();
            if (!KEYS.contains(key)) {
                throw new Invalid(key, FILE + ": there is no key '" + key + "'");
            }
        }
        int limit = tree.path("parameter-limit").asInt(Settings.DEFAULT.parameterLimit());
        if (tree.has("parameter-limit") && (!tree.get("parameter-limit").isInt() || limit < 1)) {
            throw new Invalid("", FILE + ": parameter-limit must be a number of 1 or more");
        }
        return new Settings(limit, texts(tree, "composition-roots"), isYes(tree, "history", "weigh", "ignore", true),
                texts(tree, "exclude"), isYes(tree, "tests", "judge", "leave", false),
                isYes(tree, "generated", "judge", "leave", false), texts(tree, "classpath"));
    }

    private static List<String> texts(JsonNode tree, String key) throws Invalid {
        List<String> texts = new ArrayList<>();
        JsonNode value = tree.path(key);
        if (value.isMissingNode()) {
            return texts;
        }
        if (!value.isArray()) {
            throw new Invalid("", FILE + ": " + key + " must be a list, such as '" + key + ": [one, two]'");
        }
        for (JsonNode each : value) {
            if (!each.isTextual() || each.asText().isBlank()) {
                throw new Invalid("", FILE + ": " + key + " must be a list of texts");
            }
            texts.add(each.asText());
        }
        return List.copyOf(texts);
    }

    private static boolean isYes(JsonNode tree, String key, String yes, String no, boolean fallback) throws Invalid {
        JsonNode value = tree.path(key);
        if (value.isMissingNode()) {
            return fallback;
        }
        if (!value.asText().equals(yes) && !value.asText().equals(no)) {
            throw new Invalid("", FILE + ": " + key + " must be '" + yes + "' or '" + no + "', not '" + value.asText() + "'");
        }
        return value.asText().equals(yes);
    }
}
