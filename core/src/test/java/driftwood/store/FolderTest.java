package driftwood.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import driftwood.Given;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FolderTest {
    @TempDir
    Path root;

    @Test
    void whatIsWrittenIsReadableJsonAndNoDraftIsLeft() throws IOException {
        Path file = new Folder(root).write("plans/a.json", Map.of("format", "x/1"));
        assertThat(Files.readString(file)).isEqualTo("{\n  \"format\": \"x/1\"\n}\n");
        try (Stream<Path> files = Files.list(file.getParent())) {
            assertThat(files).containsExactly(file);
        }
    }

    @Test
    void writingAgainReplaces() throws IOException {
        Folder folder = new Folder(root);
        folder.write("plans/a.json", "one");
        assertThat(Files.readString(folder.write("plans/a.json", "two"))).isEqualTo("two");
    }

    @Test
    void theCacheIsIgnoredByVersionControl() throws IOException {
        assertThat(new Folder(root).cache()).isDirectory();
        assertThat(Files.readString(root.resolve(".driftwood/cache/.gitignore"))).isEqualTo("*\n");
    }

    @Test
    void aDamagedFileIsToldWithItsLine() {
        Path file = Given.write(root.resolve(".driftwood/plans/a.json"), "{\n  \"format\": \n}");
        assertThatThrownBy(() -> new Folder(root).read(file, Map.class)).isInstanceOf(IOException.class)
                .hasMessageContaining("a.json:3 is damaged");
    }

    @Test
    void filesAreListedInOrder() {
        Folder folder = new Folder(root);
        assertThat(folder.files("plans")).isEmpty();
        List.of("b", "a", "c").forEach(name -> folder.write("plans/" + name + ".json", name));
        assertThat(folder.files("plans")).extracting(each -> each.getFileName().toString())
                .containsExactly("a.json", "b.json", "c.json");
    }
}
