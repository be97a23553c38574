package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.witness.Outcome.Writing;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DeskTest {
    @TempDir
    Path folder;

    @Test
    void whatIsWrittenIsToldOnceAndClearedAway() throws IOException {
        Desk desk = new Desk(folder);
        Files.createDirectories(folder.resolve("logs/empty"));
        Files.writeString(folder.resolve("logs/tide.txt"), "high\r\nlow");
        Files.write(folder.resolve("raw"), new byte[] {(byte) 0xff, 1});
        assertThat(desk.take()).containsExactly(new Writing("logs/empty", "a folder"),
                new Writing("logs/tide.txt", "high\nlow"), new Writing("raw", "2 bytes, checksum a5fadf1b"));
        assertThat(folder).isEmptyDirectory();
        assertThat(desk.take()).isEmpty();
    }

    @Test
    void longFilesAndManyAreToldInShort() throws IOException {
        Desk desk = new Desk(folder);
        Files.write(folder.resolve("a"), new byte[Desk.MOST_BYTES + 1]);
        for (int i = 0; i < Desk.MOST_FILES; i++) {
            Files.writeString(folder.resolve("f" + i), "x");
        }
        assertThat(desk.take()).hasSize(Desk.MOST_FILES + 1).contains(new Writing("a", "65537 bytes"),
                new Writing("...", "and 1 files more"));
    }

    @Test
    void aFolderThatHoldsSomethingIsLeftAlone() throws IOException {
        Files.writeString(folder.resolve("mine"), "keep");
        Desk desk = new Desk(folder);
        Files.writeString(folder.resolve("new"), "x");
        assertThat(desk.take()).isEmpty();
        assertThat(folder).isDirectoryContaining(each -> each.endsWith("mine"));
    }

    @Test
    void linksAreNotFollowed() throws IOException {
        Path outside = Files.writeString(Files.createTempFile("desk", ".txt"), "outside");
        Path own = Files.createDirectory(folder.resolve("work"));
        Desk desk = new Desk(own);
        Files.createSymbolicLink(own.resolve("link"), outside);
        assertThat(desk.take()).containsExactly(new Writing("link", "a link"));
        assertThat(outside).hasContent("outside");
    }
}
