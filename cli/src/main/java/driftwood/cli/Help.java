package driftwood.cli;

import driftwood.cli.render.Paragraph;
import java.util.List;
import java.util.Locale;
import org.apache.commons.cli.Option;

/** The help texts, made from the same definitions that parse the command line, fitted to the width of the terminal. */
final class Help {
    private static final int WIDEST = 100;
    private static final int FLAGS = 24;

    private final int width;

    /** @param width columns of the terminal */
    Help(int width) {
        this.width = Math.min(WIDEST, width);
    }

    String overview(List<Command> commands) {
        StringBuilder text = new StringBuilder(paragraph("driftwood: finds code that resists change, plans the way out, and checks that behaviour "
                + "stayed the same."));
        text.append("\nusage: driftwood COMMAND [OPTION...] [OPERAND...]\n\n");
        for (Command command : commands) {
            text.append(entry(command.name(), command.summary(), 16));
        }
        return text.append('\n').append(entry("COMMAND --help", "explains a command", FLAGS)).append(entry("--version", "tells the version", FLAGS))
                .append(entry("explain drag", "what the words mean: drag, arm, leave-it and others", FLAGS)).append('\n')
                .append(paragraph("Exit codes: 0 fine, 1 there is something to act on, 2 wrong command line, 3 finished but some "
                        + "input could not be read, 4 a defect in Driftwood itself.")).toString();
    }

    String of(Command command) {
        StringBuilder text = new StringBuilder("usage: driftwood ").append(command.name()).append(" [OPTION...]");
        text.append(command.operands().isEmpty() ? "" : " " + command.operands()).append("\n\n");
        text.append(paragraph(command.description().strip().replaceAll("\\s+", " "))).append('\n');
        for (Option option : command.options().getOptions()) {
            text.append(entry(flag(option), option.getDescription(), FLAGS));
        }
        text.append("\nEvery command:\n");
        for (Option option : CommonOptions.all().getOptions()) {
            text.append(entry(flag(option), option.getDescription(), FLAGS));
        }
        return text.append(entry("-h, --help", "print this", FLAGS)).toString();
    }

    /** An option as it is typed. */
    static String flag(Option option) {
        return "--" + option.getLongOpt() + (option.hasArg() ? " " + option.getArgName() : "");
    }

    private String paragraph(String text) {
        return Paragraph.of(text, width, 0, 0);
    }

    /** A word and what it does, beside each other; below each other where the word is long. */
    private String entry(String word, String does, int column) {
        String text = Paragraph.of(does, width, column, 0);
        return word.length() > column - 4 ? "  " + word + "\n" + text
                : String.format(Locale.ROOT, "  %-" + (column - 2) + "s%s", word, text.stripLeading());
    }
}
