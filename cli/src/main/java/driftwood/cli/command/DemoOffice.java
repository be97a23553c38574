package driftwood.cli.command;

import driftwood.cli.ExitCode;
import driftwood.cli.SampleFiles;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import driftwood.source.Language;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The office of the sample in another language than Java.
 *
 * @param language key of it
 * @param command  prints one day of the office; empty where routines are recorded one by one
 * @param program  what must be on the PATH for that
 * @param file     in which a slip is planted
 * @param right    what stands there
 * @param wrong    the slip
 */
record DemoOffice(String language, String command, String program, String file, String right, String wrong) {
    private static final List<DemoOffice> ALL = List.of(
            new DemoOffice("csharp", "dotnet run", "dotnet", "LockGate.cs", "tonnage * 3", "tonnage * 4"),
            new DemoOffice("javascript", "node day.js", "node", "src/gate.js", "tonnage * 3", "tonnage * 4"),
            new DemoOffice("kotlin", "kotlinc quay -d day.jar -include-runtime && java -jar day.jar", "kotlinc", "quay/LockGate.kt", "tonnage * 3", "tonnage * 4"),
            new DemoOffice("php", "php day.php", "php", "src/LockGate.php", "tonnage * 3", "tonnage * 4"),
            new DemoOffice("python", "", "python3", "quay/pilots.py", "else 15", "else 16"),
            new DemoOffice("ruby", "ruby day.rb", "ruby", "lib/quay/gate.rb", "tonnage * 3", "tonnage * 4"),
            new DemoOffice("typescript", "npx tsx day.ts", "tsx", "src/gate.ts", "tonnage * 3", "tonnage * 4"));

    static List<String> languages() {
        return ALL.stream().map(DemoOffice::language).toList();
    }

    static Optional<DemoOffice> in(String language) {
        return ALL.stream().filter(each -> each.language.equals(language)).findFirst();
    }

    String folder() {
        return "kelp-quay-" + language;
    }

    /** Unpacks it and walks on it. @param folder new and empty @return DEFECT where the slip was not noticed */
    ExitCode walk(DemoWalk walk, Path folder) {
        String name = walk.folder();
        SampleFiles.copy(folder(), folder);
        List<Finding> findings = new Scan(Scan.Options.DEFAULT).run(folder, List.of(folder)).findings();
        walk.say("The tidal harbour office in " + Language.ofKey(language).orElseThrow().title() + " is now in " + name + "/. First: what in it fights change?");
        walk.run(new ScanCommand(), "scan", name, "--top", "3");
        String id = findings.get(0).id();
        walk.say("The first of them in full, with its evidence:");
        walk.run(new ExplainCommand(), "explain", id, "--project", name);
        walk.say("What would be better, what would it cost, and in which steps?");
        walk.run(new PlanCommand(), "plan", id, "--project", name);
        if (!isThere()) {
            walk.say("To record what the program does now, it must be run, and " + program + " is not on the PATH. Where it is: driftwood characterize --run \""
                    + command + "\" --name day, and after the change driftwood confirm. " + name + "/ is yours to play with.");
            return ExitCode.FINE;
        }
        walk.say("Before anything is touched: what does the code do now?");
        if (command.isEmpty()) {
            walk.run(new CharacterizeCommand(), "characterize", id, "--trial-time", "5", "--project", name);
        } else {
            walk.run(new CharacterizeCommand(), "characterize", "--run", command, "--name", "day", "--project", name);
        }
        walk.say("Nothing has changed yet, so everything behaves as recorded:");
        walk.run(new ConfirmCommand(), "confirm", "--project", name);
        replace(folder.resolve(file), right, wrong);
        walk.say("And had a slip crept in while the code was changed? In " + file + " '" + right + "' is now '" + wrong + "':");
        ExitCode noticed = walk.run(new ConfirmCommand(), "confirm", "--project", name);
        replace(folder.resolve(file), wrong, right);
        walk.say("The slip was " + (noticed == ExitCode.ACT ? "noticed" : "NOT noticed") + ". " + name + "/ is back as it was, with the plan and the recording: go and play.");
        return noticed == ExitCode.ACT ? ExitCode.FINE : ExitCode.DEFECT;
    }

    private boolean isThere() {
        return Arrays.stream(System.getenv().getOrDefault("PATH", "").split(File.pathSeparator)).anyMatch(each -> Files.isExecutable(Path.of(each, program)));
    }

    private static void replace(Path file, String from, String to) {
        try {
            Files.writeString(file, Files.readString(file).replace(from, to));
        } catch (IOException e) {
            throw new UncheckedIOException("cannot change the sample " + file, e);
        }
    }
}
