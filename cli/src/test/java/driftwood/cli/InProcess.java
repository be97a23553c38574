package driftwood.cli;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** Runs commands in this process, with the output kept. */
final class InProcess {

    /** How a run ended. */
    record Run(ExitCode code, String out, String err) {
    }

    private InProcess() {
    }

    static Run run(boolean colour, int width, String... arguments) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream err = new ByteArrayOutputStream();
        Console console = new Console(new PrintStream(out, true, StandardCharsets.UTF_8),
                new PrintStream(err, true, StandardCharsets.UTF_8), colour, false, false, width);
        ExitCode code = Main.run(arguments, console);
        return new Run(code, out.toString(StandardCharsets.UTF_8), err.toString(StandardCharsets.UTF_8));
    }

    static Run run(String... arguments) {
        return run(false, 100, arguments);
    }
}
