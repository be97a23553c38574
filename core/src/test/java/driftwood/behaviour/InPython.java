package driftwood.behaviour;

import static org.junit.jupiter.api.Assumptions.abort;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import driftwood.Given;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.run.Runtimes;
import driftwood.program.Program;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** A package of one Python module, for tests that run it in a real interpreter. */
final class InPython {
    static final Runtimes.Interpreter PYTHON = Runtimes.of(Given.PYTHON, "").orElseThrow();
    static final Limits QUICK = new Limits(700, 128, 1);

    private InPython() {
    }

    /** Leaves the tests out where there is no interpreter. */
    static void isNeeded() throws InterruptedException {
        try {
            assumeTrue(new ProcessBuilder("python3", "--version").start().waitFor() == 0);
        } catch (IOException e) {
            abort("python3 is not installed");
        }
    }

    /** Writes quay/MODULE.py. */
    static Program written(Path root, String module, String text) throws IOException {
        Path file = root.resolve("quay/" + module + ".py");
        Files.createDirectories(file.getParent());
        Files.writeString(root.resolve("quay/__init__.py"), "");
        Files.writeString(file, text);
        return new Scan(Scan.Options.DEFAULT).run(root, List.of(root.resolve("quay"))).program();
    }
}
