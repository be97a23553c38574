package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.condition.EnabledIf;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tests in Python that Driftwood writes are run as any project would run them. */
class KeptPythonTestsTest {
    @TempDir
    Path folder;

    static boolean hasPython() throws InterruptedException {
        try {
            return new ProcessBuilder("python3", "--version").start().waitFor() == 0;
        } catch (IOException e) {
            return false;
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"HarbourDues PilotRoster ArrivalDesk quay.vessels quay.dues Crate", "LockGate"})
    @EnabledIf("hasPython")
    void thoseInPythonPassAsWell(String types) throws Exception {
        Path python = Files.createDirectories(folder.resolve("python/.git")).getParent();
        SampleFiles.copy("kelp-quay-python", python);
        Path tests = folder.resolve("tests");
        List<String> line = new ArrayList<>(List.of("characterize", "--project", python.toString(), "--trial-time",
                types.equals("LockGate") ? "2" : "0", "--write-tests", tests.toString()));
        line.addAll(List.of(types.split(" ")));
        assertThat(InProcess.run(line.toArray(String[]::new)).out())
                .contains("are in these tests. They need unittest alone: python3 -m unittest discover -s ");
        ProcessBuilder builder = new ProcessBuilder("python3", "-m", "unittest", "discover", "-s", tests.toString())
                .directory(python.toFile()).redirectErrorStream(true);
        builder.environment().putAll(Map.of("PYTHONPATH", python.toString(), "PYTHONDONTWRITEBYTECODE", "1"));
        Process process = builder.start();
        String told = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(told).isZero();
        assertThat(told).contains("OK").doesNotContain("Ran 0 tests");
    }
}
