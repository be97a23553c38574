package driftwood.behaviour;

import driftwood.witness.Outcome;
import driftwood.witness.Script;
import driftwood.witness.Value;
import driftwood.witness.Wire;
import driftwood.witness.Witness;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Runs scripts in witness processes, each with its own working folder. A case that ends the process is noted as what it
 * is, and a new process goes on with the next one.
 */
final class Observation {
    private static final int MOST_RESTARTS = 25;
    private static final long START_MILLIS = 20_000;

    private final List<Path> classPath;
    private final Limits limits;

    Observation(List<Path> classPath, Limits limits) {
        this.classPath = classPath;
        this.limits = limits;
    }

    /** What one process told before it ended. */
    private record Told(List<Outcome> outcomes, boolean begun) {
    }

    /** Runs scripts. @return an outcome for each, in order */
    List<Outcome> run(List<Script> scripts) {
        try {
            Path folder = Files.createTempDirectory("driftwood-witness-");
            try {
                return run(scripts, folder);
            } finally {
                delete(folder);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot run the observed code", e);
        }
    }

    private List<Outcome> run(List<Script> scripts, Path folder) throws IOException {
        Path scriptFile = folder.resolve("scripts");
        try (DataOutputStream to = new DataOutputStream(new BufferedOutputStream(Files.newOutputStream(scriptFile)))) {
            to.writeInt(scripts.size());
            for (Script script : scripts) {
                Wire.write(to, script);
            }
        }
        List<Outcome> all = new ArrayList<>();
        for (int restarts = 0; all.size() < scripts.size(); restarts++) {
            if (restarts > MOST_RESTARTS) {
                scripts.subList(all.size(), scripts.size()).forEach(script -> all.add(ended(script, "unmade",
                        "not run: " + MOST_RESTARTS + " cases before it ended the process")));
                break;
            }
            Path outcomeFile = Files.write(folder.resolve("outcomes-" + restarts), new byte[0]);
            int exit = start(folder, scriptFile, outcomeFile, all.size(), scripts.size() - all.size());
            Told told = read(outcomeFile);
            all.addAll(told.outcomes());
            if (told.begun() && all.size() < scripts.size()) {
                all.add(ended(scripts.get(all.size()), "exits", "exit code " + exit));
            } else if (told.outcomes().isEmpty() && all.size() < scripts.size()) {
                throw new IOException("the witness process did not start (exit code " + exit + "): "
                        + Files.readString(folder.resolve("trouble")).lines().findFirst().orElse("no message"));
            }
        }
        return all;
    }

    private static Outcome ended(Script script, String ending, String why) {
        return new Outcome(script.id(), ending, Value.scalar("text", why), "", "", List.of(), List.of(), List.of());
    }

    private int start(Path folder, Path scripts, Path outcomes, int begin, int count) throws IOException {
        List<Path> path = new ArrayList<>(List.of(own()));
        path.addAll(classPath);
        Path work = Files.createDirectories(folder.resolve("work"));
        Path temporary = Files.createDirectories(folder.resolve("tmp"));
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        Process process = new ProcessBuilder(java, "-Xmx" + limits.memoryMib() + "m", "-Xss1m",
                "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-XX:-ShowCodeDetailsInExceptionMessages",
                "-Xshare:auto", "-Xlog:disable", "-Djava.io.tmpdir=" + temporary, "-Duser.timezone=UTC",
                "-Duser.language=en", "-Duser.country=", "-Dfile.encoding=UTF-8", "-Djava.awt.headless=true",
                "-cp", path.stream().map(each -> each.toAbsolutePath().toString())
                        .collect(Collectors.joining(File.pathSeparator)),
                Witness.class.getName(), scripts.toString(), outcomes.toString(), Integer.toString(begin),
                Long.toString(limits.caseMillis()))
                .directory(work.toFile()).redirectInput(ProcessBuilder.Redirect.from(nothing(folder)))
                .redirectOutput(folder.resolve("printed").toFile()).redirectError(folder.resolve("trouble").toFile())
                .start();
        try {
            if (!process.waitFor(START_MILLIS + count * (Witness.PATIENCE * limits.caseMillis() + 50), TimeUnit.MILLISECONDS)) {
                process.destroyForcibly().waitFor();
            }
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
        }
        process.descendants().forEach(ProcessHandle::destroyForcibly);
        return process.isAlive() ? -1 : process.exitValue();
    }

    private static File nothing(Path folder) throws IOException {
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

    private static Told read(Path outcomes) throws IOException {
        List<Outcome> told = new ArrayList<>();
        boolean begun = false;
        try (DataInputStream from = new DataInputStream(new BufferedInputStream(Files.newInputStream(outcomes)))) {
            for (int tag = from.read(); tag >= 0; tag = from.read()) {
                begun = tag == Witness.BEGIN;
                if (tag == Witness.END) {
                    told.add(Wire.outcome(from));
                }
            }
        } catch (EOFException e) {
            begun = true;
        }
        return new Told(told, begun);
    }

    private static void delete(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder()).forEach(each -> each.toFile().delete());
        } catch (IOException e) {
            folder.toFile().deleteOnExit();
        }
    }
}
