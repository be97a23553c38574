package driftwood.cli;

import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** One command of the program. */
public interface Command {

    /** The word on the command line. */
    String name();

    /** What stands behind the name in the usage line, such as {@code [PATH...]}. */
    String operands();

    /** One line for the list of commands. */
    String summary();

    /** A few lines for {@code --help}. */
    String description();

    Options options();

    /**
     * Runs the command.
     *
     * @throws UsageException where the command line asks for what cannot be done
     */
    ExitCode run(CommandLine line, Console console);
}
