package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Findings of hardly any drag are counted, and shown to who asks for them. */
class LightFindingsTest {
    @TempDir
    Path folder;

    @BeforeEach
    void write() throws Exception {
        Files.writeString(folder.resolve("driftwood.yaml"), "");
        Files.writeString(folder.resolve("Pilot.java"), """
                class Pilot {
                    private final String name;
                    private final String badge;
                    Pilot() { this("none"); }
                    Pilot(String name) { this(name, "none"); }
                    Pilot(String name, String badge) { this.name = name; this.badge = badge; }
                    String told() { return name + badge; }
                }
                """);
    }

    private void writeHeavy() throws Exception {
        Files.writeString(folder.resolve("Dues.java"), """
                class Dues {
                    int sum;
                    void add(String kind) {
                        if (kind.equals("tug")) { sum += 2; System.out.println(sum); }
                        else if (kind.equals("ferry")) { sum -= 2; System.out.println(-sum); }
                        else if (kind.equals("yacht")) { sum *= 2; System.out.println(sum + 1); }
                    }
                }
                """);
    }

    private String scan(String... words) {
        List<String> all = new ArrayList<>(List.of("scan", folder.toString()));
        all.addAll(List.of(words));
        return InProcess.run(all.toArray(new String[0])).out();
    }

    @Test
    void whereThereAreOnlySuchNoneIsShown() {
        assertThat(scan()).contains("1 finding in 1 file", "None has a drag of 1.0 or more: --top 0 shows them.").doesNotContain("Pilot has 3");
    }

    @Test
    void besideOthersTheyAreCounted() throws Exception {
        writeHeavy();
        assertThat(scan()).contains("Dues#add(String): picks behaviour", "2 findings in 2 files", "1 more has a drag below 1.0: --top 0 shows them.")
                .doesNotContain("Pilot has 3");
    }

    @ParameterizedTest
    @ValueSource(strings = {"--top 0", "--min-drag 0", "--smells telescoping-constructor", "--format lines", "--format json", "--format markdown"})
    void whoSaysWhatIsWantedGetsThem(String asked) {
        assertThat(scan(asked.split(" "))).contains("Pilot has 3 constructors").doesNotContain("None has");
    }

    @Test
    void aFileThatIsNamedIsShownWhole() {
        assertThat(InProcess.run("scan", folder.resolve("Pilot.java").toString()).out()).contains("Pilot has 3 constructors");
    }

    @Test
    void theSummaryCountsThem() throws Exception {
        writeHeavy();
        assertThat(scan("--summary")).contains("telescoping-constructor");
    }

    @Test
    void whereOlderFindingsAreAcceptedTheNewOnesAreShown() throws Exception {
        Path pilot = folder.resolve("Pilot.java");
        String text = Files.readString(pilot);
        Files.delete(pilot);
        writeHeavy();
        scan("--accept");
        Files.writeString(pilot, text);
        assertThat(scan()).contains("Pilot has 3 constructors", "1 accepted").doesNotContain("None has");
    }
}
