package driftwood.cli;

import driftwood.cli.command.CharacterizeCommand;
import driftwood.cli.command.ConfirmCommand;
import driftwood.cli.command.DemoCommand;
import driftwood.cli.command.DrillCommand;
import driftwood.cli.command.ExplainCommand;
import driftwood.cli.command.PlanCommand;
import driftwood.cli.command.RefactorCommand;
import driftwood.cli.command.ScanCommand;
import driftwood.cli.command.StatusCommand;
import driftwood.cli.shell.Shipped;
import driftwood.words.Nearest;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.commons.cli.AlreadySelectedException;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.DefaultParser;
import org.apache.commons.cli.MissingArgumentException;
import org.apache.commons.cli.Option;
import org.apache.commons.cli.Options;
import org.apache.commons.cli.ParseException;
import org.apache.commons.cli.UnrecognizedOptionException;

/** The composition root: finds the command, runs it, ends the process. */
public final class Main {
    static final List<Command> COMMANDS = List.of(new ScanCommand(), new ExplainCommand(), new DrillCommand(), new PlanCommand(),
            new CharacterizeCommand(), new ConfirmCommand(), new RefactorCommand(), new StatusCommand(), new DemoCommand());

    private Main() {
    }

    public static void main(String[] arguments) {
        Output output = new Output(new FileOutputStream(FileDescriptor.out));
        Console console = Console.of(output);
        ExitCode code = run(arguments, console);
        console.out().flush();
        if (output.trouble().isPresent()) {
            console.warn("the results cannot be written: " + output.trouble().get() + ".");
            code = code.or(ExitCode.USAGE);
        }
        System.exit(code.number());
    }

    static ExitCode run(String[] arguments, Console console) {
        try {
            return dispatch(arguments, console);
        } catch (UsageException e) {
            console.warn(e.getMessage());
            return ExitCode.USAGE;
        } catch (UncheckedIOException e) {
            console.warn(e.getMessage() + ": " + reason(e.getCause()) + ".");
            return ExitCode.USAGE;
        } catch (OutOfMemoryError e) {
            console.warn("out of memory. Give it more with DRIFTWOOD_JAVA_OPTIONS=-Xmx4g, or scan fewer folders.");
            return ExitCode.DEFECT;
        } catch (RuntimeException | Error e) {
            Defect.report(e, arguments, console);
            return ExitCode.DEFECT;
        }
    }

    /** What the system says, in words. */
    private static String reason(IOException problem) {
        return problem instanceof AccessDeniedException ? "no permission"
                : problem instanceof FileSystemException system && system.getReason() != null ? system.getReason()
                : problem instanceof NoSuchFileException ? "there is no such file or folder" : problem.getMessage();
    }

    private static ExitCode dispatch(String[] arguments, Console console) {
        if (arguments.length == 0 || arguments[0].equals("--help") || arguments[0].equals("-h")
                || arguments[0].equals("help") && arguments.length == 1) {
            (arguments.length == 0 ? console.err() : console.out()).print(new Help(console.width()).overview(COMMANDS));
            return arguments.length == 0 ? ExitCode.USAGE : ExitCode.FINE;
        }
        if (arguments[0].equals("--version") || arguments[0].equals("-V") || arguments[0].equals("version")) {
            console.out().println("driftwood " + Version.current());
            return ExitCode.FINE;
        }
        if (arguments[0].equals("--ship") && arguments.length == 2) {
            ship(Path.of(arguments[1]));
            return ExitCode.FINE;
        }
        if (arguments[0].equals("--warm-up")) {
            WarmUp.run(COMMANDS);
            return ExitCode.FINE;
        }
        if (arguments[0].equals("--")) {
            throw new UsageException("a command comes first: driftwood COMMAND [OPTION...] [--] [OPERAND...]. 'driftwood --help' lists the commands.");
        }
        boolean asksForHelp = arguments[0].equals("help");
        String name = asksForHelp ? arguments[1] : arguments[0];
        Optional<Command> command = COMMANDS.stream().filter(each -> each.name().equals(name)).findFirst();
        if (command.isEmpty()) {
            String kind = name.startsWith("-") ? "option" : "command";
            throw new UsageException("there is no " + kind + " '" + name + "'"
                    + Nearest.to(name, COMMANDS.stream().map(Command::name).toList())
                            .map(near -> "; did you mean '" + near + "'?").orElse(".")
                    + " 'driftwood --help' lists the commands.");
        }
        String[] rest = Arrays.copyOfRange(arguments, 1, arguments.length);
        if (asksForHelp || isHelp(rest)) {
            console.out().print(new Help(console.width()).of(command.get()));
            return ExitCode.FINE;
        }
        return CommonOptions.run(command.get(), parse(command.get(), rest), console);
    }

    /** For the build: what is delivered beside the program. */
    private static void ship(Path folder) {
        try {
            Shipped.write(COMMANDS, List.copyOf(CommonOptions.all().getOptions()), Version.number(), folder);
        } catch (IOException e) {
            throw new UncheckedIOException("cannot write below " + folder, e);
        }
    }

    private static boolean isHelp(String[] rest) {
        for (String each : rest) {
            if (each.equals("--")) {
                return false;
            }
            if (each.equals("--help") || each.equals("-h")) {
                return true;
            }
        }
        return false;
    }

    private static CommandLine parse(Command command, String[] rest) {
        Options options = command.options();
        CommonOptions.all().getOptions().forEach(options::addOption);
        try {
            return DefaultParser.builder().setAllowPartialMatching(false).get().parse(options, rest);
        } catch (UnrecognizedOptionException e) {
            List<String> known = options.getOptions().stream().map(Option::getLongOpt).map(each -> "--" + each).toList();
            throw new UsageException(command.name() + " has no option '" + e.getOption() + "'"
                    + Nearest.to(e.getOption(), known).map(near -> "; did you mean '" + near + "'?").orElse(".")
                    + " 'driftwood " + command.name() + " --help' lists them.");
        } catch (MissingArgumentException e) {
            throw new UsageException("--" + e.getOption().getLongOpt() + " needs a value ("
                    + e.getOption().getArgName() + "). See 'driftwood " + command.name() + " --help'.");
        } catch (AlreadySelectedException e) {
            throw new UsageException("--" + e.getOption().getLongOpt() + " cannot be given twice.");
        } catch (ParseException e) {
            throw new UsageException(e.getMessage() + ". See 'driftwood " + command.name() + " --help'.");
        }
    }
}
