package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Nearest;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.FindingsJson;
import driftwood.cli.render.FindingsMarkdown;
import driftwood.cli.render.FindingsSarif;
import driftwood.cli.render.FindingsText;
import driftwood.cli.render.Style;
import driftwood.smell.Catalogue;
import driftwood.smell.Finding;
import driftwood.smell.Scan;
import java.util.List;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code scan}: finds smells, ranked by drag. */
public final class ScanCommand implements Command {
    private static final int TOP = 20;
    private static final List<String> FORMATS = List.of("text", "json", "sarif", "markdown");

    @Override
    public String name() {
        return "scan";
    }

    @Override
    public String operands() {
        return "[PATH...]";
    }

    @Override
    public String summary() {
        return "find smells, ranked by drag";
    }

    @Override
    public String description() {
        return """
                Finds smells in the files and folders named (default: this folder), most drag first. Drag, 0.0 to
                5.0, is how much a smell will hold back the next change. Nothing that is read is ever run.
                Test code, hidden folders, build output and links are passed over.
                """;
    }

    @Override
    public Options options() {
        return new Options()
                .addOption(Flags.value("format", "FORMAT", "text (default), json, sarif or markdown"))
                .addOption(Flags.value("smells", "KEY,...", "look for these smells only: "
                        + String.join(", ", Catalogue.keys())))
                .addOption(Flags.value("min-drag", "N", "leave out findings of less drag"))
                .addOption(Flags.value("fail-at", "N", "exit with 1 when a finding has this much drag or more"))
                .addOption(Flags.value("top", "N", "in text, show the first N findings in full (default "
                        + TOP + "; 0 for all)"))
                .addOption(Flags.flag("tests", "look at test code too"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String format = Flags.choice(line, "format", FORMATS);
        double least = Flags.number(line, "min-drag", 0);
        double limit = Flags.number(line, "fail-at", Double.POSITIVE_INFINITY);
        int top = (int) Flags.number(line, "top", TOP);
        List<String> smells = smells(line);
        Project project = Project.of(line.getArgList());
        Scan.Result result = project.scan(smells, line.hasOption("tests"), console);
        List<Finding> shown = result.findings().stream().filter(each -> each.drag().value() >= least).toList();
        console.out().print(switch (format) {
            case "json" -> FindingsJson.of(result, shown) + "\n";
            case "sarif" -> FindingsSarif.of(result, shown) + "\n";
            case "markdown" -> FindingsMarkdown.of(result, shown);
            default -> new FindingsText(result, new Style(console.colour()), console.width(), project.option())
                    .of(shown, top == 0 ? Integer.MAX_VALUE : top);
        });
        if (shown.stream().anyMatch(each -> each.drag().value() >= limit)) {
            return ExitCode.ACT;
        }
        return result.unread().isEmpty() ? ExitCode.FINE : ExitCode.UNREAD;
    }

    private static List<String> smells(CommandLine line) {
        if (!line.hasOption("smells")) {
            return List.of();
        }
        List<String> wanted = List.of(line.getOptionValue("smells").split(","));
        for (String key : wanted) {
            if (!Catalogue.keys().contains(key)) {
                throw new UsageException("there is no smell '" + key + "'" + Nearest.to(key, Catalogue.keys())
                        .map(near -> "; did you mean '" + near + "'?").orElse(".")
                        + " The smells are " + String.join(", ", Catalogue.keys()) + ".");
            }
        }
        return wanted;
    }
}
