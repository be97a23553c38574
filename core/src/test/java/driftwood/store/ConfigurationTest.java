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

    private Configuration of(String yaml) throws Exception {
        Given.write(root.resolve("driftwood.yaml"), yaml.replace("\\n", "\n"));
        return Configuration.in(root);
    }

    @Test
    void withoutAFileTheCatalogueDecides() throws Exception {
        assertThat(Configuration.in(root).settings()).isEqualTo(Settings.DEFAULT);
        assertThat(of("# nothing yet\n").wanted()).isEqualTo(Wanted.DEFAULT);
    }

    @Test
    void everyKeyIsHeard() throws Exception {
        assertThat(of("parameter-limit: 7\ncomposition-roots: [Office, '*Wiring']\nexclude:\n  - old/\ntests: judge\n"
                + "generated: judge\nhistory: ignore\nclasspath: [lib/one.jar]\nsmells: [type-switch]\nfail-at: 4\nmin-drag: 2.5\n"))
                .isEqualTo(new Configuration(new Settings(7, List.of("Office", "*Wiring"), false, List.of("old/"), true, true, List.of("lib/one.jar")),
                        new Wanted(List.of("type-switch"), 2.5, 4)));
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
        "a: [|is not valid YAML",
        "tests: judge\\ntests: leave|:2: this key is there twice",
        "tests: judge\\ntest: leave|:2: there is no key 'test'",
        "fail-at: 7|fail-at must be a drag from 0.0 to 5.0",
        "smells: [type-swich]|names 'type-swich', which is no smell; did you mean 'type-switch'?"})
    void aMistakeIsToldWithWhatToWrite(String yaml, String why) {
        assertThatThrownBy(() -> of(yaml)).isInstanceOf(Configuration.Invalid.class).hasMessageContaining(why);
    }

    @Test
    void theTemplateHasEveryKeyAndChangesNothing() throws Exception {
        assertThat(of(Configuration.template())).isEqualTo(new Configuration(Settings.DEFAULT, Wanted.DEFAULT));
        String all = Configuration.template().replaceAll("(?m)^# ([a-z-]+: )", "$1");
        assertThat(of(all).wanted()).isEqualTo(new Wanted(List.of("type-switch", "telescoping-constructor", "null-check"), 2.0, 3.5));
        assertThat(all.lines().filter(each -> !each.startsWith("#") && !each.isBlank()).map(each -> each.replaceAll(":.*", "")))
                .containsExactlyInAnyOrderElementsOf(Configuration.KEYS);
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
