package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every recipe for Python on small projects: after each stage main.py says the same, the smell goes, and no other comes. */
class PythonRecipesTest {
    @TempDir
    Path root;
    @TempDir
    Path patched;

    static List<RecipeCase> cases() throws IOException {
        return RecipeCase.all(Path.of("src/test/resources/recipes-python"));
    }

    /** The interpreter itself: what stands on the path may be a script that looks for it every time. */
    private static String python = "";

    @BeforeAll
    static void anInterpreterIsThere() throws InterruptedException {
        try {
            Process asked = new ProcessBuilder("python3", "-c", "import sys; print(sys.executable)").start();
            python = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
            asked.waitFor();
        } catch (IOException e) {
            // Told below.
        }
        assumeTrue(!python.isEmpty(), "python3 is not on the PATH");
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cases")
    void everyStageRunsTheSame(RecipeCase one) throws Exception {
        one.write(root);
        Scan.Result before = RecipeCase.scan(root);
        if (one.said().containsKey("refused")) {
            assertThatThrownBy(() -> one.refactoring(before)).isInstanceOf(Refused.class).hasMessageContaining(one.said().get("refused"));
            return;
        }
        Refactoring refactoring = one.refactoring(before);
        String wanted = run(root);
        for (Stage stage : refactoring.stages()) {
            for (Map.Entry<String, Optional<String>> each : stage.files().entrySet()) {
                Files.writeString(root.resolve(each.getKey()), each.getValue().orElseThrow());
            }
            wanted = stage.meant() ? one.said().getOrDefault("meant", wanted) : wanted;
            assertThat(run(root)).as(stage.does()).isEqualTo(wanted);
        }
        assertThat(RecipeCase.smells(RecipeCase.scan(root))).as("no other smell came, and the one is gone").isSubsetOf(one.left(before));
        one.theCodeIsWritten(refactoring);
        one.thePatchGivesTheSame(refactoring, patched);
    }

    /** What main.py says, and how it ends. */
    private static String run(Path folder) throws Exception {
        Process process = new ProcessBuilder(python, "-I", "-B", "-W", "error::SyntaxWarning", "-c", "import sys; sys.path.insert(0, '.'); import runpy; runpy.run_path('main.py', run_name='__main__')").directory(folder.toFile()).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        return said.strip();
    }
}
