package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.render.Paragraph;
import driftwood.cli.render.Style;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.cli.DefaultParser;
import org.apache.commons.cli.ParseException;

/** Says a sentence before each step, shows the command as the user would type it, and runs it. */
record DemoWalk(String folder, Console console, Style style) {

    void say(String sentence) {
        console.out().println("\n" + style.strong(
                Paragraph.of("== " + sentence, console.width(), 0, 3).stripTrailing()) + "\n");
    }

    ExitCode run(Command command, String... words) {
        console.out().println(style.cool("$ driftwood " + String.join(" ", Arrays.stream(words).map(each -> each.contains(" ") ? '"' + each + '"' : each).toList())) + "\n");
        try {
            String[] rest = List.of(words).subList(1, words.length).toArray(String[]::new);
            return command.run(new DefaultParser().parse(command.options(), rest), console);
        } catch (ParseException e) {
            throw new IllegalStateException(e);
        }
    }
}
