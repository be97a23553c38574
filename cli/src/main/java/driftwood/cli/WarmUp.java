package driftwood.cli;

import driftwood.store.Scratch;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.io.FileUtils;

/**
 * Runs the common ways through the program once, so that a class-data archive made meanwhile holds what daily use
 * needs. Prints nothing; failures do not matter.
 */
final class WarmUp {
    private static final Pattern PLANNED = Pattern.compile("\\.java:\\d+: type-switch (ts-\\w{6})");

    private WarmUp() {
    }

    static void run(List<Command> commands) {
        try {
            Path folder = Scratch.folder("warm-up");
            SampleFiles.copy("kelp-quay", folder);
            unfold(folder);
            PrintStream nowhere = new PrintStream(PrintStream.nullOutputStream());
            Console silent = new Console(nowhere, nowhere, false, false, true, 100);
            Main.run(new String[] {"scan", folder.toString()}, silent);
            change(folder);
            Main.run(new String[] {"scan", "--format", "json", folder.toString()}, silent);
            Main.run(new String[] {"scan", folder.toString()}, silent);
            plan(folder, silent);
            new Help(100).overview(commands);
            FileUtils.deleteQuietly(folder.toFile());
        } catch (IOException e) {
            return;
        }
    }

    /** A finding is explained and planned: that asks the compiler, and loads most of it. */
    private static void plan(Path folder, Console silent) {
        ByteArrayOutputStream told = new ByteArrayOutputStream();
        Main.run(new String[] {"scan", "--format", "lines", folder.toString()}, silent.into(new PrintStream(told, false, StandardCharsets.UTF_8)));
        Matcher id = PLANNED.matcher(told.toString(StandardCharsets.UTF_8));
        if (id.find()) {
            Main.run(new String[] {"explain", id.group(1), "--project", folder.toString()}, silent);
            Main.run(new String[] {"plan", id.group(1), "--project", folder.toString()}, silent);
        }
    }

    /** A file with every smell: what sees and judges them is in the archive as well. */
    private static void unfold(Path folder) throws IOException {
        if (!SampleFiles.has("warm-up")) {
            return;
        }
        try (Stream<Path> texts = Files.list(SampleFiles.folder("warm-up"))) {
            for (Path text : texts.sorted().toList()) {
                for (String each : Files.readString(text).split("(?m)^#### ")) {
                    write(each, folder);
                }
            }
        }
    }

    /** @param sample its name in the first line, and before each of its files a line with the file's name */
    private static void write(String sample, Path folder) throws IOException {
        String[] parts = sample.split("(?m)^=== ");
        for (int i = 1; i < parts.length; i++) {
            int end = parts[i].indexOf('\n');
            Path file = folder.resolve(parts[0].strip()).resolve(parts[i].substring(0, end).strip());
            Files.createDirectories(file.getParent());
            Files.writeString(file, parts[i].substring(end + 1));
        }
    }

    /** A change inside a routine, after which only a part is judged anew. */
    private static void change(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.filter(each -> each.toString().endsWith(".java")).toList()) {
                Files.writeString(file, Files.readString(file).replace("return ", "System.gc(); return "));
            }
        }
    }
}
