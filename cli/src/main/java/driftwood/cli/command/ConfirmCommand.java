package driftwood.cli.command;

import driftwood.behaviour.Confirmation;
import driftwood.behaviour.Recording;
import driftwood.behaviour.Recordings;
import driftwood.behaviour.Verdict;
import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Style;
import driftwood.cli.render.VerdictsJson;
import driftwood.cli.render.VerdictsText;
import driftwood.smell.Scan;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;

/** {@code confirm}: runs recordings again and compares. */
public final class ConfirmCommand implements Command {

    @Override
    public String name() {
        return "confirm";
    }

    @Override
    public String operands() {
        return "[ID|TYPE...]";
    }

    @Override
    public String summary() {
        return "run the recordings again and compare (runs the code)";
    }

    @Override
    public String description() {
        return """
                Compiles the project as it is now, runs the recordings again and says for each case: same, reordered (the
                same content in another order), different, or gone (can no longer be run, and why). Exits with 1 when
                anything is not the same. Objects are built from their named parts with what the code offers now:
                constructor, creation routine, builder or setters.
                """;
    }

    @Override
    public Options options() {
        return Observed.options().addOption(Flags.value("format", "FORMAT", "text (default) or json"))
                .addOption(Flags.flag("any-order", "let cases pass that differ in order only"));
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        String format = Flags.choice(line, "format", List.of("text", "json"));
        Project project = Project.of(Flags.projectOf(line));
        List<Recording> recordings = recordings(line.getArgList(), project.root());
        Scan.Result result = project.link(console);
        List<Path> classPath = Observed.classPath(line, result, console);
        Confirmation confirmation = new Confirmation(result.program(), classPath, Observed.limits(line));
        Map<Recording, List<Verdict>> verdicts = new LinkedHashMap<>();
        recordings.forEach(each -> verdicts.put(each, confirmation.confirm(each)));
        console.out().print(format.equals("json") ? VerdictsJson.of(verdicts) + "\n"
                : new VerdictsText(new Style(console.colour()), console.width()).of(verdicts));
        boolean anyOrder = line.hasOption("any-order");
        boolean passed = verdicts.values().stream().flatMap(List::stream).allMatch(each ->
                each.kind() == Verdict.Kind.SAME || anyOrder && each.kind() == Verdict.Kind.REORDERED);
        return passed ? ExitCode.FINE : ExitCode.ACT;
    }

    private static List<Recording> recordings(List<String> wanted, Path root) {
        Recordings store = new Recordings(root);
        List<Recording> found = new ArrayList<>();
        List<String> known = new ArrayList<>();
        for (Path file : store.files()) {
            try {
                Recording each = store.read(file);
                known.add(each.of());
                if (wanted.isEmpty() || wanted.contains(each.of())
                        || wanted.contains(each.of().substring(each.of().lastIndexOf('.') + 1))) {
                    found.add(each);
                }
            } catch (IOException e) {
                throw new UsageException(e.getMessage() + ". Restore the file or record again with 'driftwood "
                        + "characterize'.");
            }
        }
        if (known.isEmpty()) {
            throw new UsageException("there are no recordings in " + root + ". Make one with 'driftwood characterize ID'.");
        }
        if (found.isEmpty()) {
            throw new UsageException("there is no recording of " + String.join(", ", wanted) + "; there are "
                    + String.join(", ", known) + ".");
        }
        return found;
    }
}
