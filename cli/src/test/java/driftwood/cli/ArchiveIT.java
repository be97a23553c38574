package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What users unpack: it runs with nothing but a JDK. */
class ArchiveIT {
    @TempDir
    Path folder;

    private String run(List<String> command) throws Exception {
        ProcessBuilder builder = new ProcessBuilder(command).directory(folder.toFile()).redirectErrorStream(true)
                .redirectOutput(folder.resolve("told").toFile());
        builder.environment().put("PATH", "/usr/bin:/bin");
        builder.environment().put("JAVA_HOME", System.getProperty("java.home"));
        builder.environment().put("XDG_CACHE_HOME", folder.resolve("cache").toString());
        Process process = builder.start();
        assertThat(process.waitFor(3, TimeUnit.MINUTES)).isTrue();
        assertThat(process.exitValue()).as(Files.readString(folder.resolve("told"))).isZero();
        return Files.readString(folder.resolve("told"));
    }

    @Test
    void theArchiveRunsTheDemoWithNothingButAJdk() throws Exception {
        run(List.of("tar", "xzf", Path.of(System.getProperty("driftwood.archives"), "driftwood-0.1.0.tar.gz").toAbsolutePath().toString()));
        String launcher = folder.resolve("driftwood-0.1.0/bin/driftwood").toString();
        assertThat(run(List.of(launcher, "--version"))).startsWith("driftwood 0.1.0");
        assertThat(run(List.of(launcher, "demo", "play"))).contains("$ driftwood scan play", "$ driftwood explain ts-", "$ driftwood plan ts-",
                "$ driftwood refactor ts-", "Carried out: ", "Not the same:", "The slip was noticed");
        assertThat(folder.resolve("play/.driftwood/plans")).isDirectory();
        assertThat(run(List.of("bash", "-n", folder.resolve("driftwood-0.1.0/share/completion/driftwood.bash").toString()))).isEmpty();
        assertThat(Files.readString(folder.resolve("driftwood-0.1.0/share/man/man1/driftwood.1"))).contains(".SS driftwood scan", "\\-\\-touched\\-since");
        assertThat(folder.resolve("driftwood-0.1.0/LICENSE")).exists();
    }
}
