package driftwood.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files are there whole or not at all, keep their rights, and nothing else lies beside them. */
class WholeTest {
    @TempDir
    Path folder;

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private List<String> names(Path of) throws IOException {
        try (Stream<Path> files = Files.list(of)) {
            return files.map(each -> each.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void whatWasThereIsReplacedAsAWhole() throws IOException {
        Path file = folder.resolve("quay.txt");
        assertThat(Whole.write(file, "tide\n")).isEqualTo(file).hasContent("tide\n");
        assertThat(Whole.write(file, "ebb\n")).hasContent("ebb\n");
        assertThat(names(folder)).containsExactly("quay.txt");
    }

    @ParameterizedTest(name = "a file with the rights {0} keeps them")
    @ValueSource(strings = {"rwxr-xr-x", "rw-------", "rw-rw-r--"})
    void rightsAreKept(String rights) throws IOException {
        assumeThat(FileSystems.getDefault().supportedFileAttributeViews()).contains("posix");
        Path script = Files.writeString(folder.resolve("quay.py"), "#!/usr/bin/env python3\n");
        Files.setPosixFilePermissions(script, PosixFilePermissions.fromString(rights));
        Whole.write(script, "#!/usr/bin/env python3\nprint('tide')\n");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(script))).isEqualTo(rights);
    }

    @Test
    void aNewFileHasTheRightsOfAnyOther() throws IOException {
        assumeThat(FileSystems.getDefault().supportedFileAttributeViews()).contains("posix");
        Path other = Files.writeString(folder.resolve("other"), "");
        Path written = Whole.write(folder.resolve("written"), "");
        assertThat(Files.getPosixFilePermissions(written)).isEqualTo(Files.getPosixFilePermissions(other));
    }

    @Test
    void draftsLieWhereTheyAreWanted() throws IOException {
        Path sources = Files.createDirectories(folder.resolve("src"));
        Path drafts = Files.createDirectories(folder.resolve("drafts"));
        // Nothing can be renamed onto a folder that is not empty: what was drafted goes, wherever it lay.
        Files.createDirectories(sources.resolve("Quay.java/inner"));
        assertThatThrownBy(() -> Whole.write(sources.resolve("Quay.java"), bytes("class Quay { }"), drafts)).isInstanceOf(IOException.class);
        assertThat(names(drafts)).isEmpty();
        assertThat(names(sources)).containsExactly("Quay.java");
        assertThat(Whole.write(sources.resolve("Berth.java"), bytes("class Berth { }"), drafts)).hasContent("class Berth { }");
        assertThat(names(sources)).containsExactly("Berth.java", "Quay.java");
    }

    @Test
    void whatAKilledProcessLeftIsSweptAwayAndNobodyElsesDraftIs() throws IOException {
        Path left = Files.writeString(folder.resolve(".draftleft"), "half");
        Path fresh = Files.writeString(folder.resolve(".draftfresh"), "half");
        Files.setLastModifiedTime(left, FileTime.from(Instant.now().minus(Duration.ofMinutes(2))));
        Whole.write(folder.resolve("quay.txt"), "tide\n");
        assertThat(left).doesNotExist();
        assertThat(fresh).exists();
    }
}
