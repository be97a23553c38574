package driftwood.cli.command;

import driftwood.behaviour.Characterization;
import driftwood.behaviour.Recording;
import driftwood.behaviour.Recordings;
import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.render.RecordingText;
import driftwood.cli.render.Style;
import driftwood.smell.Scan;
import driftwood.source.Language;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code characterize}: records behaviour before anything is touched. */
public final class CharacterizeCommand implements Command {
    private static final int CASES = 200;
    private static final int TRIAL_SECONDS = 40;

    @Override
    public String name() {
        return "characterize";
    }

    @Override
    public String operands() {
        return "ID|TYPE|TYPE#ROUTINE";
    }

    @Override
    public String summary() {
        return "record what the code does now (runs it)";
    }

    @Override
    public String description() {
        return """
                Records what the code around a finding, or of a type, does now: good or bad. Compiles the project, chooses
                the narrowest routines that a refactoring keeps, mines inputs from the code, and RUNS it in a process of
                its own with limits on time and memory. What differs from run to run is masked. The recording is saved
                below .driftwood/recordings/ and is meant to be committed. Small slips are then planted in the byte code,
                one at a time, to see how many of them the recording would notice; cases are added near those that come
                to an unnoticed one. With --run, commands of any language are recorded instead.
                """;
    }

    @Override
    public Options options() {
        return Observed.options().addOption(Flags.value("cases", "N", "cases to keep (default " + CASES + ")"))
                .addOption(Flags.value("run", "COMMAND", "record what this command prints and writes, in a copy of the "
                        + "project, instead; may be given several times"))
                .addOption(Flags.value("name", "NAME", "with --run: name of the recording (default program)"))
                .addOption(Flags.value("input", "FILE", "with --run: what the commands read from standard input"))
                .addOption(Flags.value("env", "NAME=VALUE", "with --run: part of the environment; may be given several "
                        + "times"))
                .addOption(Flags.value("observe", "TYPE#ROUTINE,...", "observe these routines instead of the narrowest that a "
                        + "refactoring keeps; a type alone means all of its routines"))
                .addOption(Flags.value("write-tests", "DIR", "write the recording named as ordinary tests (JUnit 5 and AssertJ; unittest) "
                        + "below this folder; made first where there is none"))
                .addOption(Flags.value("again", "CASE", "record this case of the recording named again, as its new outcome "
                        + "is right"))
                .addOption(Flags.value("because", "REASON", "with --again: why it is right; kept in the recording"))
                .addOption(Flags.value("trial-time", "S", "seconds in which slips are tried (default "
                        + TRIAL_SECONDS + "; 0 for not at all)"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        if (line.hasOption("again")) {
            return AgainCommand.record(line, console);
        }
        if (line.hasOption("run")) {
            return RunCommands.record(line, console);
        }
        String wanted = Flags.operand(line, "the id of a finding or the name of a type");
        if (line.hasOption("write-tests")) {
            Project project = Project.of(Flags.projectOf(line));
            Optional<Recording> known = ConfirmCommand.known(wanted, project.root());
            if (known.isPresent()) {
                return KeepTests.write(line, known.get(), project, console);
            }
        }
        long seconds = (long) Math.max(0, Flags.number(line, "trial-time", TRIAL_SECONDS));
        int most = (int) Math.max(1, Flags.number(line, "cases", CASES));
        Project project = Project.of(Flags.projectOf(line));
        Scan.Result result = project.link(console);
        Chosen chosen = Chosen.of(wanted, line.getOptionValue("observe", ""), project, result);
        Language language = Language.ofFileName(chosen.file()).orElse(Language.JAVA);
        Characterization characterization = Observed.characterization(line, result, language, console);
        console.err().println("driftwood: running the code, in a process of its own"
                + (language == Language.JAVA && seconds > 0 ? ", and trying what slips the cases notice..." : "..."));
        Characterization.Result recorded = characterization.record(chosen.of(), chosen.surface(), most, Duration.ofSeconds(seconds));
        if (recorded.recording().cases().isEmpty()) {
            console.out().print(new RecordingText(new Style(console.colour()), console.width(), project.option()).nothing(recorded));
            return ExitCode.ACT;
        }
        Path saved = new Recordings(result.root()).save(recorded.recording());
        console.out().print(new RecordingText(new Style(console.colour()), console.width(), project.option())
                .of(recorded, result.root().relativize(saved)));
        return line.hasOption("write-tests") ? KeepTests.write(line, recorded.recording(), project, console) : ExitCode.FINE;
    }
}
