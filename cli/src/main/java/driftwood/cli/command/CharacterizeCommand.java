package driftwood.cli.command;

import driftwood.behaviour.Characterization;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Progress;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.RecordingText;
import driftwood.cli.render.Style;
import driftwood.scan.Scan;
import driftwood.source.Language;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code characterize}: records behaviour before anything is touched. */
public final class CharacterizeCommand implements Command {
    private static final int CASES = 200;
    private static final int TRIAL_SECONDS = 35;

    @Override
    public String name() {
        return "characterize";
    }

    @Override
    public String operands() {
        return "ID|PLAN|TYPE|TYPE#ROUTINE...";
    }

    @Override
    public String summary() {
        return "record what the code does now (runs it)";
    }

    @Override
    public String description() {
        return """
                Records what the code around a finding or a plan, or of types, does now: good or bad. Compiles the
                project, chooses the narrowest routines that a refactoring keeps, mines inputs from the code, and RUNS it
                in a process of its own with limits on time and memory. What differs from run to run is masked. The
                recording is saved below .driftwood/recordings/ and is meant to be committed. Small slips are then planted
                in the code that runs, one at a time, to see how many of them the recording notices; cases are added
                near those that come to an unnoticed one. The same code gives the same cases on every machine. A recording
                that no longer holds is not replaced without --anew. With --run, commands of any language are recorded
                instead.
                """;
    }

    @Override
    public Options options() {
        return Observed.options().addOption(Flags.value("cases", "N", "cases to keep (default " + CASES + ")"))
                .addOption(Flags.value("run", "COMMAND", "record what this command prints and writes, in a copy of the "
                        + "project, instead; may be given several times"))
                .addOption(Flags.value("name", "NAME", "with --run: name of the recording (default: after the command)"))
                .addOption(Flags.value("input", "FILE", "with --run: what the commands read from standard input; - for this command's own"))
                .addOption(Flags.value("env", "NAME=VALUE", "with --run: part of the environment; may be given several "
                        + "times"))
                .addOption(Flags.value("observe", "TYPE#ROUTINE,...", "observe these routines instead of the narrowest that a "
                        + "refactoring keeps; a type alone means all of its routines"))
                .addOption(Flags.value("write-tests", "DIR", "write the recording named as ordinary tests (JUnit 5 and AssertJ; unittest) "
                        + "below this folder; made first where there is none"))
                .addOption(Flags.flag("anew", "replace a recording whose cases no longer behave the same"))
                .addOption(Flags.value("at-least", "PERCENT", "exit with 1 when the recording notices fewer of the planted slips"))
                .addOption(Flags.value("again", "CASE", "record this case of the recording named again, as its new outcome "
                        + "is right"))
                .addOption(Flags.value("because", "REASON", "with --again: why it is right; kept in the recording"))
                .addOption(Flags.value("trial-time", "S", "seconds in which slips are tried at the end, "
                        + "to count what is noticed (default " + TRIAL_SECONDS + "; 0: no slips, no search)"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        if (line.hasOption("again")) {
            return AgainCommand.record(line, console);
        }
        if (line.hasOption("run")) {
            return RunCommands.record(line, console);
        }
        Project project = Project.at(Flags.projectOf(line), console);
        List<String> unknown = new ArrayList<>();
        ExitCode worst = ExitCode.FINE;
        for (String wanted : Flags.operands(line, "the id of a finding, a plan, or the name of a type")) {
            Optional<Recording> known = line.hasOption("write-tests") ? ConfirmCommand.known(wanted, project.root())
                    : Optional.empty();
            if (known.isPresent()) {
                worst = worst.or(KeepTests.write(line, known.get(), project, console));
            } else {
                unknown.add(wanted);
            }
        }
        return unknown.isEmpty() ? worst : worst.or(record(unknown, line, project, console));
    }

    /** Records one after the other; whatever is named wrongly is told before anything is run. */
    private static ExitCode record(List<String> wanted, CommandLine line, Project project, Console console) {
        long seconds = (long) Flags.number(line, "trial-time", TRIAL_SECONDS);
        int most = (int) Flags.number(line, "cases", CASES, 1);
        double least = Flags.number(line, "at-least", 0);
        if (least > 100) {
            throw new UsageException("--at-least takes a percentage from 0 to 100, not '" + line.getOptionValue("at-least") + "'.");
        }
        Trusting.checkConfigured(line, project);
        Scan.Result result = project.link(console);
        List<Chosen> all = wanted.stream().map(each -> Chosen.of(each, line.getOptionValue("observe", ""), project, result, console))
                .toList();
        RecordingText text = new RecordingText(new Style(console.colour()), console.width(), project.here());
        Map<Language, Characterization> ways = new LinkedHashMap<>();
        Standing standing = new Standing(line, project, result, console);
        ExitCode worst = ExitCode.FINE;
        int recordings = 0;
        for (Chosen chosen : all) {
            standing.refuse(chosen.of());
            Language language = Language.ofFileName(chosen.file()).orElseThrow();
            Characterization way = ways.computeIfAbsent(language, key -> Observed.characterization(line, project, result, key, console));
            console.note("running " + (all.size() > 1 ? chosen.of() : "the code") + ", in a process of its own"
                    + (seconds > 0 ? ", and trying what slips the cases notice..." : "..."));
            Characterization.Result recorded = recorded(way, chosen, most, seconds, console);
            console.out().print(chosen == all.get(0) ? "" : "\n");
            if (recorded.recording().cases().isEmpty()) {
                console.out().print(text.nothing(recorded));
                continue;
            }
            if (!recorded.lacking().isEmpty()) {
                console.out().print(text.lacking(recorded));
                worst = worst.or(ExitCode.ACT);
                continue;
            }
            String replaced = standing.replaces(chosen.of());
            Recording made = recorded.recording().ran(CodePath.told(line, result.root()));
            Path saved = new Recordings(result.root()).save(made);
            Trusting.remember(made, project);
            recordings++;
            console.out().print(text.of(recorded, result.root().relativize(saved), replaced));
            if (recorded.notices().planted() > 0 && 100 * recorded.notices().share() < least) {
                console.out().println("Fewer than the " + line.getOptionValue("at-least") + "% asked for with --at-least.");
                worst = worst.or(ExitCode.ACT);
            }
            if (line.hasOption("write-tests")) {
                worst = worst.or(KeepTests.write(line, recorded.recording(), project, console));
            }
        }
        return recordings == 0 ? worst.or(ExitCode.ACT) : worst;
    }

    private static Characterization.Result recorded(Characterization way, Chosen chosen, int most, long seconds, Console console) {
        try (Progress progress = console.progress("trying", "slips")) {
            return way.watched(progress::at).record(chosen.of(), chosen.kept(), chosen.surface(), most, Duration.ofSeconds(seconds));
        }
    }
}
