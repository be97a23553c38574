package driftwood.cli.command;

import com.fasterxml.jackson.databind.JsonNode;
import driftwood.behaviour.Characterization;
import driftwood.behaviour.Recording;
import driftwood.behaviour.Recording.Case;
import driftwood.behaviour.Recordings;
import driftwood.behaviour.Verdict;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Style;
import java.nio.file.Path;
import java.util.List;
import org.apache.commons.cli.CommandLine;

/** {@code characterize --again}: records a case again after somebody judged its new outcome right. */
final class AgainCommand {
    private AgainCommand() {
    }

    static ExitCode record(CommandLine line, Console console) {
        String id = line.getOptionValue("again");
        String because = line.getOptionValue("because", "").strip();
        if (because.isEmpty()) {
            throw new UsageException("--again needs --because REASON: why is the new outcome of " + id + " right? The reason "
                    + "is kept in the recording.");
        }
        String wanted = Flags.operand(line, "the name of the recording");
        Project project = Project.of(Flags.projectOf(line));
        Recording recording = ConfirmCommand.recordings(List.of(wanted), project.root()).get(0);
        Recording one = recording.only(List.of(id));
        if (one.cases().isEmpty()) {
            throw new UsageException("--again: " + recording.of() + " has no case " + id + ".");
        }
        Verdict first = confirmed(line, one, project, console);
        if (first.kind() == Verdict.Kind.GONE) {
            throw new UsageException("--again: " + id + " can no longer be run: " + first.why() + ".");
        }
        JsonNode again = confirmed(line, one, project, console).actual();
        Case fresh = Characterization.masked(one.cases().get(0), first.actual(), again);
        Path saved = new Recordings(project.root()).save(recording.with(fresh, because));
        Style style = new Style(console.colour());
        console.out().println((first.kind() == Verdict.Kind.SAME ? "Nothing had changed in " : "Recorded again: ")
                + style.strong(id) + " of " + recording.of() + ", because " + Style.safe(because) + ".");
        console.out().println("Saved as " + project.root().relativize(saved));
        return ExitCode.FINE;
    }

    private static Verdict confirmed(CommandLine line, Recording one, Project project, Console console) {
        return ConfirmCommand.confirmed(line, List.of(one), project, console).get(one).get(0);
    }
}
