package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** SARIF against what its standard requires, and Markdown against what Markdown would make of source text. */
class FormatsTest {
    @TempDir
    Path folder;

    @BeforeEach
    void unpack() throws IOException {
        SampleFiles.copy("kelp-quay", folder);
        Files.writeString(folder.resolve("Broken one.java"), "class Broken { int x = ; }");
    }

    private JsonNode sarif() throws IOException {
        return new ObjectMapper().readTree(InProcess.run("scan", "--format", "sarif", folder.toString()).out());
    }

    @Test
    void theLogKeepsThePublishedSchema() throws IOException {
        try (InputStream published = getClass().getResourceAsStream("/schema/sarif-schema-2.1.0.json")) {
            JsonSchema schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V7).getSchema(published);
            JsonNode log = sarif();
            assertThat(schema.validate(log)).isEmpty();
            ((ObjectNode) log.at("/runs/0/results/0")).put("level", "dire");
            assertThat(schema.validate(log)).hasSize(1);
        }
    }

    @Test
    void theLogHasWhatTheStandardRequires() throws IOException {
        JsonNode log = sarif();
        assertThat(log.get("version").asText()).isEqualTo("2.1.0");
        assertThat(log.get("$schema").asText()).endsWith("sarif-schema-2.1.0.json");
        assertThat(log.get("runs")).hasSize(1);
        JsonNode driver = log.at("/runs/0/tool/driver");
        assertThat(driver.get("name").asText()).isEqualTo("Driftwood");
        Set<String> ids = new HashSet<>();
        for (JsonNode rule : driver.get("rules")) {
            assertThat(ids.add(rule.get("id").asText())).isTrue();
            assertThat(rule.at("/shortDescription/text").asText()).isNotBlank();
            assertThat(rule.at("/help/text").asText()).contains("Not this smell:", "Cures:");
        }
    }

    @Test
    void everyResultRefersToItsRuleAndHasPlacesAndAFingerprint() throws IOException {
        JsonNode run = sarif().at("/runs/0");
        Set<String> fingerprints = new HashSet<>();
        assertThat(run.get("results")).hasSize(5);
        for (JsonNode result : run.get("results")) {
            assertThat(run.at("/tool/driver/rules").get(result.get("ruleIndex").asInt()).get("id")).isEqualTo(result.get("ruleId"));
            assertThat(List.of("none", "note", "warning", "error")).contains(result.get("level").asText());
            assertThat(result.at("/message/text").asText()).isNotBlank();
            assertThat(result.get("rank").asDouble()).isBetween(0.0, 100.0);
            assertThat(fingerprints.add(result.at("/partialFingerprints/driftwood~11").asText())).isTrue();
            assertThat(result.at("/locations/0/logicalLocations/0/fullyQualifiedName").asText()).startsWith("quay.");
            place(result.get("locations").get(0));
            int id = 0;
            for (JsonNode related : result.get("relatedLocations")) {
                assertThat(related.get("id").asInt()).isEqualTo(id++);
                assertThat(related.at("/message/text").asText()).isNotBlank();
                place(related);
            }
        }
    }

    private static void place(JsonNode location) {
        JsonNode physical = location.get("physicalLocation");
        assertThat(physical.at("/artifactLocation/uri").asText()).matches("[A-Za-z0-9/._%-]+");
        assertThat(physical.at("/artifactLocation/uriBaseId").asText()).isEqualTo("ROOT");
        assertThat(physical.at("/region/startLine").asInt()).isPositive()
                .isLessThanOrEqualTo(physical.at("/region/endLine").asInt());
    }

    @Test
    void whatWasNotReadIsANotificationWithAnEscapedUri() throws IOException {
        JsonNode note = sarif().at("/runs/0/invocations/0/toolExecutionNotifications/0");
        assertThat(note.at("/message/text").asText()).startsWith("not read: syntax: ");
        assertThat(note.at("/locations/0/physicalLocation/artifactLocation/uri").asText()).isEqualTo("Broken%20one.java");
    }

    @Test
    void markdownHasATableAndEachFinding() {
        String text = InProcess.run("scan", "--format", "markdown", folder.toString()).out();
        assertThat(text).startsWith("# Findings\n\n5 findings in 28 files, ").contains("| drag | smell | id | place |",
                "| 4.0 | telescoping-constructor | tc-27ed9d | `src/main/java/quay/Berth.java:11` |", "## tc-27ed9d: telescoping-constructor",
                "Cure: **builder**: 4 of 5 parts are optional", "## Not read", "- `Broken one.java:1` syntax");
    }

    @Test
    void sourceTextIsNeverMarkup() throws IOException {
        Path tower = folder.resolve("src/main/java/quay/SignalTower.java");
        Files.writeString(tower, Files.readString(tower).replace("hoist(\"GOLF\");", "hoist(\"<b>*G*</b> [x](y) |\"); hoist(\"2\");"));
        String text = InProcess.run("scan", "--format", "markdown", folder.toString()).out();
        assertThat(text).contains("hoist(\"\\<b\\>\\*G\\*\\</b\\> \\[x\\](y) \\|\")").doesNotContain("<b>");
    }
}
