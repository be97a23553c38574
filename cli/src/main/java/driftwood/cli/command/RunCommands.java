package driftwood.cli.command;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.Programs;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Paragraph;
import driftwood.cli.render.Style;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;

/** {@code characterize --run}: records whole programs. */
final class RunCommands {
    private RunCommands() {
    }

    static ExitCode record(CommandLine line, Console console) {
        Project project = Project.at(Flags.projectOf(line), console);
        if (!line.getArgList().isEmpty()) {
            throw new UsageException("--run records commands, and nothing is done with " + String.join(" ", line.getArgList())
                    + ". Leave it out, or record it with a command of its own.");
        }
        List<String> commands = Arrays.asList(line.getOptionValues("run"));
        if (commands.stream().anyMatch(String::isBlank)) {
            throw new UsageException("--run: the command is empty.");
        }
        String name = line.getOptionValue("name", named(commands.get(0)));
        if (!name.matches("[A-Za-z0-9._-]+")) {
            throw new UsageException("--name: '" + name + "' must be made of letters, digits, '.', '-' and '_'.");
        }
        refuse(line, project, name, commands);
        console.note("running " + commands.size() + (commands.size() == 1 ? " command" : " commands")
                + " twice, a second apart, each time in a copy of the project...");
        Recording recording = new Programs(project.root(), millis(line, null)).record(name, commands, input(line),
                environment(line));
        Path saved = new Recordings(project.root()).save(recording);
        Trusting.remember(recording, project);
        Style style = new Style(console.colour());
        StringBuilder text = new StringBuilder();
        text.append(style.strong("Recorded " + commands.size() + (commands.size() == 1 ? " command" : " commands")))
                .append(" as ").append(recording.of()).append(".\n");
        for (Case each : recording.cases()) {
            text.append('\n').append(Paragraph.of(style.dim(each.id()) + "  "
                    + Style.safe(each.given().get("command").asText()), console.width(), 2, 6));
            text.append(Paragraph.of(told(each), console.width(), 6, 6));
            JsonNode exit = each.outcome().at("/gives/exit");
            if (!exit.isNumber() || exit.asInt() != 0) {
                text.append(Paragraph.of(style.warm("This command failed") + (exit.asInt() == 127 ? ": there is no such program." : ".")
                        + " It is recorded as such; is that what the code is to do?", console.width(), 6, 6));
            }
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

    /** How long a command may take. @param recording where it was said when it was recorded; null for none */
    static long millis(CommandLine line, Recording recording) {
        long recorded = recording == null ? Programs.DEFAULT_MILLIS : Programs.millis(recording).orElse(Programs.DEFAULT_MILLIS);
        return line.hasOption("case-time") ? Observed.limits(line).caseMillis() : recorded;
    }

    /** A name after the command's own words. */
    private static String named(String command) {
        String words = command.replaceAll("[^A-Za-z0-9.]+", "-").replaceAll("^[-.]+|[-.]+$", "");
        return words.isEmpty() ? "program" : words.substring(0, Math.min(40, words.length()));
    }

    /** A recording of that name of other commands, or one that no longer holds, is not replaced unasked. */
    private static void refuse(CommandLine line, Project project, String name, List<String> commands) {
        Optional<Recording> known = ConfirmCommand.known("run-" + name, project.root());
        if (line.hasOption("anew") || known.isEmpty()) {
            return;
        }
        List<String> recorded = known.get().cases().stream().map(each -> each.given().path("command").asText()).toList();
        if (!recorded.equals(commands)) {
            throw new UsageException("There is a recording run-" + name + " of other commands (" + String.join("; ", recorded)
                    + "). Choose another --name, or replace it with --anew.");
        }
        Trusting.check(line, List.of(known.get()), project);
        Programs programs = new Programs(project.root(), millis(line, known.get()));
        if (programs.confirm(known.get()).stream().anyMatch(each -> each.kind() != Verdict.Kind.SAME)) {
            throw new UsageException("There is a recording run-" + name + ", and it no longer holds. See what changed with 'driftwood confirm"
                    + project.option() + " run-" + name + "'; to record what the command does now in its place, add --anew.");
        }
    }

    private static String input(CommandLine line) {
        if (!line.hasOption("input")) {
            return "";
        }
        String name = line.getOptionValue("input");
        try {
            if (!name.equals("-") && !Files.exists(Path.of(name))) {
                throw new UsageException("--input: there is no file " + name + ".");
            }
            return name.equals("-") ? new String(System.in.readAllBytes(), StandardCharsets.UTF_8) : Files.readString(Path.of(name));
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
