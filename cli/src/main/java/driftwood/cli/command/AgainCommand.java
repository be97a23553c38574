package driftwood.cli.command;

import driftwood.behaviour.Programs;
import driftwood.behaviour.recording.Confirming;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Case;
import driftwood.behaviour.recording.Recordings;
import driftwood.behaviour.recording.Verdict;
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
        Project project = Project.at(Flags.projectOf(line), console);
        Recording recording = ConfirmCommand.recordings(List.of(wanted), project.root()).get(0);
        Recording one = recording.only(List.of(id));
        if (one.cases().isEmpty()) {
            throw new UsageException("--again: " + recording.of() + " has no case " + id + ".");
        }
        Trusting.check(line, List.of(one), project);
        Confirming confirming = Programs.isOne(one) ? new Programs(project.root(), RunCommands.millis(line, one))
                : ConfirmCommand.confirmation(line, one, project, console);
        Verdict first = confirming.confirm(one).get(0);
        if (first.kind() == Verdict.Kind.GONE) {
            throw new UsageException("--again: " + id + " can no longer be run: " + first.why() + ".");
        }
        Case fresh = confirming.fresh(one, first);
        Path saved = new Recordings(project.root()).save(recording.with(fresh, because));
        Style style = new Style(console.colour());
        console.out().println((first.kind() == Verdict.Kind.SAME ? "Nothing had changed in " : "Recorded again: ")
                + style.strong(id) + " of " + recording.of() + ", because " + Style.safe(because) + ".");
        console.out().println("Saved as " + project.root().relativize(saved));
        return ExitCode.FINE;
    }
}
