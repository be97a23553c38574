package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.render.FindingText;
import driftwood.cli.render.Style;
import driftwood.cli.render.TopicText;
import driftwood.pattern.Pattern;
import driftwood.pattern.Patterns;
import driftwood.pattern.Site;
import driftwood.plan.Planner;
import driftwood.smell.Catalogue;
import driftwood.smell.Finding;
import driftwood.smell.Scan;
import driftwood.smell.Smell;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code explain}: one finding in full, or what a smell or pattern is. */
public final class ExplainCommand implements Command {

    @Override
    public String name() {
        return "explain";
    }

    @Override
    public String operands() {
        return "ID|KEY";
    }

    @Override
    public String summary() {
        return "explain a finding, a smell or a pattern";
    }

    @Override
    public String description() {
        return """
                Shows one finding with its code, evidence, change drill and the patterns that answer it; or tells
                what a smell or a pattern is, when to use it and when not.
                """;
    }

    @Override
    public Options options() {
        return Flags.project();
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String wanted = Flags.operand(line, "the id of a finding, or the key of a smell or pattern");
        Style style = new Style(console.colour());
        Optional<Smell> smell = Catalogue.smell(wanted);
        Optional<Pattern> pattern = Patterns.byKey(wanted);
        if (smell.isPresent() || pattern.isPresent()) {
            TopicText topic = new TopicText(style, console.width());
            console.out().print(smell.map(topic::of).orElseGet(() -> topic.of(pattern.get())));
            return ExitCode.FINE;
        }
        Project project = Project.of(Flags.projectOf(line));
        Scan.Result result = project.link(console);
        Finding finding = project.finding(wanted, result);
        Site site = Site.of(result);
        Planner planner = new Planner(site);
        console.out().print(new FindingText(site, style, console.width(), project.option()).of(finding,
                Catalogue.smell(finding.smell()).orElseThrow(), planner.drill(finding), planner.candidates(finding)));
        return ExitCode.FINE;
    }
}
