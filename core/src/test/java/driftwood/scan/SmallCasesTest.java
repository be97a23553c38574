package driftwood.scan;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.io.TempDir;

/** Small cases in each language: what is marked must be reported there, and the smell a case is about nowhere else. */
class SmallCasesTest {
    private static final Path CASES = Path.of("src/test/resources/cases");
    private static final Pattern MARK = Pattern.compile("\\s*(?://|#) <- ([a-z-]+)\\s*$");

    @TempDir
    Path folder;

    private record Place(String smell, String file, int line) {
    }

    @TestFactory
    Stream<DynamicTest> whatIsMarkedIsReportedAndNothingElse() throws IOException {
        try (Stream<Path> texts = Files.list(CASES)) {
            return texts.sorted().toList().stream().flatMap(text -> Arrays.stream(read(text).split("(?m)^#### ")).skip(1).map(each -> {
                String name = text.getFileName().toString().replaceFirst("-\\d+\\.txt", "") + " " + each.lines().findFirst().orElseThrow().strip();
                return DynamicTest.dynamicTest(name, () -> holds(folder.resolve(text.getFileName() + "-" + name.replaceAll("\\W+", "-")), name.split(" ")[1].split("--")[0], each));
            }));
        }
    }

    private static void holds(Path root, String smell, String text) {
        List<Place> wanted = new ArrayList<>();
        for (String part : text.split("(?m)^=== ")) {
            List<String> lines = part.lines().toList();
            if (!part.startsWith(smell)) {
                List<String> kept = new ArrayList<>();
                for (int i = 1; i < lines.size(); i++) {
                    Matcher mark = MARK.matcher(lines.get(i));
                    boolean marked = mark.find();
                    kept.add(marked ? lines.get(i).substring(0, mark.start()) : lines.get(i));
                    if (marked) {
                        wanted.add(new Place(mark.group(1), lines.get(0).strip(), i));
                    }
                }
                Given.write(root.resolve(lines.get(0).strip()), String.join("\n", kept) + "\n");
            }
        }
        List<Finding> found = new ArrayList<>(new Scan(Scan.Options.DEFAULT.on(2)).run(root, List.of(root)).findings());
        List<Place> missed = wanted.stream().filter(place -> found.stream().noneMatch(each -> covers(each, place))).toList();
        found.removeIf(each -> wanted.stream().anyMatch(place -> covers(each, place)));
        assertThat(missed).as("missed").isEmpty();
        assertThat(found.stream().filter(each -> each.smell().equals(smell)).map(each -> each.line() + ": " + each.message())).as("false").isEmpty();
    }

    private static boolean covers(Finding finding, Place place) {
        boolean here = finding.file().equals(place.file()) && finding.line() <= place.line() && place.line() <= finding.endLine();
        return finding.smell().equals(place.smell()) && (here || finding.evidence().stream().anyMatch(each -> holds(each, place)));
    }

    private static boolean holds(Evidence evidence, Place place) {
        return evidence.file().equals(place.file()) && evidence.line() <= place.line() && place.line() <= evidence.endLine();
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
