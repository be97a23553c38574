package driftwood.cli;

import driftwood.smell.Scan;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * Runs the common ways through the program once, so that a class-data archive made meanwhile holds what daily use
 * needs. Prints nothing; failures do not matter.
 */
final class WarmUp {
    private WarmUp() {
    }

    static void run(List<Command> commands) {
        try {
            Path folder = Files.createTempDirectory("driftwood-warm-up");
            Path source = folder.resolve("Gate.java");
            Files.writeString(source, "class Gate { Object a(int kind) { return kind == 1 ? null : new Object(); } }");
            new Scan(Scan.Options.DEFAULT).run(folder, List.of(folder));
            PrintStream nowhere = new PrintStream(PrintStream.nullOutputStream());
            Console silent = new Console(nowhere, nowhere, false, false, 100);
            Main.run(new String[] {"scan", folder.toString()}, silent);
            Main.run(new String[] {"scan", "--format", "json", folder.toString()}, silent);
            Help.overview(commands);
            Files.delete(source);
            Files.delete(folder);
        } catch (IOException e) {
            return;
        }
    }
}
