package driftwood.source;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SourceFinderTest {
    @TempDir
    Path root;

    private List<String> found(Path... places) {
        return new SourceFinder(root).find(List.of(places)).files().stream().map(SourceFile::path).toList();
    }

    private void write(String... paths) {
        for (String path : paths) {
            Given.write(root.resolve(path), "class A { }");
        }
    }

    @Test
    void filesAreSortedAndToldWithForwardSlashes() {
        write("b/B.java", "a/z/Z.java", "A.java", "notes.txt", "Makefile");
        assertThat(found(root)).containsExactly("A.java", "a/z/Z.java", "b/B.java");
    }

    @Test
    void hiddenFoldersAndBuildOutputArePassedOver() {
        write("pom.xml", ".git/A.java", "target/B.java", "node_modules/C.java", ".driftwood/cache/D.java", "src/E.java");
        assertThat(found(root)).containsExactly("src/E.java");
    }

    @Test
    void aPackageNamedAsBuildOutputIsNotPassedOver() {
        write("src/quay/build/A.java", "src/quay/out/B.java");
        assertThat(found(root)).containsExactly("src/quay/build/A.java", "src/quay/out/B.java");
    }

    @Test
    void linksAreNotFollowedSoThatCirclesEnd() throws IOException {
        write("a/A.java");
        Files.createSymbolicLink(root.resolve("a/again"), root.resolve("a"));
        Files.createSymbolicLink(root.resolve("a/self.java"), root.resolve("a/self.java"));
        assertThat(found(root)).containsExactly("a/A.java");
    }

    @Test
    void aPlaceNamedTwiceIsReadOnce() {
        write("a/A.java", "a/B.java");
        assertThat(found(root.resolve("a"), root.resolve("a/A.java"))).containsExactly("a/A.java", "a/B.java");
    }

    @Test
    void testCodeIsToldByItsFolderOrName() {
        write("src/test/java/A.java", "src/main/java/B.java", "x/BerthTest.java", "latest/C.java");
        assertThat(new SourceFinder(root).find(List.of(root)).files()).filteredOn(SourceFile::test)
                .extracting(SourceFile::path).containsExactly("src/test/java/A.java");
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"Quay.Tests/Berth.cs, true", "src/Quay.UnitTests/deep/Berth.cs, true", "quay-tests/Berth.java, true", "quay.integrationTest/Berth.cs, true",
            "Quay.Contests/Berth.cs, false", "Quay.Attest/Berth.cs, false", "Tested/Berth.cs, false", "Quay.Tests.cs/Berth.cs, false"})
    void aProjectBesideTheOneThatItTestsIsTestCode(String file, boolean test) {
        write(file);
        assertThat(new SourceFinder(root).find(List.of(root)).files()).singleElement().extracting(SourceFile::test).isEqualTo(test);
    }

    @Test
    void ignoreFilesAreHonouredTheNearestFirst() {
        write("old/A.java", "old/keep/B.java", "src/C.java", "src/made/D.java", "src/made/E.java");
        Given.write(root.resolve(".gitignore"), "old/*\n!old/keep/\nmade/\n");
        Given.write(root.resolve("src/.gitignore"), "!made/\nmade/D.java\n");
        assertThat(found(root)).containsExactly("old/keep/B.java", "src/C.java", "src/made/E.java");
    }

    @Test
    void aFileNamedOutrightIsTakenEvenWhereItIsIgnored() {
        write("old/A.java");
        Given.write(root.resolve(".gitignore"), "old/\n");
        assertThat(found(root)).isEmpty();
        assertThat(found(root.resolve("old/A.java"))).containsExactly("old/A.java");
    }

    @Test
    void theProjectsOwnExclusionsCountToo() {
        write("src/A.java", "legacy/deep/B.java", "src/C.java");
        assertThat(new SourceFinder(root, List.of("legacy/", "C.java")).find(List.of(root)).files())
                .extracting(SourceFile::path).containsExactly("src/A.java");
    }

    @Test
    void virtualEnvironmentsAndCachesOfPythonArePassedOver() {
        write("quay/a.py", "env/lib/b.py", "quay/__pycache__/c.py", "test_a.py", "quay/conftest.py");
        Given.write(root.resolve("env/pyvenv.cfg"), "home = here");
        assertThat(new SourceFinder(root).find(List.of(root)).files()).filteredOn(file -> !file.test())
                .extracting(SourceFile::path).containsExactly("quay/a.py");
        assertThat(found(root)).containsExactly("quay/a.py", "quay/conftest.py", "test_a.py");
    }
}
