package driftwood.cli.command;

import driftwood.behaviour.Characterization;
import driftwood.behaviour.Compiler;
import driftwood.behaviour.Confirmation;
import driftwood.behaviour.Limits;
import driftwood.behaviour.Runtimes;
import driftwood.cli.Console;
import driftwood.cli.UsageException;
import driftwood.program.Outline;
import driftwood.smell.Scan;
import driftwood.source.Language;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Options;
import org.apache.commons.io.FileUtils;

/** The options of commands that run the observed code, and what they mean. */
final class Observed {
    private Observed() {
    }

    static Options options() {
        return Flags.project()
                .addOption(Flags.value("classes", "DIR", "take the project's classes from this folder instead of "
                        + "compiling its sources"))
                .addOption(Flags.value("classpath", "PATH", "what the project needs, separated as for java"))
                .addOption(Flags.value("case-time", "MS", "milliseconds for one case (default "
                        + Limits.DEFAULT.caseMillis() + ")"))
                .addOption(Flags.value("memory", "MIB", "heap of the observed process (default "
                        + Limits.DEFAULT.memoryMib() + ")"))
                .addOption(Flags.value("interpreter", "COMMAND", "runs Python code (default python3)"))
                .addOption(Flags.value("jobs", "N", "processes that run cases at a time (default 1)"));
    }

    static Limits limits(CommandLine line) {
        return new Limits((long) Math.max(1, Flags.number(line, "case-time", Limits.DEFAULT.caseMillis())),
                (int) Math.max(16, Flags.number(line, "memory", Limits.DEFAULT.memoryMib())),
                (int) Math.max(1, Flags.number(line, "jobs", Limits.DEFAULT.jobs())));
    }

    static Characterization characterization(CommandLine line, Scan.Result result, Language language, Console console) {
        return language == Language.JAVA
                ? new Characterization(result.program(), result.root(), classPath(line, result, console), limits(line))
                : new Characterization(result.program(), result.root(), interpreter(line, language), limits(line));
    }

    static Confirmation confirmation(CommandLine line, Scan.Result result, Language language, Console console) {
        return language == Language.JAVA
                ? new Confirmation(result.program(), classPath(line, result, console), limits(line))
                : new Confirmation(result.program(), result.root(), interpreter(line, language), limits(line));
    }

    private static Runtimes.Interpreter interpreter(CommandLine line, Language language) {
        Runtimes.Interpreter interpreter = Runtimes.of(language, line.getOptionValue("interpreter", "")).orElseThrow(() ->
                new UsageException(language.title()
                        + " cannot be run and recorded routine by routine; whole programs can, with characterize --run."));
        if (!interpreter.starts()) {
            throw new UsageException("'" + String.join(" ", interpreter.command()) + "' cannot be started. Install "
                    + language.title() + ", or name its interpreter with --interpreter.");
        }
        return interpreter;
    }

    /**
     * The class path for the observed code: given folders, or the project's sources compiled.
     *
     * @throws UsageException where a folder is missing or the project does not compile
     */
    static List<Path> classPath(CommandLine line, Scan.Result result, Console console) {
        List<Path> needed = new ArrayList<>();
        if (line.hasOption("classpath")) {
            for (String each : line.getOptionValue("classpath").split(File.pathSeparator)) {
                needed.add(existing(each, "classpath"));
            }
        }
        List<Path> whole = new ArrayList<>();
        if (line.hasOption("classes")) {
            whole.add(existing(line.getOptionValue("classes"), "classes"));
        } else {
            Path target = target();
            List<Path> sources = result.program().outlines().stream()
                    .filter(each -> !each.test() && each.language() == Language.JAVA).map(Outline::file)
                    .filter(file -> !file.endsWith("module-info.java")).map(result.root()::resolve).toList();
            console.err().println("driftwood: compiling " + sources.size() + " files...");
            try {
                Compiler.compile(result.root(), sources, needed, target);
            } catch (Compiler.DoesNotCompile e) {
                throw new UsageException("the project does not compile:" + e.getMessage()
                        + "\nMend it, or name compiled classes with --classes DIR and libraries with --classpath PATH.");
            }
            whole.add(target);
        }
        whole.addAll(needed);
        return whole;
    }

    /** A folder of this run's own: another run on the same project must not empty it. It is gone when this one ends. */
    private static Path target() {
        try {
            Path target = Files.createTempDirectory("driftwood-classes-");
            Runtime.getRuntime().addShutdownHook(new Thread(() -> FileUtils.deleteQuietly(target.toFile())));
            return target;
        } catch (IOException e) {
            throw new UncheckedIOException("there is no place for temporary files", e);
        }
    }

    private static Path existing(String text, String option) {
        Path path = Path.of(text).toAbsolutePath();
        if (!Files.exists(path)) {
            throw new UsageException("--" + option + ": there is no " + path + ".");
        }
        return path;
    }
}
