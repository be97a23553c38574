package driftwood.cli.command;

import driftwood.behaviour.recording.Recordings;
import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.render.Paragraph;
import driftwood.cli.render.Style;
import driftwood.plan.Candidate;
import driftwood.plan.Plan;
import driftwood.refactor.Walk;
import driftwood.source.Texts;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code status}: where each plan stands. */
public final class StatusCommand implements Command {

    @Override
    public String name() {
        return "status";
    }

    @Override
    public String operands() {
        return "";
    }

    @Override
    public String summary() {
        return "tell where each plan stands";
    }

    @Override
    public String description() {
        return """
                Lists the plans of the project: planned, pinned (its behaviour is recorded), at stage n of m, carried out, left,
                or made for other sources, which have changed since.
                """;
    }

    @Override
    public Options options() {
        return Flags.project();
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        Project project = Project.at(Flags.projectOf(line), console);
        List<Plan> plans = Plans.all(project);
        if (plans.isEmpty()) {
            console.out().println("No plans in " + project.root() + ". 'driftwood plan ID' writes one.");
            return ExitCode.FINE;
        }
        Style style = new Style(console.colour());
        try {
            Optional<Walk> walk = Walk.unfinished(project.root());
            for (Plan each : plans) {
                String name = each.fileName().replace(".json", "");
                console.out().print(Paragraph.of(style.cool(name) + "  " + stands(each, walk, project) + "  " + style.dim(Style.safe(project.shown(each.file()) + ":" + each.line()
                        + " " + each.symbol())), console.width(), 0, 4));
            }
            walk.ifPresent(open -> console.out().println("\nA walk is not ended: " + open.plan().replace(".json", "") + ", " + open.done() + " of " + open.stages()
                    + " stages stand. Go on: driftwood refactor --resume" + project.option()));
            return ExitCode.FINE;
        } catch (IOException e) {
            throw new UncheckedIOException(e.getMessage(), e);
        }
    }

    private static String stands(Plan plan, Optional<Walk> walk, Project project) {
        if (plan.pattern().equals(Candidate.LEAVE)) {
            return "left as it is";
        }
        if (walk.isPresent() && walk.get().plan().equals(plan.fileName())) {
            return "stage " + walk.get().done() + " of " + walk.get().stages();
        }
        List<String> changed = plan.changed(new Texts(project.root()));
        if (!changed.isEmpty() && plan.stages() > 0 && plan.done() == plan.stages()) {
            return "carried out";
        }
        if (!changed.isEmpty() && plan.done() > 0) {
            return "ended after stage " + plan.done() + " of " + plan.stages();
        }
        if (!changed.isEmpty()) {
            return "out of date (" + changed.get(0) + (changed.size() > 1 ? " and " + (changed.size() - 1) + " more" : "") + " changed since)";
        }
        Recordings recordings = new Recordings(project.root());
        boolean pinned = Files.exists(recordings.file(plan.finding())) || Files.exists(recordings.file(plan.fileName().replace(".json", "")));
        return pinned ? "pinned" : "planned";
    }
}
