package driftwood.cli.command;

import driftwood.behaviour.Programs;
import driftwood.behaviour.Recording;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recordings;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Paragraph;
import driftwood.cli.render.Style;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.cli.CommandLine;

/** {@code characterize --run}: records whole programs. */
final class RunCommands {
    /** A command may take longer than a case: it starts an interpreter, reads files. In milliseconds. */
    static final long MILLIS = 60_000;

    private RunCommands() {
    }

    static ExitCode record(CommandLine line, Console console) {
        Project project = Project.of(Flags.projectOf(line));
        String name = line.getOptionValue("name", "program");
        if (!name.matches("[A-Za-z0-9._-]+")) {
            throw new UsageException("--name: '" + name + "' must be made of letters, digits, '.', '-' and '_'.");
        }
        List<String> commands = Arrays.asList(line.getOptionValues("run"));
        console.err().println("driftwood: running " + commands.size() + (commands.size() == 1 ? " command" : " commands")
                + " twice, each time in a copy of the project...");
        Recording recording = new Programs(project.root(), millis(line)).record(name, commands, input(line),
                environment(line));
        Path saved = new Recordings(project.root()).save(recording);
        Style style = new Style(console.colour());
        StringBuilder text = new StringBuilder();
        text.append(style.strong("Recorded " + commands.size() + (commands.size() == 1 ? " command" : " commands")))
                .append(" as ").append(recording.of()).append(".\n");
        for (Case each : recording.cases()) {
            text.append('\n').append(Paragraph.of(style.dim(each.id()) + "  "
                    + Style.safe(each.given().get("command").asText()), console.width(), 2, 6));
            text.append(Paragraph.of(told(each), console.width(), 6, 6));
        }
        text.append("\nSaved as ").append(project.root().relativize(saved)).append('\n');
        text.append("Next: change the code, then driftwood confirm").append(project.option()).append('\n');
        console.out().print(text);
        return ExitCode.FINE;
    }

    private static String told(Case each) {
        var gives = each.outcome().get("gives");
        StringBuilder text = new StringBuilder(gives.get("exit").isNumber() ? "exit code " + gives.get("exit").asText()
                : gives.get("exit").asText());
        text.append("; ").append(count(gives.get("out").size(), "line")).append(" on standard output");
        if (!gives.get("err").isEmpty()) {
            text.append(", ").append(count(gives.get("err").size(), "line")).append(" on standard error");
        }
        if (gives.has("files")) {
            text.append("; files: ");
            gives.get("files").fieldNames().forEachRemaining(name -> text.append(Style.safe(name)).append(' '));
            text.setLength(text.length() - 1);
        }
        int masked = each.varies().size() + each.anyOrder().size();
        if (masked > 0) {
            text.append("; ").append(count(masked, "place")).append(masked == 1 ? " differs" : " differ")
                    .append(" from run to run and ").append(masked == 1 ? "is" : "are").append(" not compared: ")
                    .append(String.join(", ", each.varies().stream().limit(6).toList()));
        }
        return text.toString().stripTrailing() + ".";
    }

    private static String count(int number, String what) {
        return number + " " + what + (number == 1 ? "" : "s");
    }

    static long millis(CommandLine line) {
        return line.hasOption("case-time") ? Observed.limits(line).caseMillis() : MILLIS;
    }

    private static String input(CommandLine line) {
        if (!line.hasOption("input")) {
            return "";
        }
        try {
            return Files.readString(Path.of(line.getOptionValue("input")));
        } catch (IOException e) {
            throw new UsageException("--input: " + line.getOptionValue("input") + " cannot be read as UTF-8 text.");
        }
    }

    private static Map<String, String> environment(CommandLine line) {
        Map<String, String> more = new LinkedHashMap<>();
        for (String each : line.hasOption("env") ? line.getOptionValues("env") : new String[0]) {
            int at = each.indexOf('=');
            if (at < 1) {
                throw new UsageException("--env: '" + each + "' is not of the form NAME=VALUE.");
            }
            more.put(each.substring(0, at), each.substring(at + 1));
        }
        return more;
    }
}
