package driftwood.cli.command;

import driftwood.behaviour.recording.Recording;
import driftwood.behaviour.run.Runtimes;
import driftwood.behaviour.tests.JavaTests;
import driftwood.behaviour.tests.KeptTests;
import driftwood.behaviour.tests.PythonTests;
import driftwood.cli.Console;
import driftwood.cli.ExitCode;
import driftwood.cli.Project;
import driftwood.cli.UsageException;
import driftwood.cli.render.Style;
import driftwood.program.Program;
import driftwood.store.Whole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.apache.commons.cli.CommandLine;

/** {@code characterize --write-tests}: writes a recording as ordinary tests. Tests that are there already are not lost. */
final class KeepTests {
    /** In the first line of what was written, so that it may be written anew. */
    private static final String MARK = "Written by driftwood characterize --write-tests; written anew, it is replaced.\n";

    private KeepTests() {
    }

    static ExitCode write(CommandLine line, Recording recording, Project project, Console console) {
        Path folder = Path.of(line.getOptionValue("write-tests")).toAbsolutePath().normalize();
        Program program = project.link(console).program();
        boolean python = !Runtimes.languageOf(recording, program).isOnTheJvm();
        KeptTests tests = python ? new PythonTests(program) : new JavaTests(program);
        KeptTests.Written written = tests.write(recording);
        Style style = new Style(console.colour());
        for (Map.Entry<String, String> each : written.files().entrySet()) {
            save(folder.resolve(each.getKey()), (python ? "# " : "// ") + MARK + each.getValue());
            console.out().println("Wrote " + style.strong(project.shown(folder.resolve(each.getKey()).toString())));
        }
        console.out().println(written.cases() + " of " + recording.cases().size() + " cases of " + recording.of()
                + " are in these tests." + (written.files().isEmpty() ? "" : " They need "
                + (python ? "unittest alone: python3 -m unittest discover -s " + project.shown(folder.toString()) : "JUnit 5 and AssertJ, nothing of Driftwood") + "."));
        written.left().forEach((why, count) -> console.out().println("  left out, " + count + ": " + Style.safe(why)));
        return written.files().isEmpty() ? ExitCode.ACT : ExitCode.FINE;
    }

    private static boolean isOurs(Path file) throws IOException {
        return Files.readString(file).lines().findFirst().orElse("").endsWith(MARK.strip());
    }

    private static void save(Path file, String text) {
        try {
            if (Files.exists(file) && !isOurs(file)) {
                throw new UsageException("--write-tests: " + file + " is there already and was not written by Driftwood. "
                        + "Move it or name another folder.");
            }
            Files.createDirectories(file.getParent());
            Whole.write(file, text);
        } catch (IOException e) {
            throw new UsageException("--write-tests: " + file + " cannot be written: " + e.getMessage() + ".");
        }
    }
}
