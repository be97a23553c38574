package driftwood.cli;

import java.util.List;
import java.util.Locale;
import org.apache.commons.cli.Option;

/** The help texts, made from the same definitions that parse the command line. */
final class Help {
    private static final int WIDTH = 96;

    private Help() {
    }

    static String overview(List<Command> commands) {
        StringBuilder text = new StringBuilder("""
                driftwood: finds the smells in object-oriented code that fights change, plans the way out,
                and proves that nothing else changed.

                usage: driftwood COMMAND [OPTION...] [OPERAND...]

                """);
        for (Command command : commands) {
            text.append(String.format(Locale.ROOT, "  %-13s %s%n", command.name(), command.summary()));
        }
        return text.append("""

                  driftwood COMMAND --help explains a command; driftwood --version tells the version.
                Exit codes: 0 fine, 1 there is something to act on, 2 wrong command line, 3 finished but some
                input could not be read, 4 a defect in Driftwood itself.
                """).toString();
    }

    static String of(Command command) {
        StringBuilder text = new StringBuilder("usage: driftwood ").append(command.name()).append(" [OPTION...]");
        text.append(command.operands().isEmpty() ? "" : " " + command.operands()).append("\n\n");
        text.append(command.description().strip()).append("\n\n");
        for (Option option : command.options().getOptions()) {
            String flag = "--" + option.getLongOpt() + (option.hasArg() ? " " + option.getArgName() : "");
            text.append(String.format(Locale.ROOT, "  %-22s %s%n", flag, wrap(option.getDescription(), 25)));
        }
        return text.append(String.format(Locale.ROOT, "  %-22s %s%n", "--help", "print this")).toString();
    }

    private static String wrap(String text, int indent) {
        StringBuilder wrapped = new StringBuilder();
        int column = indent;
        for (String word : text.split(" ")) {
            if (column + word.length() + 1 > WIDTH) {
                wrapped.append('\n').append(" ".repeat(indent));
                column = indent;
            } else if (wrapped.length() > 0) {
                wrapped.append(' ');
            }
            wrapped.append(word);
            column += word.length() + 1;
        }
        return wrapped.toString();
    }
}
