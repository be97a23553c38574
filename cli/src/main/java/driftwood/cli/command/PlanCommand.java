package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.PlanText;
import driftwood.cli.render.Style;
import driftwood.pattern.Site;
import driftwood.plan.Plan;
import driftwood.plan.Planner;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.store.Folder;
import java.nio.file.Path;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code plan}: compares candidates, chooses, writes a plan. */
public final class PlanCommand implements Command {

    @Override
    public String name() {
        return "plan";
    }

    @Override
    public String operands() {
        return "ID";
    }

    @Override
    public String summary() {
        return "compare the ways to answer a finding and write a plan";
    }

    @Override
    public String description() {
        return """
                Compares the patterns that answer a finding with their costs, and with leaving it; takes the best or the
                one named; tells who plays which role, the steps in order, the change drill today and after, and a sketch
                of the code. The plan is saved below .driftwood/plans/, one file for each pattern. No source is changed.
                """;
    }

    @Override
    public Options options() {
        return Flags.project().addOption(Flags.value("pattern", "KEY", "plan with this pattern"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String id = Flags.operand(line, "the id of a finding");
        Project project = Project.at(Flags.projectOf(line), console);
        Scan.Result result = project.link(console);
        Finding finding = project.finding(id, result);
        Site site = result.around(finding.file()).site();
        Plan plan;
        try {
            plan = new Planner(site).plan(finding, Optional.ofNullable(line.getOptionValue("pattern")));
        } catch (IllegalArgumentException e) {
            throw new UsageException(e.getMessage() + ".");
        }
        Path saved = new Folder(result.root()).write("plans/" + plan.finding() + "-" + plan.pattern() + ".json", plan);
        console.out().print(new PlanText(site, new Style(console.colour()), console.width(), project.here())
                .of(plan, result.root().relativize(saved)));
        return ExitCode.FINE;
    }
}
