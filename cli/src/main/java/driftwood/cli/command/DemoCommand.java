package driftwood.cli.command;

import driftwood.cli.Command;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.SampleFiles;
import driftwood.cli.UsageException;
import driftwood.cli.render.Style;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Option;
import org.apache.commons.cli.Options;

/** {@code demo}: unpacks the sample project and walks the whole way on it. */
public final class DemoCommand implements Command {
    private static final String FOLDER = "kelp-quay";
    private static final String SLIPPED = "src/main/java/quay/Tanker.java";
    private static final String PLACE = "quay.HarbourDues#quote(Vessel,int)";

    @Override
    public String name() {
        return "demo";
    }

    @Override
    public String operands() {
        return "[DIR]";
    }

    @Override
    public String summary() {
        return "unpack a sample project and walk the whole way on it (runs it)";
    }

    @Override
    public String description() {
        return """
                Unpacks the sample project, a made-up harbour office, into a new folder (default: kelp-quay) and walks
                the whole way on it: scan, explain, plan, refactor (which records the behaviour first and confirms it after
                each stage), scan again; then a slip, which confirm notices. Leaves the folder as it was, to play with. In other languages whole runs of the
                program are recorded, where what runs it is on the PATH.
                """;
    }

    @Override
    public Options options() {
        return new Options().addOption(Option.builder().longOpt("language").hasArg().argName("NAME")
                .desc("the office in another language: " + String.join(", ", DemoOffice.languages())).build());
    }

    @Override
    public ExitCode run(CommandLine line, Console console) {
        if (line.getArgList().size() > 1) {
            throw new UsageException("demo takes one folder, not " + line.getArgList().size() + ".");
        }
        String language = line.getOptionValue("language", "java").toLowerCase(Locale.ROOT);
        Optional<DemoOffice> other = DemoOffice.in(language);
        if (other.isEmpty() && !language.equals("java")) {
            throw new UsageException("there is no sample in '" + language + "'. There are java, " + String.join(", ", DemoOffice.languages()) + ".");
        }
        String name = !line.getArgList().isEmpty() ? line.getArgList().get(0) : other.map(DemoOffice::folder).orElse(FOLDER);
        Path folder = fresh(Path.of(name));
        DemoWalk walk = new DemoWalk(name, console, new Style(console.colour()));
        return other.isPresent() ? other.get().walk(walk, folder) : java(walk, name, folder);
    }

    private static ExitCode java(DemoWalk walk, String name, Path folder) {
        SampleFiles.copy("kelp-quay", folder);
        walk.say("The sample project, a tidal harbour office in 27 files, is now in " + name
                + "/. First: what in it fights change?");
        walk.run(new ScanCommand(), "scan", name, "--top", "3");
        String id = new Scan(Scan.Options.DEFAULT).run(folder, List.of(folder)).findings().stream()
                .filter(each -> each.symbol().equals(PLACE)).map(Finding::id).findFirst().orElseThrow();
        walk.say("HarbourDues.quote() asks each vessel for its type. One finding in full, with its evidence:");
        walk.run(new ExplainCommand(), "explain", id, "--project", name);
        walk.say("What would be better, what would it cost, and in which steps? Each step comes with what it changes.");
        walk.run(new PlanCommand(), "plan", id, "--project", name, "--pattern", "strategy");
        walk.say("Driftwood carries it out: it records what the code does now, with inputs mined from the code itself, and then "
                + "walks the stages. After each it compiles, and confirms that everything still behaves as recorded.");
        if (walk.run(new RefactorCommand(), "refactor", id + "-strategy", "--apply", "--project", name) != ExitCode.FINE) {
            return ExitCode.DEFECT;
        }
        walk.say("Each kind of vessel knows its own dues now, and quote() only asks. What does the scan say?");
        walk.run(new ScanCommand(), "scan", name, "--top", "3");
        walk.say("And had a slip crept in? One sign is turned in " + SLIPPED + ": it compiles, and looks right.");
        Path slipped = folder.resolve(SLIPPED);
        turned(slipped, "+= nights", "-= nights");
        ExitCode noticed = walk.run(new ConfirmCommand(), "confirm", "--project", name);
        SampleFiles.copy("kelp-quay", folder);
        walk.say("The slip was " + (noticed == ExitCode.ACT ? "noticed" : "NOT noticed")
                + ", with the smallest case that shows it. " + name + "/ is back as it was, with the plan and the "
                + "recording: go and play. Try driftwood refactor " + id + "-strategy --project " + name + ", or change a number and confirm.");
        return noticed == ExitCode.ACT ? ExitCode.FINE : ExitCode.DEFECT;
    }

    /** Plants a slip. */
    private static void turned(Path file, String what, String into) {
        try {
            String text = Files.readString(file);
            if (!text.contains(what)) {
                throw new IllegalStateException(file + " has no " + what);
            }
            Files.writeString(file, text.replace(what, into));
        } catch (IOException e) {
            throw new UncheckedIOException("cannot change " + file, e);
        }
    }

    private static Path fresh(Path folder) {
        try {
            if (Files.exists(folder)) {
                if (!Files.isDirectory(folder)) {
                    throw new UsageException(folder + " is a file. Name a folder that does not exist yet.");
                }
                try (Stream<Path> content = Files.list(folder)) {
                    if (content.findAny().isPresent()) {
                        throw new UsageException("the folder " + folder + " is not empty, and demo only writes to a new or empty one. "
                                + "Name another: driftwood demo DIR.");
                    }
                }
            }
            return Files.createDirectories(folder).toAbsolutePath().normalize();
        } catch (IOException e) {
            throw new UncheckedIOException("cannot make the folder " + folder, e);
        }
    }
}
