package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.FindingsJson;
import driftwood.cli.render.FindingsLines;
import driftwood.cli.render.FindingsMarkdown;
import driftwood.cli.render.FindingsSarif;
import driftwood.cli.render.FindingsSummary;
import driftwood.cli.render.FindingsText;
import driftwood.cli.render.Selected;
import driftwood.cli.render.Style;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.smell.detect.Catalogue;
import driftwood.source.Language;
import driftwood.store.Accepted;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code scan}: finds smells, ranked by drag. */
public final class ScanCommand implements Command {
    private static final int TOP = 20;
    private static final List<String> FORMATS = List.of("text", "lines", "json", "sarif", "markdown");

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
                Finds smells in the files and folders named (default: this folder), most drag first. Drag, 0.0 to 5.0, is how \
                much a smell will hold back the next change. The whole project is read, the nearest folder upwards with \
                .driftwood, driftwood.yaml or version control; paths choose what is shown. Nothing that is read is ever run. \
                Test code is read but not judged; hidden folders, build output and links are passed over.
                """;
    }

    @Override
    public Options options() {
        return new Options()
                .addOption(Flags.value("format", "FORMAT", "text (default), lines (one a finding, for editors and grep), json, sarif or markdown"))
                .addOption(Flags.flag("summary", "where to begin: findings by cause, by smell and by package, on one screen"))
                .addOption(Flags.value("smells", "KEY,...", "look for these smells only: "
                        + String.join(", ", Catalogue.keys())))
                .addOption(Flags.value("min-drag", "N", "leave out findings of less drag (0.0 to 5.0)"))
                .addOption(Flags.value("fail-at", "N", "exit with 1 when a finding has this much drag or more (0.0 to 5.0)"))
                .addOption(Flags.value("top", "N", "show the first N findings only (in text " + TOP + " where nothing is said; 0 for all)"))
                .addOption(Flags.flag("tests", "judge test code too"))
                .addOption(Flags.value("touched-since", "REV", "only findings in files that changed since a git revision"))
                .addOption(Flags.flag("accept", "accept today's findings: later scans leave them out"))
                .addOption(Flags.flag("with-accepted", "do not leave accepted findings out"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String format = Flags.choice(line, "format", FORMATS);
        Flags.number(line, "top", TOP);
        List<Project> projects = Project.all(line.getArgList(), console);
        boolean text = format.equals("text") || format.equals("lines");
        if (projects.size() > 1 && (!text || line.hasOption("accept"))) {
            throw new UsageException("these places are in " + projects.size() + " projects (" + String.join(", ", projects.stream()
                    .map(each -> each.root().toString()).toList()) + "); " + (text ? "--accept" : "--format " + format) + " takes one at a time.");
        }
        ExitCode worst = ExitCode.FINE;
        for (Project project : projects) {
            if (projects.size() > 1 && format.equals("text")) {
                console.out().println((project == projects.get(0) ? "" : "\n") + new Style(console.colour()).strong("Project " + project.root()) + "\n");
            }
            worst = worst.or(run(line, format, project, console));
        }
        return worst;
    }

    private static ExitCode run(CommandLine line, String format, Project project, Console console) {
        Selecting selecting = Selecting.of(line, project);
        boolean foreign = tellForeign(project, console);
        Scan.Result result = project.scan(selecting.smells(), line.hasOption("tests"), console);
        Accepted accepted = accepted(project);
        if (line.hasOption("accept")) {
            return accept(selecting, result, accepted, project, console);
        }
        Selected selected = selecting.select(result, project.scope(), line.hasOption("with-accepted") ? Optional.empty() : Optional.of(accepted));
        tellAside(selected, line, project, console);
        tellStale(accepted, result, selecting.smells(), console);
        print(selected, line, format, accepted.findings().isEmpty() && !isAsked(line), project, console);
        ExitCode unread = selected.unread().isEmpty() && !foreign ? ExitCode.FINE : ExitCode.UNREAD;
        return selecting.fails(selected.findings()) ? ExitCode.ACT : unread;
    }

    /** @param brief whether what hardly drags is only counted */
    private static void print(Selected all, CommandLine line, String format, boolean brief, Project project, Console console) {
        int top = (int) Flags.number(line, "top", format.equals("text") ? TOP : 0);
        int most = top == 0 ? Integer.MAX_VALUE : top;
        Style style = new Style(console.colour());
        PrintStream out = console.out();
        if (line.hasOption("summary")) {
            out.print(new FindingsSummary(style, console.width(), project.here()).of(all));
            return;
        }
        // driftwood: leave type-switch because each format is one call of its renderer, chosen in this place only
        switch (format) {
            case "json" -> FindingsJson.print(all.first(most), out);
            case "sarif" -> FindingsSarif.print(all.first(most), out);
            case "markdown" -> out.print(FindingsMarkdown.of(all.first(most)));
            case "lines" -> out.print(FindingsLines.of(all.first(most), project.here()));
            default -> out.print(new FindingsText(all.result(), style, console.width(), project.here()).of(all, brief
                    ? Math.min(most, all.weighty(FindingsText.LEAST)) : most));
        }
    }

    /** Whether it was said which findings are wanted: then what hardly drags is shown as well. */
    private static boolean isAsked(CommandLine line) {
        return Stream.of("top", "min-drag", "smells", "touched-since").anyMatch(line::hasOption)
                || line.getArgList().stream().anyMatch(each -> Files.isRegularFile(Path.of(each)));
    }

    /** Files that were named outright, and are in no language that is read. @return whether there is one */
    private static boolean tellForeign(Project project, Console console) {
        boolean some = false;
        for (Path each : project.scope().places()) {
            if (Files.isRegularFile(each) && Language.ofFileName(each.getFileName().toString()).isEmpty()) {
                console.warn("not read: " + each.getFileName() + " is in no language that Driftwood reads: " + String.join(", ",
                        Language.all().stream().map(language -> language.title() + " (." + language.extension() + ")").toList()) + ".");
                some = true;
            }
        }
        return some;
    }

    /** Where all that was named is test code, nothing was judged. */
    private static void tellAside(Selected selected, CommandLine line, Project project, Console console) {
        boolean judged = line.hasOption("tests") || project.settings().tests();
        if (!judged && !selected.files().isEmpty() && selected.files().stream().allMatch(Scan.Read::test)) {
            console.warn("all of this is test code, which was read but not judged; --tests judges it.");
        }
    }

    private static Accepted accepted(Project project) {
        try {
            return Accepted.in(project.root());
        } catch (IOException e) {
            throw new UsageException(e.getMessage() + ". Fix it, or remove it and accept again.");
        }
    }

    /** What is accepted elsewhere, or of smells that were not looked for, stays accepted. */
    private static ExitCode accept(Selecting selecting, Scan.Result result, Accepted before, Project project, Console console) {
        List<Finding> over = selecting.over(result, project.scope());
        List<Accepted.Entry> all = new ArrayList<>(before.with(over).findings());
        List<String> there = result.findings().stream().filter(each -> !project.scope().has(each.file())).map(Finding::id).toList();
        before.findings().stream().filter(each -> all.stream().noneMatch(kept -> kept.id().equals(each.id())))
                .filter(each -> there.contains(each.id()) || !selecting.smells().isEmpty() && !selecting.smells().contains(each.smell()))
                .forEach(all::add);
        Path file = new Accepted(Accepted.FORMAT, all).save(project.root());
        console.out().println("Accepted " + over.size() + (over.size() == 1 ? " finding" : " findings") + " in "
                + project.shown(project.root().relativize(file).toString()) + ". Write the reasons into that file, and commit it.");
        return ExitCode.FINE;
    }

    private static void tellStale(Accepted accepted, Scan.Result result, List<String> smells, Console console) {
        List<Accepted.Entry> stale = accepted.stale(result.findings(), smells);
        if (!stale.isEmpty()) {
            console.warn(stale.size() + (stale.size() == 1 ? " accepted finding is" : " accepted findings are")
                    + " gone: " + String.join(", ", stale.stream().map(Accepted.Entry::id).toList())
                    + ". 'driftwood scan --accept' updates the file.");
        }
    }
}
