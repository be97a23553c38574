package driftwood.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import driftwood.read.java.JavaLanguage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.tools.ToolProvider;
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
        try (InputStream kept = JavaLanguage.class.getResourceAsStream("outside.json");
                InputStream written = JavaLanguage.class.getResourceAsStream("outside.yaml")) {
            assertThat(JsonMapper.builder().build().readTree(kept)).isEqualTo(YAMLMapper.builder().build().readTree(written));
        }
    }

    @Test
    void aTableThatIsNotThereIsNamed() {
        assertThatThrownBy(() -> Table.beside(JavaLanguage.class, "inside"))
                .isInstanceOf(UncheckedIOException.class).hasMessageContaining("inside.yaml");
    }

    @Test
    void valuesOfAllKindsAreReadFromEitherForm() throws Exception {
        String table = "berth: {draught: 7.5, moorings: 4, deep: true, note: \"quiet \\\"side\\\"\", flags: [red, 2], crew: {mate: Ann, cook: Bo},"
                + " dues: {small: [tug, yacht], large: []}}\n";
        Files.createDirectories(folder.resolve("quay"));
        Files.writeString(folder.resolve("quay/Berth.java"), "package quay; public class Berth { }");
        assertThat(ToolProvider.getSystemJavaCompiler().run(null, null, null, folder.resolve("quay/Berth.java").toString())).isZero();
        Files.writeString(folder.resolve("quay/table.yaml"), table);
        for (boolean kept : List.of(false, true)) {
            if (kept) {
                Table.main(new String[] {folder.toString()});
                Files.delete(folder.resolve("quay/table.yaml"));
            }
            try (URLClassLoader classes = new URLClassLoader(new URL[] {folder.toUri().toURL()})) {
                Block berth = Table.beside(classes.loadClass("quay.Berth"), "table").blocks().get("berth");
                assertThat(berth.number("draught")).isEqualTo(7.5);
                assertThat((int) berth.number("moorings")).isEqualTo(4);
                assertThat(berth.text("deep")).isEqualTo("true");
                assertThat(berth.text("note")).isEqualTo("quiet \"side\"");
                assertThat(berth.texts("flags")).containsExactly("red", "2");
                assertThat(berth.pairs("crew")).containsExactly(Map.entry("mate", "Ann"), Map.entry("cook", "Bo"));
                assertThat(berth.lists("dues")).containsExactly(Map.entry("small", List.of("tug", "yacht")), Map.entry("large", List.of()));
                assertThat(berth.text("pilot")).isEmpty();
                assertThat(berth.texts("pilot")).isEmpty();
                assertThat(berth.lists("pilot")).isEmpty();
                assertThat(berth.pairs("pilot")).isEmpty();
                assertThat(berth.has("pilot")).isFalse();
            }
        }
    }

    @Test
    void whatIsNoneIsSaidWithItsPlace() {
        Block berth = Block.of("dues.yaml", Map.of("tug", 3, "flags", "red"));
        assertThatThrownBy(() -> berth.number("flags")).hasMessage("dues.yaml: flags is no number");
        assertThatThrownBy(() -> berth.texts("flags")).hasMessage("dues.yaml: flags is no list");
        assertThatThrownBy(() -> berth.block("flags")).hasMessage("dues.yaml: flags is no block of keys and values");
        assertThatThrownBy(() -> berth.only(Set.of("tug"))).hasMessage("dues.yaml has flags, which is not among its keys");
        assertThatThrownBy(() -> Block.of("dues.yaml", List.of())).hasMessage("dues.yaml is no block of keys and values");
    }
}
