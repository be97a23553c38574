package driftwood.cli;

import driftwood.store.Whole;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Option;
import org.apache.commons.cli.Options;

/** The options of every command: how much is told, and where. */
final class CommonOptions {
    private static final List<String> WHEN = List.of("auto", "always", "never");

    private CommonOptions() {
    }

    static Options all() {
        return new Options()
                .addOption(Option.builder().longOpt("output").hasArg().argName("FILE").desc("write the results into this file").get())
                .addOption(Option.builder().longOpt("quiet").desc("say nothing but results, warnings and errors").get())
                .addOption(Option.builder().longOpt("color").hasArg().argName("WHEN").desc("auto (default: on a terminal), always or never").get());
    }

    /** Runs a command as these options say. @throws UsageException where they cannot be followed */
    static ExitCode run(Command command, CommandLine line, Console console) {
        Console wanted = line.hasOption("quiet") ? console.quietly() : console;
        if (line.hasOption("color")) {
            String when = line.getOptionValue("color");
            if (!WHEN.contains(when)) {
                throw new UsageException("--color takes " + String.join(", ", WHEN) + ", not '" + when + "'.");
            }
            wanted = when.equals("auto") ? wanted : wanted.coloured(when.equals("always"));
        }
        return line.hasOption("output") ? intoFile(command, line, wanted) : command.run(line, wanted);
    }

    /** The file is there whole or, where the command fails, as it was. */
    private static ExitCode intoFile(Command command, CommandLine line, Console console) {
        Path file = Path.of(line.getOptionValue("output")).toAbsolutePath();
        if (Files.isDirectory(file) || file.getParent() == null || !Files.isDirectory(file.getParent())) {
            throw new UsageException("--output: " + file + (Files.isDirectory(file) ? " is a folder." : " is in no folder that exists."));
        }
        ByteArrayOutputStream text = new ByteArrayOutputStream();
        ExitCode code = command.run(line, console.into(new PrintStream(text, false, StandardCharsets.UTF_8)));
        try {
            Whole.write(file, text.toString(StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException("cannot write " + file, e);
        }
        return code;
    }
}
