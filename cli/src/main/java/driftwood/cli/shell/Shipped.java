package driftwood.cli.shell;

import driftwood.cli.Command;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.cli.Option;

/** Writes what ships beside the program. */
public final class Shipped {
    private Shipped() {
    }

    /**
     * Writes completion for bash and zsh and the manual page.
     *
     * @param commands all of them
     * @param common   options of every command
     * @param folder   it is made where it is missing
     */
    public static void write(List<Command> commands, List<Option> common, String version, Path folder) throws IOException {
        Completion completion = new Completion(commands, common);
        put(folder.resolve("completion/driftwood.bash"), completion.bash());
        put(folder.resolve("completion/_driftwood"), completion.zsh());
        put(folder.resolve("man/man1/driftwood.1"), new Manual(commands, common, version).page());
    }

    private static void put(Path file, String text) throws IOException {
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
    }
}
