package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RootsTest {
    @TempDir
    Path folder;

    @ParameterizedTest(name = "{0}: {1} is in {2}")
    @CsvSource(delimiter = '|', value = {
        ".git/config                                   | src/quay          | .",
        ".git/config                                   | src/quay/Tug.java | .",
        ".git/config harbour/driftwood.yaml            | harbour/src       | harbour",
        ".git/config harbour/.driftwood/accepted.json  | harbour/src       | harbour",
        ".git/config harbour/.driftwood/cache/memory.mv | harbour/src      | .",
        ".hg/store                                     | src               | .",
        ".git                                          | src               | .",
        "pom.xml app/pom.xml                           | app/src           | .",
        "app/build.gradle.kts                          | app/src           | app",
        "readme.txt                                    | src/quay          | src/quay",
        "readme.txt                                    | src/quay/Tug.java | src/quay"})
    void theNearestMarkUpwardsIsTheRoot(String files, String place, String root) throws IOException {
        for (String each : files.strip().split(" +")) {
            write(each);
        }
        write(place.strip().endsWith(".java") ? place.strip() : place.strip() + "/Tug.java");
        assertThat(Roots.of(folder.resolve(place.strip()))).isEqualTo(folder.resolve(root.strip()).toAbsolutePath().normalize());
    }

    private void write(String file) throws IOException {
        Path path = folder.resolve(file);
        Files.createDirectories(path.getParent());
        Files.writeString(path, "");
    }
}
