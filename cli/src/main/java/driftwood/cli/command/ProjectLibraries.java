package driftwood.cli.command;

import driftwood.behaviour.build.MavenLibraries;
import driftwood.cli.Console;
import driftwood.cli.Project;
import driftwood.refactor.Libraries;
import driftwood.scan.Scan;
import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.cli.CommandLine;
import org.apache.commons.cli.Option;

/** What the sources of a project compile with: named here, in driftwood.yaml, or else told by its build. */
final class ProjectLibraries {
    private ProjectLibraries() {
    }

    static Option option() {
        return Flags.value("classpath", "PATH", "what the project needs, separated as for java (default: classpath in driftwood.yaml, else what Maven tells)");
    }

    static Libraries of(CommandLine line, Project project, Scan.Result result, Console console) {
        List<String> named = line.hasOption("classpath") ? List.of(line.getOptionValue("classpath").split(File.pathSeparator)) : project.settings().classPath();
        List<Path> known = new ArrayList<>(named.stream().map(result.root()::resolve).toList());
        return new Libraries(known, () -> named.isEmpty() ? asked(result, console) : List.of());
    }

    private static List<Path> asked(Scan.Result result, Console console) {
        return Stream.ofNullable(MavenLibraries.of(result.root()).orElse(null)).flatMap(maven -> {
            console.note("asking Maven for the libraries...");
            return maven.ask(result.program()).stream();
        }).toList();
    }
}
