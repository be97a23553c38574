package driftwood.cli;

import driftwood.store.Scratch;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.io.FileUtils;

/**
 * Runs the common ways through the program once, so that a class-data archive made meanwhile holds what daily use
 * needs. Prints nothing; failures do not matter.
 */
final class WarmUp {
    private WarmUp() {
    }

    static void run(List<Command> commands) {
        try {
            Path folder = Scratch.folder("warm-up");
            SampleFiles.copy("kelp-quay", folder);
            PrintStream nowhere = new PrintStream(PrintStream.nullOutputStream());
            Console silent = new Console(nowhere, nowhere, false, false, true, 100);
            Main.run(new String[] {"scan", folder.toString()}, silent);
            change(folder);
            Main.run(new String[] {"scan", "--format", "json", folder.toString()}, silent);
            Main.run(new String[] {"scan", folder.toString()}, silent);
            new Help(100).overview(commands);
            FileUtils.deleteQuietly(folder.toFile());
        } catch (IOException e) {
            return;
        }
    }

    /** A change inside a routine, after which only a part is judged anew. */
    private static void change(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.filter(each -> each.toString().endsWith(".java")).toList()) {
                Files.writeString(file, Files.readString(file).replace("return ", "System.gc(); return "));
            }
        }
    }
}
