package driftwood.cli.command;

import driftwood.behaviour.Programs;
import driftwood.behaviour.recording.Confirming;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
import driftwood.behaviour.replay.ChosenWays;
import driftwood.cli.Console;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.scan.Scan;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.apache.commons.cli.CommandLine;

/** The recordings that stand: one that no longer holds is the only witness of what the code did, and is not replaced unasked. */
final class Standing {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH);

    private final CommandLine line;
    private final Project project;
    private final Scan.Result result;
    private final Console console;

    Standing(CommandLine line, Project project, Scan.Result result, Console console) {
        this.line = line;
        this.project = project;
        this.result = result;
        this.console = console;
    }

    private Path file(String of) {
        return new Recordings(result.root()).file(of);
    }

    /** What is said of a recording that is replaced; empty where there is none. */
    String replaces(String of) {
        return Files.exists(file(of)) ? "It replaces the recording of " + day(file(of)) + "." : "";
    }

    private static String day(Path file) {
        try {
            return DAY.format(Files.getLastModifiedTime(file).toInstant().atZone(ZoneId.systemDefault()));
        } catch (IOException e) {
            return "an earlier day";
        }
    }

    /** @throws UsageException where a recording of that name stands whose cases no longer behave the same */
    void refuse(String of) {
        Path file = file(of);
        if (line.hasOption("anew") || !Files.exists(file)) {
            return;
        }
        String what = "There is a recording of " + of + " of " + day(file);
        Recording recording;
        try {
            recording = new Recordings(result.root()).read(file);
        } catch (IOException e) {
            throw new UsageException(what + ", which cannot be read: " + e.getMessage() + " To replace it: --anew.");
        }
        console.note(of + " was recorded before; first of all, does that still hold?");
        List<Verdict> verdicts = confirming(recording).confirm(recording);
        long other = verdicts.stream().filter(each -> each.kind() != Verdict.Kind.SAME).count();
        if (other > 0) {
            throw new UsageException(what + ", and " + other + " of its " + verdicts.size() + " cases no longer behave the same. It is "
                    + "the only witness of what the code did then. See what changed with 'driftwood confirm" + project.option() + " "
                    + of + "'; to record what the code does now in its place, add --anew.");
        }
    }

    private Confirming confirming(Recording recording) {
        Trusting.check(line, List.of(recording), project);
        if (Programs.isOne(recording)) {
            return new Programs(result.root(), RunCommands.millis(line, recording));
        }
        return Observed.confirmation(line, project, result, recording, console).asking(chosen(), result.program());
    }

    private ChosenWays chosen() {
        try {
            return ChosenWays.of(result.root());
        } catch (IOException e) {
            throw new UsageException(e.getMessage() + ". Fix or delete it.");
        }
    }
}
