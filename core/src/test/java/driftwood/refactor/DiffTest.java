package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Diffs as people read them and as git applies them. */
class DiffTest {
    @TempDir
    Path folder;

    static Stream<Arguments> changes() {
        return Stream.of(
                Arguments.of("a line in the middle", "a\nb\nc\n", "a\nB\nc\n"),
                Arguments.of("carriage returns", "a\r\nb\r\nc\r\n", "a\r\nB\r\nc\r\n"),
                Arguments.of("a last line without an end", "a\nb", "a\nc"),
                Arguments.of("an end that comes", "a\nb", "a\nb\n"),
                Arguments.of("an end that goes", "a\nb\n", "a\nb"),
                Arguments.of("far apart", "a\n".repeat(30) + "x\n" + "b\n".repeat(30), "z\n" + "a\n".repeat(30) + "b\n".repeat(29)),
                Arguments.of("a new file", null, "new\nfile\n"),
                Arguments.of("a new file without an end", null, "new"),
                Arguments.of("a file that goes", "old\nfile\n", null),
                Arguments.of("blanks at the ends of lines", "a \n\tb\n", "a\n\tb \n"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("changes")
    void gitMakesTheSameOfIt(String what, String before, String after) throws Exception {
        Path file = folder.resolve("some/File.java");
        Files.createDirectories(file.getParent());
        if (before != null) {
            Files.writeString(file, before);
        }
        apply(Diff.of(Map.of("some/File.java", Optional.ofNullable(before)), Map.of("some/File.java", Optional.ofNullable(after))));
        if (after == null) {
            assertThat(file).doesNotExist();
        } else {
            assertThat(Files.readString(file)).isEqualTo(after);
        }
    }

    private void apply(String diff) throws IOException, InterruptedException {
        Process git = new ProcessBuilder("git", "apply", "--whitespace=nowarn", "-").directory(folder.toFile()).redirectErrorStream(true).start();
        git.getOutputStream().write(diff.getBytes(StandardCharsets.UTF_8));
        git.getOutputStream().close();
        String said = new String(git.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(git.waitFor()).as(said + diff).isZero();
    }

    @Test
    void filesStandInTheirOrderAndUnchangedOnesDoNotStandAtAll() {
        Map<String, Optional<String>> after = new LinkedHashMap<>();
        after.put("z", Optional.of("1\n"));
        after.put("same", Optional.of("2\n"));
        after.put("a", Optional.of("3\n"));
        String diff = Diff.of(Map.of("z", Optional.of("0\n"), "same", Optional.of("2\n")), after);
        assertThat(diff).isEqualTo("""
                diff --git a/z b/z
                --- a/z
                +++ b/z
                @@ -1,1 +1,1 @@
                -0
                +1
                diff --git a/a b/a
                new file mode 100644
                --- /dev/null
                +++ b/a
                @@ -0,0 +1,1 @@
                +3
                """);
    }
}
