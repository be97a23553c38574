package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.PlanMarkdown;
import driftwood.cli.render.PlanText;
import driftwood.cli.render.Style;
import driftwood.pattern.Site;
import driftwood.plan.Plan;
import driftwood.plan.Planner;
import driftwood.refactor.Wishes;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.store.Folder;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
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
                one named; tells who plays which role, the steps in order, and the change drill today and after. Where
                Driftwood can carry the pattern out itself (Java, some in Python), each step comes with what it changes, read again
                by the compiler in memory, and 'driftwood refactor' walks it; where not, it says why. The plan is saved below
                .driftwood/plans/, one file for each pattern, as JSON and as Markdown. No source is changed.
                """;
    }

    @Override
    public Options options() {
        return Flags.project().addOption(Flags.value("pattern", "KEY", "plan with this pattern"))
                .addOption(Flags.value("name", "ROLE=NAME", "call a new part so; a plan tells its roles; may be given several times"))
                .addOption(Flags.value("form", "FORM", "the form that the pattern is to have, such as nested for a builder"))
                .addOption(ProjectLibraries.option());
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String id = Flags.operand(line, "the id of a finding");
        Wishes wishes = new Wishes(names(line), line.getOptionValue("form", "").strip().toLowerCase(Locale.ROOT));
        Project project = Project.at(Flags.projectOf(line), console);
        Scan.Result result = project.link(console);
        Finding finding = project.finding(id, result);
        Site site = result.around(finding.file()).site();
        Planner planner = new Planner(site, ProjectLibraries.of(line, project, result, console));
        Plan plan;
        try {
            plan = planner.plan(finding, Optional.ofNullable(line.getOptionValue("pattern")), wishes);
        } catch (IllegalArgumentException e) {
            throw new UsageException(e.getMessage() + ".");
        }
        Folder folder = new Folder(result.root());
        Path saved = folder.write("plans/" + plan.fileName(), plan);
        folder.write("plans/" + plan.fileName().replace(".json", ".md"), PlanMarkdown.of(plan));
        console.out().print(new PlanText(site, new Style(console.colour()), console.width(), project.here())
                .of(plan, planner.forms(finding, plan.pattern()), result.root().relativize(saved)));
        return ExitCode.FINE;
    }

    private static Map<String, String> names(CommandLine line) {
        Map<String, String> names = new LinkedHashMap<>();
        for (String each : line.hasOption("name") ? line.getOptionValues("name") : new String[0]) {
            int equals = each.indexOf('=');
            if (equals < 1 || equals == each.length() - 1) {
                throw new UsageException("--name takes ROLE=NAME, such as strategy=QuoteRule, not '" + each + "'.");
            }
            names.put(each.substring(0, equals).strip(), each.substring(equals + 1).strip());
        }
        return names;
    }
}
