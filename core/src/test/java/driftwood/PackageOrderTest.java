package driftwood;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Arrows point one way: a package may use those before it in this list, and none behind it. */
class PackageOrderTest {
    private static final List<String> ORDER = List.of("words", "pack", "source", "tree", "read", "program", "history", "smell", "pattern", "store",
            "plan", "behaviour");
    private static final Pattern IMPORT = Pattern.compile("(?m)^import (?:static )?driftwood\\.(\\w+)\\.");
    private static final Pattern QUALIFIED = Pattern.compile("[^\\w.@ *]driftwood\\.(\\w+)\\.[A-Z]");

    @Test
    void noPackageUsesOneBehindIt() throws IOException {
        List<String> wrong = new ArrayList<>();
        int read = 0;
        Path sources = Path.of("src/main/java/driftwood");
        try (Stream<Path> files = Files.walk(sources)) {
            for (Path file : files.filter(each -> each.toString().endsWith(".java")).toList()) {
                String own = sources.relativize(file).getName(0).toString();
                String text = Files.readString(file);
                read++;
                for (Pattern pattern : List.of(IMPORT, QUALIFIED)) {
                    Matcher used = pattern.matcher(text);
                    while (used.find()) {
                        if (ORDER.indexOf(used.group(1)) > ORDER.indexOf(own)) {
                            wrong.add(file + " uses " + used.group(1));
                        }
                    }
                }
            }
        }
        assertThat(read).isGreaterThan(100);
        assertThat(wrong).isEmpty();
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() throws IOException {
        try (Stream<Path> packages = Files.list(Path.of("src/main/java/driftwood"))) {
            assertThat(packages.map(each -> each.getFileName().toString())).allMatch(ORDER::contains);
        }
    }

    @Test
    void theCorePrintsNothingAndNeverExits() throws IOException {
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(each -> each.toString().endsWith(".java")).toList()) {
                assertThat(Files.readString(file)).as(file.toString())
                        .doesNotContain("System.out.", "System.err.", "System.exit", "printStackTrace");
            }
        }
    }
}
