package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.render.FindingText;
import driftwood.cli.render.Style;
import driftwood.pattern.Site;
import driftwood.plan.Planner;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code drill}: what one more variant would cost, today and after. */
public final class DrillCommand implements Command {

    @Override
    public String name() {
        return "drill";
    }

    @Override
    public String operands() {
        return "ID";
    }

    @Override
    public String summary() {
        return "tell what one more variant would cost, today and after";
    }

    @Override
    public String description() {
        return """
                The change drill: lists every place that must be edited to add one more variant, option or caller at a
                finding, as the code stands today and after the best pattern.
                """;
    }

    @Override
    public Options options() {
        return Flags.project();
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String id = Flags.operand(line, "the id of a finding");
        Project project = Project.at(Flags.projectOf(line), console);
        Scan.Result result = project.link(console);
        Finding finding = project.finding(id, result);
        Site site = result.around(finding.file()).site();
        console.out().print(new FindingText(site, new Style(console.colour()), console.width(), project.here())
                .drill(new Planner(site).drill(finding)).stripLeading());
        return ExitCode.FINE;
    }
}
