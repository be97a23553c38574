package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.RefactoringText;
import driftwood.cli.render.Style;
import driftwood.plan.Candidate;
import driftwood.plan.Plan;
import driftwood.plan.Planner;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.Walk;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.source.Texts;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code refactor}: shows the stages of a plan, or carries them out, confirming after each. */
public final class RefactorCommand implements Command {

    @Override
    public String name() {
        return "refactor";
    }

    @Override
    public String operands() {
        return "PLAN";
    }

    @Override
    public String summary() {
        return "show what a plan changes; with --apply carry it out, confirming after each stage (runs the code)";
    }

    @Override
    public String description() {
        return """
                Shows the stages of a plan and what each changes. With --apply it walks them: records the behaviour first
                unless a recording of the plan still holds, then stage by stage: writes the files, compiles, confirms, and
                runs --tests. Anything but the same puts the stage back and says why. A journal is written before every
                file, and every file is replaced whole: a walk that was interrupted is put back to its last good stage at
                the next start, and --resume goes on. Files that changed since the plan was made, or that differ from the
                last commit, stop it. Exit code: 0 carried out (or shown), 1 refused or put back.
                """;
    }

    @Override
    public Options options() {
        Options options = Flags.project();
        Observed.options().getOptions().stream().filter(each -> !each.getLongOpt().equals("classes") && !each.getLongOpt().equals("interpreter"))
                .forEach(options::addOption);
        return options.addOption(Flags.flag("apply", "carry it out"))
                .addOption(Flags.value("until", "N", "with --apply: stop after stage N; --resume goes on from there"))
                .addOption(Flags.flag("resume", "go on with the walk that was interrupted or stopped"))
                .addOption(Flags.flag("end", "let a walk that was interrupted or stopped end where it stands"))
                .addOption(Flags.flag("commit", "commit each stage when it is confirmed"))
                .addOption(Flags.value("patch", "FILE", "write what changes as one patch; - for standard output"))
                .addOption(Flags.value("tests", "COMMAND", "run the project's own tests as well after each stage, in the project"))
                .addOption(Flags.value("trial-time", "S", "seconds in which slips are tried when the behaviour is recorded (default 10)"))
                .addOption(Flags.flag("compile-only", "confirm by compiling alone: no recording is made or asked"))
                .addOption(Flags.flag("meant", "let the changes of behaviour that the plan says are meant stand, and record them anew"))
                .addOption(Flags.flag("over-changes", "work on files that differ from the last commit all the same"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        Project project = Project.at(Flags.projectOf(line), console);
        try {
            Optional<Walk> unfinished = Walk.unfinished(project.root());
            if (unfinished.isPresent()) {
                return goOn(unfinished.get(), line, project, console);
            }
            if (line.hasOption("resume") || line.hasOption("end")) {
                throw new UsageException("no walk is unfinished in " + project.root() + ".");
            }
            return begin(line, project, console);
        } catch (Walk.Disturbed e) {
            console.err().println("driftwood: " + e.getMessage() + ". Nothing was written. Restore what is there, or let the walk end where it stands: "
                    + "driftwood refactor --end" + project.option());
            return ExitCode.ACT;
        } catch (Refused e) {
            console.err().println("driftwood: " + e.getMessage() + ".");
            return ExitCode.ACT;
        } catch (IOException e) {
            throw new UncheckedIOException(e.getMessage(), e);
        }
    }

    private static ExitCode begin(CommandLine line, Project project, Console console) throws IOException, Walk.Disturbed {
        Plan plan = Plans.of(Flags.operand(line, "a plan: its file, or its name such as ts-1abc2d-strategy"), project);
        List<String> changed = plan.changed(new Texts(project.root()));
        if (!changed.isEmpty() && plan.done() > 0 && plan.done() == plan.stages()) {
            throw new Refused("this plan was carried out already. What is there now: driftwood scan" + project.option());
        }
        if (!changed.isEmpty()) {
            throw new Refused("the plan was made for other sources; changed since: " + String.join(", ", changed) + ". Make it again: driftwood plan "
                    + plan.finding() + " --pattern " + plan.pattern() + project.option());
        }
        if (plan.stages() == 0) {
            throw new Refused(plan.pattern().equals(Candidate.LEAVE) ? "this plan is to leave the code as it is" : "this plan cannot be carried out: " + plan.against());
        }
        Scan.Result result = project.link(console);
        Finding finding = project.finding(plan.finding(), result);
        Scan.Result around = result.around(finding.file());
        Refactoring refactoring = new Planner(around.site(), ProjectLibraries.of(line, project, result, console))
                .refactoring(finding, plan.pattern(), plan.wishes());
        if (line.hasOption("patch")) {
            patch(line.getOptionValue("patch"), refactoring.diff(), console);
        }
        if (!line.hasOption("apply")) {
            if (!line.hasOption("patch")) {
                console.out().print(new RefactoringText(new Style(console.colour()), console.width(), project.here()).of(plan, refactoring));
            }
            return ExitCode.FINE;
        }
        Walking walking = new Walking(line, project, console, plan);
        walking.refuseChanges(refactoring.files());
        walking.pin(finding, refactoring, around);
        return walking.walk(Walk.begin(project.root(), plan.fileName(), refactoring));
    }

    private static void patch(String file, String diff, Console console) throws IOException {
        if (file.equals("-")) {
            console.out().print(diff);
        } else {
            Files.writeString(Path.of(file), diff);
            console.note("the patch is in " + file + "; git apply takes it.");
        }
    }

    private static ExitCode goOn(Walk unfinished, CommandLine line, Project project, Console console) throws IOException, Walk.Disturbed {
        Walk walk = unfinished;
        String stood = walk.done() + " of " + walk.stages() + " stages of " + walk.plan().replace(".json", "");
        if (line.hasOption("end")) {
            walk.end();
            console.out().println("Ended: " + stood + " stand.");
            return ExitCode.FINE;
        }
        if (walk.isTorn()) {
            walk = walk.rollBack();
            console.note("the walk was interrupted in stage " + (walk.done() + 1) + ": put back to " + stood + ".");
        }
        if (!line.hasOption("resume")) {
            if (walk.done() == 0) {
                walk.end();
                return begin(line, project, console);
            }
            console.err().println("driftwood: " + stood + " stand since an earlier walk. Go on: driftwood refactor --resume" + project.option()
                    + "; or let it end there: driftwood refactor --end" + project.option());
            return ExitCode.ACT;
        }
        return new Walking(line, project, console, Plans.of(walk.plan(), project)).walk(walk);
    }
}
