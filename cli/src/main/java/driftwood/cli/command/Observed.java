package driftwood.cli.command;

import driftwood.behaviour.Characterization;
import driftwood.behaviour.Confirmation;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.process.Limits;
import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.recording.Recording.Ran;
import driftwood.behaviour.run.Runtimes;
import driftwood.cli.Console;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.scan.Scan;
import driftwood.source.Language;
import java.nio.file.Path;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** The options of commands that run the observed code, and what they mean. */
final class Observed {
    private Observed() {
    }

    static Options options() {
        return Flags.project().addOption(Trusting.option())
                .addOption(Flags.value("classes", "DIR", "take the project's classes from this folder instead of "
                        + "compiling its sources; may be given several times"))
                .addOption(Flags.value("classpath", "PATH", "what the project needs, separated as for java (default: classpath in driftwood.yaml, else what Maven tells)"))
                .addOption(Flags.value("case-time", "MS", "milliseconds for one case (default "
                        + Limits.DEFAULT.caseMillis() + ")"))
                .addOption(Flags.value("memory", "MIB", "heap of the observed process (default "
                        + Limits.DEFAULT.memoryMib() + ")"))
                .addOption(Flags.value("interpreter", "COMMAND", "runs Python code (default: the project's .venv or venv, else python3)"))
                .addOption(Flags.value("jobs", "N", "processes that run cases at a time (default 1)"));
    }

    static Limits limits(CommandLine line) {
        return new Limits((long) Flags.number(line, "case-time", Limits.DEFAULT.caseMillis(), 1),
                (int) Flags.number(line, "memory", Limits.DEFAULT.memoryMib(), 16),
                (int) Flags.number(line, "jobs", Limits.DEFAULT.jobs(), 1));
    }

    static Characterization characterization(CommandLine line, Project project, Scan.Result result, Language language,
            Console console) {
        Ran ran = CodePath.told(line, result.root());
        return language.isOnTheJvm()
                ? new Characterization(result.program(), result.root(), homes(ran, project, result, console), limits(line))
                : new Characterization(result.program(), result.root(), interpreter(ran, language, result.root()), limits(line));
    }

    /** As a recording was made, unless this command line says otherwise. */
    static Confirmation confirmation(CommandLine line, Project project, Scan.Result result, Recording recording, Console console) {
        Ran now = CodePath.told(line, result.root()) == null ? recording.ran() : CodePath.told(line, result.root());
        Language language = Runtimes.languageOf(recording, result.program());
        return language.isOnTheJvm()
                ? new Confirmation(result.program(), homes(now, project, result, console), limits(line))
                : new Confirmation(result.program(), result.root(), interpreter(now, language, result.root()), limits(line));
    }

    private static Homes homes(Ran ran, Project project, Scan.Result result, Console console) {
        return new CodePath(result, project.settings().classPath(), console).homes(ran);
    }

    private static Runtimes.Interpreter interpreter(Ran ran, Language language, Path root) {
        String named = ran == null || ran.interpreter() == null ? Runtimes.ownInterpreter(language, root) : ran.interpreter();
        Runtimes.Interpreter interpreter = Runtimes.of(language, named).orElseThrow(() ->
                new UsageException(language.title()
                        + " cannot be run and recorded routine by routine; whole programs can, with characterize --run."));
        if (!interpreter.starts()) {
            throw new UsageException("'" + String.join(" ", interpreter.command()) + "' cannot be started. Install "
                    + language.title() + ", or name its interpreter with --interpreter.");
        }
        return interpreter;
    }
}
