package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.pattern.Site;
import driftwood.program.Outline;
import driftwood.scan.Scan;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Types that the compiler does not find by their names. */
class StraysTest {
    @TempDir
    Path root;

    private Site site;

    @BeforeEach
    void twoTypesInOneFile() {
        Given.write(root.resolve("quay/Tide.java"), "package quay;\npublic class Tide { class Ebb { } }\nclass Gauge { }\n");
        Given.write(root.resolve("quay/Lamp.java"), "package quay;\npublic class Lamp { Runnable off = new Runnable() { public void run() { } }; }\n");
        Given.write(root.resolve("quay/TideTest.java"), "package quay;\nimport org.junit.jupiter.api.Test;\nclass TideTest { @Test void rises() { } }\nclass Wave { }\n");
        Given.write(root.resolve("office/More.java"), "package office;\nclass Desk { }\nclass Gauge { }\n");
        site = new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root)).site();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', nullValues = "-", value = {
        "int high(Gauge gauge) { return 1; } | quay/Tide.java office/More.java",
        "new Desk() | office/More.java",
        "Tide tide; Lamp lamp; | -",
        "Ebb is nested and found with its outer type | -",
        "gauge and GaugeKeeper are other words | -",
        "class X { Wave w; } of a test | -"})
    void filesThatATextNeeds(String text, String files) {
        assertThat(Strays.of(site).named(List.of(text))).extracting(Outline::file)
                .containsExactlyInAnyOrder(files == null ? new String[0] : files.split(" "));
    }

    @Test
    void everyFileIsNamedOnce() {
        assertThat(Strays.of(site).named(List.of("Desk", "Desk Gauge"))).hasSize(2);
    }
}
