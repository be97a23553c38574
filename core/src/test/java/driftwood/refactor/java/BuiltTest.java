package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.behaviour.build.Compiler;
import driftwood.read.java.Compilation;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a build left beside the sources is read in their place, as long as it is theirs. */
class BuiltTest {
    private static final Map<String, String> USER = Map.of("quay/User.java", "package quay; class User { int three() { return new Mooring().depth(); } }");
    @TempDir
    Path root;
    private Path sources;
    private Path classes;
    private Path mooring;

    @BeforeEach
    void aBuiltProject() throws Exception {
        sources = Files.createDirectories(root.resolve("src/main/java"));
        classes = root.resolve("target/classes");
        mooring = Files.createDirectories(sources.resolve("quay")).resolve("Mooring.java");
        Files.writeString(mooring, "package quay; class Mooring { int depth() { return 3; } }");
        Compiler.compile(root, List.of(mooring), List.of(), Files.createDirectories(classes));
    }

    private List<String> troubles() {
        return Compilation.of(USER, Set.of(sources), Built.of(Set.of(sources))).troubles().stream().map(Compilation.Trouble::message).toList();
    }

    private static void made(Path file, int secondsAgo) throws IOException {
        Files.setLastModifiedTime(file, FileTime.fromMillis(System.currentTimeMillis() - 1000L * secondsAgo));
    }

    @Test
    void theOutputOfTheUsualBuildsIsFound() throws IOException {
        assertThat(Built.of(Set.of(sources))).containsExactly(classes);
        Path tests = Files.createDirectories(root.resolve("src/test/java"));
        assertThat(Built.of(Set.of(tests))).as("there is none").isEmpty();
        Path elsewhere = Files.createDirectories(root.resolve("code"));
        assertThat(Built.of(Set.of(elsewhere))).as("of another layout nothing is known").isEmpty();
    }

    @Test
    void aFolderWithoutClassFilesIsLeft() throws IOException {
        Files.delete(classes.resolve("quay/Mooring.class"));
        assertThat(Built.of(Set.of(sources))).isEmpty();
    }

    @Test
    void classFilesOfANewerJavaAreLeft() throws IOException {
        Path file = classes.resolve("quay/Mooring.class");
        byte[] bytes = Files.readAllBytes(file);
        bytes[7] = (byte) (Runtime.version().feature() + 45);
        Files.write(file, bytes);
        assertThat(Built.of(Set.of(sources))).isEmpty();
        assertThat(troubles()).as("the source is read").isEmpty();
    }

    @Test
    void aDamagedClassFileIsLeft() throws IOException {
        Files.write(classes.resolve("quay/Mooring.class"), new byte[3]);
        assertThat(Built.of(Set.of(sources))).isEmpty();
    }

    @Test
    void aClassFileThatIsNewerThanItsSourceIsReadInItsPlace() throws IOException {
        Files.writeString(mooring, "this is no Java");
        made(mooring, 100);
        assertThat(troubles()).isEmpty();
    }

    @Test
    void aSourceThatIsNewerThanItsClassFileCounts() throws IOException {
        Files.writeString(mooring, "package quay; class Mooring { int height() { return 3; } }");
        made(classes.resolve("quay/Mooring.class"), 100);
        assertThat(troubles()).singleElement().asString().contains("depth()");
    }
}
