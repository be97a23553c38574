package driftwood.cli.command;

import driftwood.behaviour.Confirmation;
import driftwood.behaviour.Programs;
import driftwood.behaviour.recording.Confirming;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.replay.ChosenWays;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.tests.Pasted;
import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Progress;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Style;
import driftwood.cli.render.VerdictsJson;
import driftwood.cli.render.VerdictsText;
import driftwood.cli.render.VerdictsXml;
import driftwood.scan.Scan;
import driftwood.source.Language;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code confirm}: runs recordings again and compares. */
public final class ConfirmCommand implements Command {

    @Override
    public String name() {
        return "confirm";
    }

    @Override
    public String operands() {
        return "[ID|TYPE...]";
    }

    @Override
    public String summary() {
        return "run the recordings again and compare (runs the code)";
    }

    @Override
    public String description() {
        return """
                Compiles the project as it is now, runs the recordings again and says for each case: same, reordered (the
                same content in another order), different, gone (can no longer be run, and why), or new (a case that
                somebody added, without an outcome yet). Exits with 1 when anything is not the same. Objects are built from
                their named parts with what the code offers now: constructor, creation routine, builder or setters.
                """;
    }

    @Override
    public Options options() {
        return Observed.options().addOption(Flags.value("format", "FORMAT", "text (default), json, or junit (XML for CI servers)"))
                .addOption(Flags.value("only", "CASE,...", "run only these cases, such as c7"))
                .addOption(Flags.value("tests", "COMMAND", "run the project's own tests as well, in the project, and count "
                        + "their exit code in"))
                .addOption(Flags.flag("any-order", "let cases pass that differ in order only"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String format = Flags.choice(line, "format", List.of("text", "json", "junit"));
        Project project = Project.at(Flags.projectOf(line), console);
        List<Recording> recordings = recordings(line.getArgList(), project.root());
        List<Recording> wanted = recordings.stream().map(each -> only(line, each)).filter(each -> !each.cases().isEmpty())
                .toList();
        if (wanted.isEmpty()) {
            throw new UsageException("--only: no recording has a case " + line.getOptionValue("only") + ".");
        }
        Trusting.check(line, wanted, project);
        Map<Recording, List<Verdict>> verdicts = confirmed(line, wanted, project, console);
        Optional<Integer> tests = tests(line, project, console);
        // driftwood: leave type-switch because each format is one call of its renderer, chosen in this place only
        console.out().print(switch (format) {
            case "json" -> VerdictsJson.of(verdicts, tests) + "\n";
            case "junit" -> VerdictsXml.of(verdicts, tests);
            default -> new VerdictsText(new Style(console.colour()), console.width(),
                    new Pasted(() -> project.link(console).program())).of(verdicts, tests);
        });
        boolean anyOrder = line.hasOption("any-order");
        boolean passed = tests.orElse(0) == 0 && verdicts.values().stream().flatMap(List::stream).allMatch(each ->
                each.kind() == Verdict.Kind.SAME || anyOrder && each.kind() == Verdict.Kind.REORDERED);
        return passed ? ExitCode.FINE : ExitCode.ACT;
    }

    private static Programs programs(CommandLine line, Project project, Recording recording) {
        return new Programs(project.root(), RunCommands.millis(line, recording));
    }

    /** Recordings that are run in one way. */
    private record Way(Language language, Optional<Recording.Ran> ran) {
    }

    static Map<Recording, List<Verdict>> confirmed(CommandLine line, List<Recording> wanted, Project project,
            Console console) {
        Map<Recording, List<Verdict>> verdicts = new LinkedHashMap<>();
        if (wanted.stream().allMatch(Programs::isOne)) {
            wanted.forEach(each -> verdicts.put(each, programs(line, project, each).confirm(each)));
            return verdicts;
        }
        Scan.Result result = project.link(console);
        console.note("running the code of " + project.root() + ", in a process of its own...");
        ChosenWays chosen = chosen(project);
        Map<Way, Confirming> confirmations = new HashMap<>();
        int all = wanted.stream().mapToInt(each -> each.cases().size()).sum();
        int done = 0;
        try (Progress progress = console.progress("confirming", "cases")) {
            for (Recording each : wanted) {
                Confirming way = Programs.isOne(each) ? programs(line, project, each) : confirmations.computeIfAbsent(
                        new Way(Runtimes.languageOf(each, result.program()), Optional.ofNullable(each.ran())), key ->
                        Observed.confirmation(line, project, result, each, console).asking(chosen, result.program()));
                verdicts.put(each, way.confirm(each));
                done += each.cases().size();
                progress.at(done, all);
            }
        }
        if (chosen.save()) {
            Path file = project.root().resolve(".driftwood/ways.json");
            chosen.renamed().forEach(each -> console.warn(each + " Say so in " + file + " (now) and confirm again."));
            if (chosen.asksForObjects()) {
                console.warn("the code leaves open how some objects are made now. Say it in " + file
                        + " (by, names) and confirm again.");
            }
        }
        return verdicts;
    }

    static Confirmation confirmation(CommandLine line, Recording recording, Project project, Console console) {
        Scan.Result result = project.link(console);
        return Observed.confirmation(line, project, result, recording, console)
                .asking(chosen(project), result.program());
    }

    private static ChosenWays chosen(Project project) {
        try {
            return ChosenWays.of(project.root());
        } catch (IOException e) {
            throw new UsageException(e.getMessage() + ". Fix or delete it.");
        }
    }

    private static Recording only(CommandLine line, Recording recording) {
        if (!line.hasOption("only")) {
            return recording;
        }
        List<String> wanted = List.of(line.getOptionValue("only").split(","));
        return recording.only(wanted);
    }

    /** The exit code of the project's own tests; empty where they are not asked for. Their output goes to stderr. */
    static Optional<Integer> tests(CommandLine line, Project project, Console console) {
        if (!line.hasOption("tests")) {
            return Optional.empty();
        }
        String command = line.getOptionValue("tests");
        console.note("running the project's own tests: " + command);
        boolean windows = System.getProperty("os.name").startsWith("Windows");
        try {
            Process process = new ProcessBuilder(windows ? List.of("cmd", "/c", command) : List.of("sh", "-c", command))
                    .directory(project.root().toFile()).redirectErrorStream(true).start();
            process.getOutputStream().close();
            process.getInputStream().transferTo(console.err());
            return Optional.of(process.waitFor());
        } catch (IOException e) {
            throw new UsageException("--tests: '" + command + "' could not be started: " + e.getMessage() + ".");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.of(-1);
        }
    }

    /** The recording of a name; empty where there is none. */
    static Optional<Recording> known(String wanted, Path root) {
        return new Recordings(root).files().isEmpty() ? Optional.empty() : recordings(List.of(), root).stream().filter(each ->
                each.of().equals(wanted) || each.of().substring(each.of().lastIndexOf('.') + 1).equals(wanted)).findFirst();
    }

    /** The recordings of some names, or all. @throws UsageException where there is none, or one is damaged */
    static List<Recording> recordings(List<String> wanted, Path root) {
        Recordings store = new Recordings(root);
        List<Recording> found = new ArrayList<>();
        List<String> known = new ArrayList<>();
        for (Path file : store.files()) {
            try {
                Recording each = store.read(file);
                known.add(each.of());
                if (wanted.isEmpty() || wanted.contains(each.of())
                        || wanted.contains(each.of().substring(each.of().lastIndexOf('.') + 1))
                        || Programs.isOne(each) && wanted.contains(each.of().replaceFirst("^run-", ""))) {
                    found.add(each);
                }
            } catch (IOException e) {
                throw new UsageException(e.getMessage() + ". Restore the file or record again with 'driftwood "
                        + "characterize'.");
            }
        }
        if (known.isEmpty()) {
            throw new UsageException("there are no recordings in " + root + ". Make one with 'driftwood characterize ID'.");
        }
        if (found.isEmpty()) {
            throw new UsageException("there is no recording of " + String.join(", ", wanted) + "; there are "
                    + String.join(", ", known) + ".");
        }
        return found;
    }
}
