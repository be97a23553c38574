import com.sun.source.util.JavacTask;
import driftwood.read.java.JavaReader;
import driftwood.source.Language;
import driftwood.source.SourceFile;
import driftwood.source.SourceFinder;
import driftwood.source.SourceText;
import io.github.treesitter.ktreesitter.Parser;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;

/**
 * Measures a folder: (a) bare parse, (b) cold scan, (c) warm scan, (d) warm scan after one file changed in each of a few ways, (e) peak heap,
 * (f) start-up. Every figure is a process of its own on the same files with the same number of threads. In the child
 * with the argument "parse" it is the bare parse itself.
 */
public final class Measure {
    private static final int THREADS = Runtime.getRuntime().availableProcessors();
    private static final int STARTS = 11;
    /** Scans for each kind of change: to and fro. */
    private static final int CHANGES = 6;
    /** As in the launcher. */
    private static final List<String> FLAGS = List.of("-XX:+UseParallelGC", "-XX:TieredStopAtLevel=1",
            "-XX:MaxNewSize=600m", "-XX:MetaspaceSize=96m", "-XX:NewSize=300m", "-Xms1600m");

    public static void main(String[] arguments) throws Exception {
        Path home = Path.of(arguments[0]);
        Path folder = Path.of(arguments[1]).toAbsolutePath().normalize();
        if (arguments.length == 3) {
            parse(folder);
            return;
        }
        List<SourceFile> files = new SourceFinder(folder).find(List.of(folder)).files();
        Path log = Files.createTempFile("measure", ".gc");
        String classPath = System.getProperty("java.class.path");
        double a = parse(List.of("-XX:+UseParallelGC"), classPath, home, folder);
        double tuned = parse(FLAGS, classPath, home, folder);
        say("files                %d, threads %d", files.size(), THREADS);
        say("a  bare parse        %.2f s (in a JVM as it comes; with the launcher's flags %.2f s)", a, tuned);
        String scan = home.resolve("driftwood").toString();
        forget(folder);
        double b = seconds(Map.of("DRIFTWOOD_JAVA_OPTIONS", "-Xlog:gc:file=" + log), scan, "scan", folder.toString(),
                "--format", "json");
        say("b  cold scan         %.2f s   b/a %.2f (against the parse with the launcher's flags %.2f)", b, b / a, b / tuned);
        double c = seconds(Map.of(), scan, "scan", folder.toString(), "--format", "json");
        say("c  warm scan         %.2f s   c/b %.2f", c, c / b);
        changes(files, () -> seconds(Map.of(), scan, "scan", folder.toString(), "--format", "json")).forEach((what, seconds) ->
                say("d  one file changed  %.2f s   d/b %.2f (%s)", seconds, seconds / b, what));
        forget(folder);
        double[] tight = {0, 0};
        tight[1] = timed(() -> tight[0] = exit(Map.of("DRIFTWOOD_JAVA_OPTIONS", "-Xmx400m"), scan, "scan", folder.toString(), "--format", "json"));
        say("e  peak heap         %d MB   with -Xmx400m exit %.0f after %.1f s", peak(log), tight[0], tight[1]);
        double version = median(scan, "--version");
        Path empty = Files.writeString(Files.createTempDirectory("empty").resolve("Empty.java"),
                "public class Empty { public static void main(String[] a) { } }");
        exit(Map.of(), "javac", empty.toString());
        double start = median("java", "-cp", empty.getParent().toString(), "Empty");
        say("f  start-up          %.3f s, empty program %.3f s   ratio %.2f", version, start, version / start);
    }

    private static double timed(Callable<?> work) throws Exception {
        long begin = System.nanoTime();
        work.call();
        return (System.nanoTime() - begin) / 1e9;
    }

    /** Parses in a process of its own; the seconds it takes to compile and launch the measurement are taken off. */
    private static double parse(List<String> flags, String classPath, Path home, Path folder) throws Exception {
        List<String> command = new ArrayList<>(List.of("java"));
        command.addAll(flags);
        command.addAll(List.of("-Xss512m", "-cp", classPath, home.resolve("bench/Measure.java").toString(),
                home.toString()));
        double[] both = new double[2];
        Path[] folders = {folder, Files.createTempDirectory("none")};
        for (int i = 0; i < both.length; i++) {
            List<String> whole = new ArrayList<>(command);
            whole.addAll(List.of(folders[i].toString(), "parse"));
            both[i] = seconds(Map.of(), whole.toArray(new String[0]));
        }
        return both[0] - both[1];
    }

    /** How long it takes after each kind of change, made by turns in a few files in the middle; the median. */
    private static Map<String, Double> changes(List<SourceFile> files, Callable<Double> scan) throws Exception {
        Map<String, Double> all = new LinkedHashMap<>();
        for (Change change : Change.values()) {
            List<Double> times = new ArrayList<>();
            for (int i = files.size() / 2; times.size() < CHANGES && i < files.size(); i++) {
                Path place = files.get(i).location();
                byte[] before = Files.readAllBytes(place);
                String text = new String(before, StandardCharsets.ISO_8859_1);
                String after = change.made(text, files.get(i).language());
                if (after.equals(text)) {
                    continue;
                }
                try {
                    Files.writeString(place, after, StandardCharsets.ISO_8859_1);
                    times.add(scan.call());
                } finally {
                    Files.write(place, before);
                }
                times.add(scan.call());
            }
            times.sort(null);
            all.put(change.what, times.get(times.size() / 2));
        }
        return all;
    }

    /** What somebody may do to a file. */
    private enum Change {
        COMMENT("a comment at its end") {
            @Override
            String made(String text, Language language) {
                return text + (isJava(language) ? "// changed\n" : "# changed\n");
            }
        },
        MOVED("a line before all others") {
            @Override
            String made(String text, Language language) {
                return (isJava(language) ? "// changed\n" : "# changed\n") + text;
            }
        },
        STATEMENT("a statement more in a routine") {
            @Override
            String made(String text, Language language) {
                String more = isJava(language) ? "System.out.println(\"changed\");" : "print(\"changed\")";
                return text.replaceFirst("(?<=[;}:])\\R([ \t]+)return ", "\n$1" + more + "\n$1return ");
            }
        },
        ROUTINE("a routine more") {
            @Override
            String made(String text, Language language) {
                int end = text.lastIndexOf('}');
                return !isJava(language) ? text + "\n\ndef changed():\n    pass\n"
                        : end < 0 ? text : text.substring(0, end) + "    void changed() { }\n" + text.substring(end);
            }
        };

        private final String what;

        Change(String what) {
            this.what = what;
        }

        abstract String made(String text, Language language);
    }

    private static boolean isJava(Language language) {
        return language.key().equals("java");
    }

    private static void say(String form, Object... values) {
        System.out.println(String.format(Locale.ROOT, form, values));
    }

    private static void forget(Path folder) throws IOException {
        Path cache = folder.resolve(".driftwood/cache");
        if (Files.isDirectory(cache)) {
            try (Stream<Path> all = Files.walk(cache)) {
                all.sorted(Comparator.reverseOrder()).forEach(each -> each.toFile().delete());
            }
        }
    }

    private static int exit(Map<String, String> environment, String... command) throws Exception {
        ProcessBuilder builder = new ProcessBuilder(command).redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.DISCARD);
        builder.environment().putAll(environment);
        return builder.start().waitFor();
    }

    private static double seconds(Map<String, String> environment, String... command) throws Exception {
        long begin = System.nanoTime();
        exit(environment, command);
        return (System.nanoTime() - begin) / 1e9;
    }

    private static double median(String... command) throws Exception {
        double[] all = new double[STARTS];
        for (int i = 0; i < STARTS; i++) {
            all[i] = seconds(Map.of(), command);
        }
        Arrays.sort(all);
        return all[STARTS / 2];
    }

    /** The most that the heap held before any collection, in MB. */
    private static long peak(Path log) throws IOException {
        long most = 0;
        for (String line : Files.readAllLines(log)) {
            var found = java.util.regex.Pattern.compile("(\\d+)M->").matcher(line);
            while (found.find()) {
                most = Math.max(most, Long.parseLong(found.group(1)));
            }
        }
        return most;
    }

    private static void parse(Path folder) throws Exception {
        List<SourceFile> files = new SourceFinder(folder).find(List.of(folder)).files();
        AtomicInteger next = new AtomicInteger();
        List<Thread> threads = new ArrayList<>();
        for (int i = 0; i < THREADS; i++) {
            Thread thread = new Thread(null, () -> work(files, next), "parse", 1L << 29);
            thread.start();
            threads.add(thread);
        }
        for (Thread thread : threads) {
            thread.join();
        }
    }

    private static void work(List<SourceFile> files, AtomicInteger next) {
        Map<String, Parser> parsers = new java.util.HashMap<>();
        for (int i = next.getAndAdd(48); i < files.size(); i = next.getAndAdd(48)) {
            List<JavaFileObject> java = new ArrayList<>();
            for (SourceFile file : files.subList(i, Math.min(files.size(), i + 48))) {
                try {
                    String text = SourceText.read(file).text();
                    if (isJava(file.language())) {
                        java.add(source(text, java.size()));
                    } else {
                        parsers.computeIfAbsent(file.language().key(), Measure::parser).parse(text, null);
                    }
                } catch (SourceText.NotReadable e) {
                    continue;
                }
            }
            if (!java.isEmpty()) {
                try {
                    JavacTask task = (JavacTask) ToolProvider.getSystemJavaCompiler().getTask(null, null, each -> { },
                            JavaReader.OPTIONS, null, java);
                    task.parse().forEach(each -> { });
                } catch (IOException | RuntimeException | StackOverflowError e) {
                    continue;
                }
            }
        }
    }

    /** The grammars' classes, by language; each thread makes a parser of each once. */
    private static final Map<String, String> GRAMMARS = Map.of("python", "Python", "csharp", "CSharp", "javascript", "Javascript", "kotlin", "Kotlin",
            "php", "Php", "ruby", "Ruby", "typescript", "Typescript");

    private static Parser parser(String language) {
        try {
            Class<?> grammar = Class.forName("org.treesitter.TreeSitter" + GRAMMARS.get(language));
            java.lang.reflect.Method pointer = pointer(grammar);
            pointer.setAccessible(true);
            return new Parser(new io.github.treesitter.ktreesitter.Language(pointer.invoke(grammar.getConstructor().newInstance())));
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("no grammar for " + language, e);
        }
    }

    private static java.lang.reflect.Method pointer(Class<?> grammar) throws NoSuchMethodException {
        for (Class<?> at = grammar; at != null; at = at.getSuperclass()) {
            for (java.lang.reflect.Method each : at.getDeclaredMethods()) {
                if (each.getName().equals("getPtr")) {
                    return each;
                }
            }
        }
        throw new NoSuchMethodException(grammar + " tells no pointer");
    }

    private static JavaFileObject source(String text, int number) {
        return new SimpleJavaFileObject(URI.create("text:///" + number + "/Source.java"), JavaFileObject.Kind.SOURCE) {
            @Override
            public CharSequence getCharContent(boolean ignore) {
                return text;
            }

            @Override
            public boolean isNameCompatible(String name, Kind kind) {
                return true;
            }
        };
    }
}
