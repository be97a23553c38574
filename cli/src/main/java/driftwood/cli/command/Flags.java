package driftwood.cli.command;

import driftwood.cli.UsageException;
import driftwood.smell.Drag;
import java.util.List;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Option;
import org.apache.commons.cli.Options;

/** Options that several commands share, and reading their values. */
final class Flags {
    private Flags() {
    }

    static Option flag(String name, String description) {
        return Option.builder().longOpt(name).desc(description).get();
    }

    static Option value(String name, String argument, String description) {
        return Option.builder().longOpt(name).hasArg().argName(argument).desc(description).get();
    }

    static Options project() {
        return new Options().addOption(value("project", "DIR", "a folder of the project to work on (default: this folder)"));
    }

    static String projectOf(CommandLine line) {
        return line.getOptionValue("project", ".");
    }

    /** A number of 0 or more. */
    static double number(CommandLine line, String option, double otherwise) {
        String text = line.getOptionValue(option);
        if (text == null) {
            return otherwise;
        }
        try {
            double number = Double.parseDouble(text);
            if (number >= 0) {
                return number;
            }
        } catch (NumberFormatException e) {
            throw wrongNumber(option, text);
        }
        throw wrongNumber(option, text);
    }

    /** A number of at least some other. */
    static double number(CommandLine line, String option, double otherwise, double least) {
        double number = number(line, option, otherwise);
        if (number < least) {
            throw new UsageException("--" + option + " takes a number of " + (long) least + " or more, not '" + line.getOptionValue(option) + "'.");
        }
        return number;
    }

    /** A drag. */
    static double drag(CommandLine line, String option) {
        double drag = number(line, option, 0);
        if (drag > Drag.MOST) {
            throw new UsageException("--" + option + " takes a drag from 0.0 to " + Drag.MOST + ", not '" + line.getOptionValue(option)
                    + "': no finding can have that much.");
        }
        return drag;
    }

    private static UsageException wrongNumber(String option, String text) {
        return new UsageException("--" + option + " takes a number of 0 or more, not '" + text + "'.");
    }

    static String choice(CommandLine line, String option, List<String> allowed) {
        String text = line.getOptionValue(option, allowed.get(0));
        if (!allowed.contains(text)) {
            throw new UsageException("--" + option + " takes " + String.join(", ", allowed) + ", not '" + text + "'.");
        }
        return text;
    }

    /** The operands of a command that needs at least one; each of them once. */
    static List<String> operands(CommandLine line, String what) {
        if (line.getArgList().isEmpty()) {
            throw new UsageException("name " + what + ".");
        }
        return line.getArgList().stream().distinct().toList();
    }

    /** The one operand a command needs. */
    static String operand(CommandLine line, String what) {
        if (line.getArgList().size() != 1) {
            throw new UsageException(line.getArgList().isEmpty() ? "name " + what + "."
                    : "name one " + what + ", not " + line.getArgList().size() + ": "
                            + String.join(" ", line.getArgList()) + ".");
        }
        return line.getArgList().get(0);
    }
}
