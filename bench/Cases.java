import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Measures recordings: cases a second, and a confirm against the same calls bare in one JVM. The bare calls are the tests
 * that Driftwood writes, each run once, assertions and all; starting up is taken off both: a confirm of one case, and a
 * JVM that runs no test.
 */
public final class Cases {
    private static final int ROUNDS = 5;
    private static final String RUNNER = """
            import java.lang.reflect.*;
            public class Bare {
                public static void main(String[] names) throws Exception {
                    for (String name : names) {
                        Class<?> outer = Class.forName(name);
                        for (Class<?> group : outer.getDeclaredClasses()) {
                            for (Method method : group.getDeclaredMethods()) {
                                if (method.isAnnotationPresent(org.junit.jupiter.api.Test.class)) {
                                    Constructor<?> whole = outer.getDeclaredConstructor();
                                    Constructor<?> part = group.getDeclaredConstructor(outer);
                                    whole.setAccessible(true);
                                    part.setAccessible(true);
                                    method.setAccessible(true);
                                    method.invoke(part.newInstance(whole.newInstance()));
                                }
                            }
                        }
                    }
                }
            }
            """;

    public static void main(String[] arguments) throws Exception {
        String driftwood = arguments[0];
        String jars = arguments[1];
        Path project = Path.of(arguments[2]).toAbsolutePath();
        Path work = Files.createTempDirectory("cases");
        Path copy = work.resolve("project");
        run("cp", "-r", project.toString(), copy.toString());
        run("rm", "-rf", copy.resolve(".driftwood").toString());
        Path classes = Files.createDirectories(work.resolve("classes"));
        List<String> compile = new ArrayList<>(List.of("javac", "-nowarn", "-d", classes.toString()));
        sources(copy).forEach(compile::add);
        run(compile.toArray(new String[0]));
        for (int i = 3; i < arguments.length; i++) {
            one(driftwood, jars, arguments[i], copy, classes, Files.createDirectories(work.resolve("tests" + i)));
        }
        run("rm", "-rf", work.toString());
    }

    private static void one(String driftwood, String jars, String type, Path project, Path classes, Path work) throws Exception {
        run("rm", "-rf", project.resolve(".driftwood/recordings").toString());
        run(driftwood, "characterize", "--project", project.toString(), "--classes", classes.toString(), "--trial-time", "0",
                "--cases", "2000", "--write-tests", work.resolve("src").toString(), type);
        Path recording;
        try (Stream<Path> all = Files.list(project.resolve(".driftwood/recordings"))) {
            recording = all.findFirst().orElseThrow();
        }
        long count = Files.readAllLines(recording).stream().filter(line -> line.strip().startsWith("\"id\"")).count();
        Path bare = Files.createDirectories(work.resolve("classes"));
        Files.writeString(work.resolve("Bare.java"), RUNNER);
        String path = bare + ":" + classes + ":" + jars;
        List<String> compile = new ArrayList<>(List.of("javac", "-nowarn", "-cp", path, "-d", bare.toString(),
                work.resolve("Bare.java").toString()));
        List<String> names = new ArrayList<>();
        for (String each : sources(work.resolve("src"))) {
            compile.add(each);
            names.add(work.resolve("src").relativize(Path.of(each)).toString().replace(".java", "").replace('/', '.'));
        }
        run(compile.toArray(new String[0]));
        List<String> start = List.of("java", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-cp", path, "Bare");
        List<String> whole = new ArrayList<>(start);
        whole.addAll(names);
        double nothing = best(start);
        double calls = best(whole) - nothing;
        List<String> confirm = List.of(driftwood, "confirm", "--project", project.toString(), "--classes", classes.toString());
        List<String> first = new ArrayList<>(confirm);
        first.addAll(List.of("--only", "c1"));
        double startUp = best(first);
        double all = best(confirm) - startUp;
        System.out.println(String.format(Locale.ROOT, "%-16s %5d cases  confirm %.2f s + %.2f s to start up = %.0f cases a second;"
                + " bare %.2f s + %.2f s; ratio %.2f", type, count, all, startUp, count / all, calls, nothing, all / calls));
    }

    private static List<String> sources(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.map(Path::toString).filter(each -> each.endsWith(".java") && !each.endsWith("module-info.java")).toList();
        }
    }

    private static double best(List<String> command) throws Exception {
        double best = Double.MAX_VALUE;
        for (int i = 0; i < ROUNDS; i++) {
            long begin = System.nanoTime();
            run(command.toArray(new String[0]));
            best = Math.min(best, (System.nanoTime() - begin) / 1e9);
        }
        return best;
    }

    private static void run(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String told = new String(process.getInputStream().readAllBytes());
        if (process.waitFor() != 0) {
            System.err.println(told);
            throw new IllegalStateException(String.join(" ", command).substring(0, 60) + "... ended with " + process.exitValue());
        }
    }
}
