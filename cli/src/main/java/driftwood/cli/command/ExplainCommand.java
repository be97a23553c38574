package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.SampleExample;
import driftwood.cli.UsageException;
import driftwood.cli.render.FindingText;
import driftwood.cli.render.Style;
import driftwood.cli.render.TopicText;
import driftwood.pattern.Patterns;
import driftwood.pattern.Site;
import driftwood.plan.Planner;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.smell.detect.Catalogue;
import driftwood.store.Configuration;
import driftwood.words.Glossary;
import driftwood.words.Nearest;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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
        return "ID|KEY|WORD";
    }

    @Override
    public String summary() {
        return "explain a finding, a smell, a pattern or a word";
    }

    @Override
    public String description() {
        return """
                Shows one finding with its code, evidence, change drill and the patterns that answer it; or tells
                what a smell or a pattern is, when to use it and when not, or what a word such as drag, arm or leave-it means.
                'explain driftwood.yaml' prints a template of the configuration, with every key.
                """;
    }

    @Override
    public Options options() {
        return Flags.project();
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String wanted = Flags.operand(line, "the id of a finding, the key of a smell or pattern, or a word");
        Style style = new Style(console.colour());
        TopicText topic = new TopicText(style, console.width());
        String key = wanted.toLowerCase(Locale.ROOT);
        Optional<String> told = Catalogue.smell(key).map(smell -> topic.of(smell, SampleExample.of(key, Path.of(Flags.projectOf(line)), style, console.width()))).or(() -> Patterns.byKey(key).map(topic::of))
                .or(() -> Glossary.of(wanted).map(topic::of));
        if (wanted.equals(Configuration.FILE)) {
            console.out().print(Configuration.template());
            return ExitCode.FINE;
        }
        if (told.isPresent()) {
            console.out().print(told.get());
            return ExitCode.FINE;
        }
        if (!wanted.matches("[a-z]{2}-[0-9a-z]+")) {
            throw unknown(wanted);
        }
        Project project = Project.at(Flags.projectOf(line), console);
        Scan.Result result = project.link(console);
        Finding finding = project.finding(wanted, result);
        Site site = result.around(finding.file()).site();
        Planner planner = new Planner(site);
        console.out().print(new FindingText(site, style, console.width(), project.here()).of(finding,
                Catalogue.smell(finding.smell()).orElseThrow(), planner.drill(finding), planner.candidates(finding)));
        return ExitCode.FINE;
    }

    private static UsageException unknown(String wanted) {
        List<String> known = new ArrayList<>(Catalogue.keys());
        known.addAll(Patterns.keys());
        Glossary.terms().forEach(each -> known.add(each.key()));
        return new UsageException("there is nothing called '" + wanted + "'" + Nearest.to(wanted.toLowerCase(Locale.ROOT), known)
                .map(near -> "; did you mean '" + near + "'?").orElse(".") + " Ids of findings look like ts-1a2b3c; the smells are "
                + String.join(", ", Catalogue.keys()) + "; the patterns " + String.join(", ", Patterns.keys()) + "; other words "
                + String.join(", ", Glossary.terms().stream().map(Glossary.Term::key).toList()) + ".");
    }
}
