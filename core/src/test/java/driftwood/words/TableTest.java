package driftwood.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import driftwood.read.java.JavaLanguage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TableTest {
    @TempDir
    Path folder;

    @Test
    void theBuildKeepsTablesAsJsonAndLeavesWhatIsNone() throws IOException {
        Files.createDirectories(folder.resolve("quay"));
        Files.writeString(folder.resolve("quay/dues.yaml"), "in sight: [Tug, Yacht]\nnone: {}\n");
        Files.writeString(folder.resolve("quay/comments.yaml"), "# nothing but words\n");

        Table.main(new String[] {folder.toString()});

        assertThat(folder.resolve("quay/dues.json")).hasContent("{\"in sight\":[\"Tug\",\"Yacht\"],\"none\":{}}");
        assertThat(folder.resolve("quay/comments.json")).doesNotExist();
    }

    @Test
    void whatIsKeptIsWhatIsWritten() throws IOException {
        Map<String, Object> read = Table.beside(JavaLanguage.class, "outside", new TypeReference<>() { });

        assertThat(JavaLanguage.class.getResource("outside.json")).isNotNull();
        assertThat(JsonMapper.builder().build().valueToTree(read).toString())
                .isEqualTo(YAMLMapper.builder().build().readTree(JavaLanguage.class.getResourceAsStream("outside.yaml")).toString());
    }

    @Test
    void aTableThatIsNotThereIsNamed() {
        assertThatThrownBy(() -> Table.beside(JavaLanguage.class, "inside", new TypeReference<Map<String, Object>>() { }))
                .isInstanceOf(UncheckedIOException.class).hasMessageContaining("inside.yaml");
    }
}
