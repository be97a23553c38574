package driftwood.cli.shell;

import driftwood.cli.Command;
import driftwood.cli.ExitCode;
import java.util.List;
import org.apache.commons.cli.Option;

/** The manual page, in roff with the man macros. */
final class Manual {
    private final List<Command> commands;
    private final List<Option> common;
    private final String version;

    /** @param common options of every command */
    Manual(List<Command> commands, List<Option> common, String version) {
        this.commands = commands;
        this.common = common;
        this.version = version;
    }

    String page() {
        StringBuilder text = new StringBuilder(".TH DRIFTWOOD 1 \"\" \"driftwood " + escaped(version) + "\" \"User Commands\"\n");
        text.append(".SH NAME\ndriftwood \\- finds code that resists change, plans the way out, and checks that behaviour stayed the same\n");
        text.append(".SH SYNOPSIS\n.B driftwood\n.I COMMAND\n[\\fIOPTION\\fR...] [\\fIOPERAND\\fR...]\n");
        text.append(".SH COMMANDS\n");
        for (Command each : commands) {
            text.append(".SS driftwood ").append(each.name()).append(" [OPTION...] ").append(escaped(each.operands())).append('\n');
            text.append(escaped(each.description().strip().replaceAll("\\s+", " "))).append('\n');
            each.options().getOptions().forEach(option -> option(option, text));
        }
        text.append(".SH OPTIONS OF EVERY COMMAND\n");
        common.forEach(option -> option(option, text));
        text.append(".SH EXIT STATUS\n");
        for (ExitCode each : ExitCode.values()) {
            text.append(".TP\n.B ").append(each.number()).append('\n').append(escaped(each.meaning())).append('\n');
        }
        text.append(".SH FILES\n.TP\n.I driftwood.yaml\nwhat the project decides for itself; \\fBdriftwood explain driftwood.yaml\\fR prints a template\n"
                + ".TP\n.I .driftwood/\nplans, recordings and accepted findings of the project; all but its cache is meant to be committed\n");
        text.append(".SH ENVIRONMENT\n.TP\n.B JAVA_HOME\nthe JDK to run with, of version 17 or newer\n.TP\n.B DRIFTWOOD_JAVA_OPTIONS\noptions for the JVM\n"
                + ".TP\n.B NO_COLOR\nno colour, also on a terminal\n");
        return text.toString();
    }

    private static void option(Option option, StringBuilder text) {
        text.append(".TP\n.B \\-\\-").append(escaped(option.getLongOpt())).append(option.hasArg() ? " \\fI" + escaped(option.getArgName()) + "\\fR" : "")
                .append('\n').append(escaped(option.getDescription())).append('\n');
    }

    /** Nothing in it is read as a command. */
    private static String escaped(String text) {
        String plain = text.replace("\\", "\\e").replace("-", "\\-");
        return plain.startsWith(".") || plain.startsWith("'") ? "\\&" + plain : plain;
    }
}
