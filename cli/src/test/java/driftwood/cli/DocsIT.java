package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.pattern.Patterns;
import driftwood.words.Glossary;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** Every command of the README and the docs, as written: each page in a fresh folder with the sample project. */
class DocsIT {
    private static final Path HOME = Path.of("..").toAbsolutePath().normalize();
    private static final Pattern BLOCK = Pattern.compile("(?ms)^```sh\\n(.*?)^```");
    private static final Pattern INLINE = Pattern.compile("`(?:\\./)?driftwood ([a-z]+)([^`]*)`");

    @TempDir
    Path folder;

    private static List<Path> pages() throws IOException {
        try (Stream<Path> all = Files.walk(HOME.resolve("docs"))) {
            return Stream.concat(Stream.of(HOME.resolve("README.md")), all.filter(each -> each.toString().endsWith(".md")).sorted()).toList();
        }
    }

    @TestFactory
    Stream<DynamicTest> everyCommandRunsAsWritten() throws IOException {
        return pages().stream().filter(each -> BLOCK.matcher(read(each)).find())
                .map(each -> DynamicTest.dynamicTest(HOME.relativize(each).toString(), () -> run(each)));
    }

    /**
     * The README begins in the checkout, the other pages in the sample project. The demo is left to {@link ArchiveIT}; slips
     * are tried only where a page asks how many are noticed: what a recording notices is held elsewhere.
     */
    private void run(Path page) throws Exception {
        Path place = Files.createDirectories(folder.resolve(page.getFileName().toString().replace(".md", "")));
        boolean readme = page.endsWith("README.md");
        if (!readme) {
            SampleFiles.copy("kelp-quay", place);
        }
        List<String> script = new ArrayList<>(List.of("set -o pipefail"));
        BLOCK.matcher(read(page)).results().flatMap(each -> each.group(1).lines())
                .filter(each -> !each.isBlank() && !each.startsWith("mvn ") && !page.endsWith("demo.md"))
                .forEach(each -> script.add(brief(each) + "; code=$?; [ $code -le 1 ] || { echo \"exit $code: " + each.replace("\"", "'") + "\"; exit 9; }"));
        Path launcher = Path.of(System.getProperty("driftwood.launcher")).toAbsolutePath().normalize();
        ProcessBuilder builder = new ProcessBuilder("bash", "-c", String.join("\n", script)).directory(place.toFile()).redirectErrorStream(true)
                .redirectOutput(folder.resolve("told").toFile());
        builder.environment().put("PATH", launcher.getParent() + ":" + System.getenv("PATH"));
        builder.environment().put("DRIFTWOOD_AS_BUILT", "1");
        Process process = builder.start();
        assertThat(process.waitFor(5, TimeUnit.MINUTES)).as("ends").isTrue();
        assertThat(process.exitValue()).as(() -> read(folder.resolve("told"))).isLessThanOrEqualTo(1);
    }

    private static String brief(String line) {
        if (line.startsWith("./driftwood demo")) {
            return "mkdir kelp-quay && cp -r " + HOME.resolve("demo/kelp-quay") + "/. kelp-quay";
        }
        boolean records = line.startsWith("driftwood characterize ") && !line.contains("--run");
        return records ? line.replaceAll(" --trial-time \\d+", "") + " --trial-time " + (line.contains("--at-least") ? 1 : 0) : line;
    }

    @Test
    void everyCommandInASentenceHasTheOptionsItNames() throws IOException {
        for (Path page : pages()) {
            for (Matcher inline = INLINE.matcher(read(page)); inline.find();) {
                String name = inline.group(1);
                Command command = Main.COMMANDS.stream().filter(each -> each.name().equals(name)).findFirst()
                        .orElseThrow(() -> new AssertionError(page + ": there is no command " + name));
                Pattern.compile("--([a-z-]+)").matcher(inline.group(2)).results().map(each -> each.group(1)).forEach(option ->
                        assertThat(command.options().hasLongOption(option) || CommonOptions.all().hasLongOption(option))
                                .as(page + ": " + inline.group()).isTrue());
            }
        }
    }

    @Test
    void thePagesOfPatternsAndWordsSayWhatExplainSays() {
        String patterns = read(HOME.resolve("docs/patterns.md"));
        Patterns.all().forEach(each -> assertThat(patterns).contains("## " + each.key() + "\n", each.what(), each.whenNot()));
        String words = read(HOME.resolve("docs/words.md"));
        Glossary.terms().forEach(each -> assertThat(words).contains("| " + each.key().replace('-', ' ') + " | " + each.meaning() + " |"));
    }

    private static String read(Path file) {
        try {
            return Files.readString(file, StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
