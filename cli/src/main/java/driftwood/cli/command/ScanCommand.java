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
import driftwood.history.Changes;
import driftwood.smell.Catalogue;
import driftwood.smell.Finding;
import driftwood.smell.Scan;
import driftwood.store.Accepted;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
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
                .addOption(Flags.flag("tests", "look at test code too"))
                .addOption(Flags.value("changed-since", "REV", "only findings in files that changed since a git revision"))
                .addOption(Flags.flag("accept", "accept today's findings: later scans leave them out"))
                .addOption(Flags.flag("with-accepted", "do not leave accepted findings out"));
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
        Accepted accepted = accepted(project);
        Predicate<Finding> changed = changed(line, project);
        List<Finding> over = result.findings().stream().filter(each -> each.drag().value() >= least)
                .filter(changed).toList();
        if (line.hasOption("accept")) {
            return accept(over, accepted, project, smells, console);
        }
        List<Finding> shown = line.hasOption("with-accepted") ? over
                : over.stream().filter(each -> !accepted.has(each)).toList();
        tell(accepted, result, smells, over.size() - shown.size(), console);
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

    /** Findings whose place is in a changed file. The whole project is read all the same, for its types and callers. */
    private static Predicate<Finding> changed(CommandLine line, Project project) {
        if (!line.hasOption("changed-since")) {
            return finding -> true;
        }
        try {
            Set<String> files = Changes.since(project.root(), line.getOptionValue("changed-since"));
            return finding -> files.contains(finding.file());
        } catch (Changes.NoAnswer e) {
            throw new UsageException("--changed-since: " + e.getMessage() + ".");
        }
    }

    private static Accepted accepted(Project project) {
        try {
            return Accepted.in(project.root());
        } catch (IOException e) {
            throw new UsageException(e.getMessage() + ". Mend it, or remove it and accept again.");
        }
    }

    /** Findings of smells that were not looked for stay accepted. */
    private static ExitCode accept(List<Finding> over, Accepted before, Project project, List<String> smells,
            Console console) {
        Accepted fresh = before.with(over);
        List<Accepted.Entry> all = new ArrayList<>(fresh.findings());
        before.findings().stream().filter(each -> !smells.isEmpty() && !smells.contains(each.smell())).forEach(all::add);
        Path file = new Accepted(Accepted.FORMAT, all).save(project.root());
        console.out().println("Accepted " + over.size() + (over.size() == 1 ? " finding" : " findings") + " in "
                + project.root().relativize(file) + ". Write the reasons into that file, and commit it.");
        return ExitCode.FINE;
    }

    private static void tell(Accepted accepted, Scan.Result result, List<String> smells, int left, Console console) {
        if (left > 0) {
            console.warn(left + (left == 1 ? " accepted finding is" : " accepted findings are")
                    + " left out; --with-accepted shows them.");
        }
        List<Accepted.Entry> stale = accepted.stale(result.findings(), smells);
        if (!stale.isEmpty()) {
            console.warn(stale.size() + (stale.size() == 1 ? " accepted finding is" : " accepted findings are")
                    + " gone: " + String.join(", ", stale.stream().map(Accepted.Entry::id).toList())
                    + ". 'driftwood scan --accept' renews the file.");
        }
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
