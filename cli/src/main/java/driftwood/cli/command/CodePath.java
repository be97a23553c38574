package driftwood.cli.command;

import driftwood.behaviour.build.Compiler;
import driftwood.behaviour.build.Homes;
import driftwood.behaviour.build.MavenLibraries;
import driftwood.behaviour.build.Resources;
import driftwood.behaviour.recording.Recording.Ran;
import driftwood.cli.Console;
import driftwood.cli.UsageException;
import driftwood.program.Outline;
import driftwood.scan.Scan;
import driftwood.store.Scratch;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.commons.cli.CommandLine;

/**
 * The classes of the observed project and what they need: named by the user now or when something was recorded, named in
 * driftwood.yaml, or told by the project's build; compiled from the sources where no classes are named.
 */
final class CodePath {
    private final Scan.Result result;
    private final List<String> configured;
    private final Console console;

    /** @param configured the class path of driftwood.yaml */
    CodePath(Scan.Result result, List<String> configured, Console console) {
        this.result = result;
        this.configured = configured;
        this.console = console;
    }

    /** What the user says of it on this command line, to be remembered; null for nothing. */
    static Ran told(CommandLine line, Path root) {
        List<String> classes = line.hasOption("classes") ? Arrays.asList(line.getOptionValues("classes")) : List.of();
        List<String> libraries = line.hasOption("classpath") ? Arrays.asList(line.getOptionValue("classpath").split(File.pathSeparator))
                : List.of();
        String interpreter = line.getOptionValue("interpreter");
        if (classes.isEmpty() && libraries.isEmpty() && interpreter == null) {
            return null;
        }
        return new Ran(classes.stream().map(each -> near(existing(each, "classes"), root)).toList(),
                libraries.stream().map(each -> near(existing(each, "classpath"), root)).toList(), interpreter);
    }

    /** Relative to the project where it is below it: others have it elsewhere. */
    private static String near(Path path, Path root) {
        return (path.startsWith(root) ? root.relativize(path).toString() : path.toString()).replace('\\', '/');
    }

    private static Path existing(String text, String option) {
        Path path = Path.of(text).toAbsolutePath().normalize();
        if (!Files.exists(path)) {
            throw new UsageException("--" + option + ": there is no " + path + ".");
        }
        return path;
    }

    /**
     * Where the code is.
     *
     * @param ran what was said of it; null for nothing
     * @throws UsageException where something is missing or the project does not compile
     */
    Homes homes(Ran ran) {
        Path root = result.root();
        List<Path> needs = new ArrayList<>(Resources.of(result.program(), root));
        boolean told = ran != null && ran.classpath() != null && !ran.classpath().isEmpty();
        (told ? ran.classpath() : configured).forEach(each -> needs.add(remembered(each, told ? "the class path remembered in the recording"
                : "classpath in driftwood.yaml")));
        if (ran != null && ran.classes() != null && !ran.classes().isEmpty()) {
            List<Path> classes = ran.classes().stream().map(each -> remembered(each, "the classes remembered in the recording")).toList();
            if (!told && configured.isEmpty()) {
                MavenLibraries.of(root).ifPresent(maven -> needs.addAll(maven.ask(result.program())));
            }
            return new Homes(classes, needs);
        }
        return new Homes(List.of(compiled(needs, told || !configured.isEmpty())), needs);
    }

    private Path remembered(String text, String where) {
        Path path = result.root().resolve(text);
        if (!Files.exists(path)) {
            throw new UsageException("there is no " + path + ", which is " + where + ". Build it, or name another with --classes or --classpath.");
        }
        return path;
    }

    /** The project's sources compiled. @param needs added to where the build knows more */
    private Path compiled(List<Path> needs, boolean told) {
        Path target = target();
        List<Path> sources = result.program().outlines().stream()
                .filter(each -> !each.test() && each.language().isOnTheJvm()).map(Outline::file)
                .filter(file -> !file.endsWith("module-info.java")).map(result.root()::resolve).toList();
        console.note("compiling " + sources.size() + (sources.size() == 1 ? " file..." : " files..."));
        try {
            Compiler.compile(result.root(), sources, needs, target);
            return target;
        } catch (Compiler.DoesNotCompile e) {
            Optional<MavenLibraries> maven = told ? Optional.empty() : MavenLibraries.of(result.root());
            if (maven.isEmpty()) {
                throw new UsageException("the project does not compile:" + e.getMessage() + "\n" + whatToType(""));
            }
            return withLibraries(maven.get(), sources, needs, target);
        }
    }

    private Path withLibraries(MavenLibraries maven, List<Path> sources, List<Path> needs, Path target) {
        console.note("asking Maven for the libraries...");
        needs.addAll(maven.ask(result.program()));
        try {
            Compiler.compile(result.root(), sources, needs, target);
            return target;
        } catch (Compiler.DoesNotCompile e) {
            String why = maven.trouble().isEmpty() ? "" : "Maven could not tell its libraries: " + maven.trouble() + "\n";
            throw new UsageException("the project does not compile:" + e.getMessage() + "\n" + whatToType(why));
        }
    }

    private String whatToType(String why) {
        boolean built = Files.isDirectory(result.root().resolve("target/classes"));
        return why + "Fix these errors, or say where the libraries are: --classpath lib/one.jar:lib/other.jar here, or once for all\n"
                + "  classpath: [lib/one.jar]\nin driftwood.yaml. "
                + (built ? "Or take what the build made: --classes target/classes." : "Or name compiled classes: --classes DIR.");
    }

    /** A folder of this run's own: another run on the same project must not empty it. It is gone when this one ends. */
    private static Path target() {
        try {
            return Scratch.folder("classes");
        } catch (IOException e) {
            throw new UncheckedIOException("there is no place for temporary files", e);
        }
    }
}
