package driftwood.behaviour.build;

import driftwood.program.Program;
import driftwood.store.Scratch;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/**
 * Asks Maven for the libraries of a project: without the network first, then with it. A module of a larger build is asked
 * for within that build, so that its neighbours are found.
 */
public final class MavenLibraries {
    private static final String GOAL = "dependency:build-classpath";
    private static final long MINUTES = 5;

    private final Path root;
    private final Path top;
    private String trouble = "";

    private MavenLibraries(Path root, Path top) {
        this.root = root;
        this.top = top;
    }

    /** Of the project at a root; empty where Maven does not build it. */
    public static Optional<MavenLibraries> of(Path root) {
        if (!Files.isRegularFile(root.resolve("pom.xml"))) {
            return Optional.empty();
        }
        Path top = root;
        while (top.getParent() != null && declares(top.getParent(), top)) {
            top = top.getParent();
        }
        return Optional.of(new MavenLibraries(root, top));
    }

    /** Whether the build file of one folder names another as its module. */
    private static boolean declares(Path folder, Path module) {
        try {
            return Files.readString(folder.resolve("pom.xml")).contains("<module>" + folder.relativize(module).toString()
                    .replace('\\', '/') + "</module>");
        } catch (IOException e) {
            return false;
        }
    }

    /** Why there are none; empty where all went well. */
    public String trouble() {
        return trouble;
    }

    /**
     * The libraries that the project compiles and runs with, and the classes of modules that it needs; none where Maven
     * cannot tell, for which {@link #trouble} says why.
     *
     * @param program modules whose sources are in it are compiled with it, and left out
     */
    public List<Path> ask(Program program) {
        List<String> within = top.equals(root) ? List.of()
                : List.of("-f", top.resolve("pom.xml").toString(), "-pl", top.relativize(root).toString().replace('\\', '/'), "-am");
        // A neighbour in the same build is known by its classes only once they are compiled.
        List<List<String>> goals = within.isEmpty() && !hasModules() ? List.of(List.of(GOAL)) : List.of(List.of(GOAL), List.of("compile", GOAL));
        for (String network : List.of("-o", "")) {
            for (List<String> goal : goals) {
                List<String> command = new ArrayList<>(List.of("mvn", "-q", "-B"));
                if (!network.isEmpty()) {
                    command.add(network);
                }
                command.addAll(within);
                command.addAll(goal);
                Optional<List<Path>> found = ask(command);
                if (found.isPresent()) {
                    List<Path> own = Resources.sources(program, root);
                    return found.get().stream().filter(each -> !Files.isDirectory(each) || own.stream().noneMatch(source ->
                            source.startsWith(each.getParent().getParent()))).toList();
                }
            }
        }
        return List.of();
    }

    private boolean hasModules() {
        try {
            return Files.readString(root.resolve("pom.xml")).contains("<module>");
        } catch (IOException e) {
            return false;
        }
    }

    private Optional<List<Path>> ask(List<String> command) {
        try {
            Path folder = Scratch.folder("maven");
            Path answer = folder.resolve("path");
            Path said = folder.resolve("said");
            try {
                List<String> whole = new ArrayList<>(command);
                whole.add("-Dmdep.outputFile=" + answer);
                whole.add("-Dmdep.outputAbsoluteArtifactFilename=true");
                whole.add("-Dmdep.appendOutput=true");
                whole.add("-Dmdep.includeScope=runtime");
                Set<Path> all = new LinkedHashSet<>();
                for (String scope : List.of("runtime", "compile")) {
                    whole.set(whole.size() - 1, "-Dmdep.includeScope=" + scope);
                    if (!run(whole, said)) {
                        trouble = Files.readString(said).lines().filter(each -> each.startsWith("[ERROR]")).findFirst()
                                .orElse("it did not end well").replaceFirst("\\[ERROR\\]\\s*", "");
                        return Optional.empty();
                    }
                }
                if (Files.exists(answer)) {
                    for (String line : Files.readAllLines(answer)) {
                        Stream.of(line.split(File.pathSeparator)).filter(each -> !each.isBlank()).map(Path::of).forEach(all::add);
                    }
                }
                trouble = "";
                return Optional.of(List.copyOf(all));
            } finally {
                org.apache.commons.io.FileUtils.deleteQuietly(folder.toFile());
            }
        } catch (IOException e) {
            trouble = "Maven (mvn) cannot be started";
            return Optional.empty();
        }
    }

    private boolean run(List<String> command, Path said) throws IOException {
        Process process = new ProcessBuilder(command).directory(root.toFile()).redirectErrorStream(true)
                .redirectOutput(said.toFile()).start();
        process.getOutputStream().close();
        try {
            if (!process.waitFor(MINUTES, TimeUnit.MINUTES)) {
                process.destroyForcibly();
                return false;
            }
            return process.exitValue() == 0;
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
