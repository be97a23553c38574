package driftwood.behaviour.process;

import driftwood.witness.Witness;
import java.io.File;
import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Starts processes for observed code: with its own working folder, a limited heap, and the same settings everywhere. */
public final class Launch {
    private final Path folder;
    private final List<Path> classPath;
    private final Limits limits;

    /**
     * @param folder    of all runs; output goes to its files "printed" and "trouble"
     * @param classPath of the observed code
     */
    public Launch(Path folder, List<Path> classPath, Limits limits) {
        this.folder = folder;
        this.classPath = classPath;
        this.limits = limits;
    }

    /**
     * Runs a program of the witness until it ends or its time is over.
     *
     * @param program   name of its class
     * @param flags     of the JVM, beside the usual ones
     * @param millis    after which the process and its children are killed
     * @return the exit code; -1 where the process had to be killed and would not go
     */
    public int run(String program, List<String> arguments, List<String> flags, long millis) throws IOException {
        return Contained.ended(builder(program, arguments, flags).redirectInput(ProcessBuilder.Redirect.from(nothing()))
                .redirectOutput(folder.resolve("printed").toFile()).start(), folder, millis);
    }

    /** Starts a program of the witness that is asked on its standard input and answers on its standard output. */
    Process talking(String program, List<String> arguments) throws IOException {
        return builder(program, arguments, List.of()).start();
    }

    private ProcessBuilder builder(String program, List<String> arguments, List<String> flags) throws IOException {
        List<Path> path = new ArrayList<>(List.of(own()));
        path.addAll(classPath);
        Path work = Contained.work(folder);
        Path temporary = Files.createDirectories(work.resolveSibling("tmp"));
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        List<String> command = new ArrayList<>(List.of(java, "-Xmx" + limits.memoryMib() + "m", "-Xss1m",
                "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-XX:-ShowCodeDetailsInExceptionMessages",
                "-Xshare:auto", "-Xlog:disable", "-Djava.io.tmpdir=" + temporary, "-Duser.home=" + work.resolveSibling("home"), "-Duser.timezone=UTC",
                "-Duser.language=en", "-Duser.country=", "-Dfile.encoding=UTF-8", "-Djava.awt.headless=true",
                // Calls are few, and each routine's own: to write an accessor class for one takes longer than all its calls.
                "-Dsun.reflect.inflationThreshold=" + Integer.MAX_VALUE, "-Djdk.reflect.useNativeAccessorOnly=true"));
        command.addAll(flags);
        command.addAll(List.of("-cp", path.stream().map(each -> each.toAbsolutePath().toString())
                        .collect(Collectors.joining(File.pathSeparator)), program));
        command.addAll(arguments);
        return Contained.prepared(new ProcessBuilder(command), folder).directory(work.toFile()).redirectError(folder.resolve("trouble").toFile());
    }

    private File nothing() throws IOException {
        return Files.write(folder.resolve("nothing"), new byte[0]).toFile();
    }

    /** Where the witness's own classes are: its jar, or its class folder during development. */
    private static Path own() {
        try {
            return Path.of(Witness.class.getProtectionDomain().getCodeSource().getLocation().toURI());
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }
}
