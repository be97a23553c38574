package driftwood.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import driftwood.Given;
import driftwood.smell.Settings;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConfigurationTest {
    @TempDir
    Path root;

    private Settings of(String yaml) throws Exception {
        Given.write(root.resolve("driftwood.yaml"), yaml.replace("\\n", "\n"));
        return Configuration.of(root);
    }

    @Test
    void withoutAFileTheCatalogueDecides() throws Exception {
        assertThat(Configuration.of(root)).isEqualTo(Settings.DEFAULT);
        assertThat(of("# nothing yet\n")).isEqualTo(Settings.DEFAULT);
    }

    @Test
    void everyKeyIsHeard() throws Exception {
        assertThat(of("parameter-limit: 7\ncomposition-roots: [Office, '*Wiring']\nexclude:\n  - old/\ntests: judge\n"
                + "generated: judge\nhistory: ignore\nclasspath: [lib/one.jar]\n"))
                .isEqualTo(new Settings(7, List.of("Office", "*Wiring"), false, List.of("old/"), true, true, List.of("lib/one.jar")));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', value = {
        "parameter-limits: 4|there is no key 'parameter-limits'",
        "parameter-limit: many|parameter-limit must be a number of 1 or more",
        "parameter-limit: 0|parameter-limit must be a number of 1 or more",
        "exclude: old|exclude must be a list",
        "exclude: [[a]]|exclude must be a list of texts",
        "tests: yes please|tests must be 'judge' or 'leave', not 'yes please'",
        "- a|must be a list of keys with values",
        "a: [|is no YAML"})
    void aMistakeIsToldWithWhatToWrite(String yaml, String why) {
        assertThatThrownBy(() -> of(yaml)).isInstanceOf(Configuration.Invalid.class).hasMessageContaining(why)
                .hasMessageContaining("driftwood.yaml");
    }

    @Test
    void theSchemaKnowsTheSameKeys() throws Exception {
        JsonNode schema = new ObjectMapper().readTree(Path.of("../docs/driftwood.schema.json").toFile());
        List<String> keys = new ArrayList<>();
        schema.get("properties").fieldNames().forEachRemaining(keys::add);
        assertThat(keys).containsExactlyElementsOf(Configuration.KEYS);
        assertThat(schema.get("additionalProperties").asBoolean()).isFalse();
    }
}
