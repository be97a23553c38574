package driftwood.store;

import com.fasterxml.jackson.core.JacksonException;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import driftwood.smell.Drag;
import driftwood.smell.Settings;
import driftwood.smell.detect.Catalogue;
import driftwood.words.Nearest;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;

/**
 * The file {@code driftwood.yaml} at the root of a project: what the project decides for itself.
 *
 * @param settings what is looked for, and where
 * @param wanted   what is told
 */
public record Configuration(Settings settings, Wanted wanted) {
    /** Its name. */
    public static final String FILE = "driftwood.yaml";
    /** All keys it may have; docs/driftwood.schema.json says the same. */
    public static final List<String> KEYS = List.of("smells", "fail-at", "min-drag", "exclude", "tests", "generated", "parameter-limit",
            "composition-roots", "classpath", "history");

    /** The file says something that it may not. The message begins behind the name of the file. */
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

    /**
     * The configuration of a project; the catalogue's own where it has no such file.
     *
     * @throws Invalid where the file cannot be understood; the message says where and why
     */
    public static Configuration in(Path root) throws Invalid {
        Path file = root.resolve(FILE);
        if (!Files.exists(file)) {
            return new Configuration(Settings.DEFAULT, Wanted.DEFAULT);
        }
        try {
            String text = Files.readString(file);
            JsonNode tree = YAMLMapper.builder().enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION).build().readTree(text);
            return new Reading(text, tree == null || tree.isMissingNode() || tree.isNull() ? JsonMapper.builder().build().createObjectNode() : tree)
                    .configuration();
        } catch (JacksonException e) {
            JsonLocation at = e.getLocation();
            String why = e.getOriginalMessage().lines().findFirst().orElse("");
            throw new Invalid("", (at == null ? "" : ":" + at.getLineNr()) + (why.startsWith("Duplicate") ? ": this key is there twice"
                    : " is not valid YAML: " + why));
        } catch (IOException e) {
            throw new Invalid("", " cannot be read: " + e.getMessage());
        }
    }

    /** Such a file with every key, its meaning and its default, all as comments. */
    public static String template() {
        try (InputStream text = Configuration.class.getResourceAsStream(FILE)) {
            return new String(text.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("cannot read the template of " + FILE, e);
        }
    }

    /** One reading of such a file. */
    private record Reading(String text, JsonNode tree) {

        Configuration configuration() throws Invalid {
            if (!tree.isObject()) {
                throw new Invalid("", " must be a list of keys with values, such as 'parameter-limit: 6'");
            }
            for (Iterator<String> keys = tree.fieldNames(); keys.hasNext();) {
                String key = keys.next();
                if (!KEYS.contains(key)) {
                    throw new Invalid(key, at(key) + ": there is no key '" + key + "'");
                }
            }
            int limit = tree.path("parameter-limit").asInt(Settings.DEFAULT.parameterLimit());
            if (tree.has("parameter-limit") && (!tree.get("parameter-limit").isInt() || limit < 1)) {
                throw wrong("parameter-limit", "must be a number of 1 or more");
            }
            Settings settings = new Settings(limit, texts("composition-roots"), isYes("history", "weigh", "ignore", true), texts("exclude"),
                    isYes("tests", "judge", "leave", false), isYes("generated", "judge", "leave", false), texts("classpath"));
            return new Configuration(settings, new Wanted(smells(), drag("min-drag", Wanted.DEFAULT.minDrag()),
                    drag("fail-at", Wanted.DEFAULT.failAt())));
        }

        private Invalid wrong(String key, String why) {
            return new Invalid("", at(key) + ": " + key + " " + why);
        }

        /** The line of a key, behind a colon; empty where it cannot be told. */
        private String at(String key) {
            List<String> lines = text.lines().toList();
            for (int i = 0; i < lines.size(); i++) {
                if (lines.get(i).strip().replace("\"", "").replace("'", "").startsWith(key + ":")) {
                    return ":" + (i + 1);
                }
            }
            return "";
        }

        private List<String> smells() throws Invalid {
            List<String> smells = texts("smells");
            for (String each : smells) {
                if (!Catalogue.keys().contains(each)) {
                    throw wrong("smells", "names '" + each + "', which is no smell" + Nearest.to(each, Catalogue.keys())
                            .map(near -> "; did you mean '" + near + "'?").orElse(""));
                }
            }
            return smells;
        }

        private double drag(String key, double otherwise) throws Invalid {
            JsonNode value = tree.path(key);
            if (value.isMissingNode()) {
                return otherwise;
            }
            if (!value.isNumber() || value.asDouble() < 0 || value.asDouble() > Drag.MOST) {
                throw wrong(key, "must be a drag from 0.0 to " + Drag.MOST);
            }
            return value.asDouble();
        }

        private List<String> texts(String key) throws Invalid {
            List<String> texts = new ArrayList<>();
            JsonNode value = tree.path(key);
            if (value.isMissingNode()) {
                return texts;
            }
            if (!value.isArray()) {
                throw wrong(key, "must be a list, such as '" + key + ": [one, two]'");
            }
            for (JsonNode each : value) {
                if (!each.isTextual() || each.asText().isBlank()) {
                    throw wrong(key, "must be a list of texts");
                }
                texts.add(each.asText());
            }
            return List.copyOf(texts);
        }

        private boolean isYes(String key, String yes, String no, boolean fallback) throws Invalid {
            JsonNode value = tree.path(key);
            if (value.isMissingNode()) {
                return fallback;
            }
            if (!value.asText().equals(yes) && !value.asText().equals(no)) {
                throw wrong(key, "must be '" + yes + "' or '" + no + "', not '" + value.asText() + "'");
            }
            return value.asText().equals(yes);
        }
    }
}
