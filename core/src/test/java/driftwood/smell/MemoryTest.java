package driftwood.smell;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Scans with a memory that counts what it is asked. */
class MemoryTest {
    private static final String OFFICE = """
            package quay;
            class Office {
                int dues(Object vessel) {
                    if (vessel instanceof Tug) { int base = 4; return base * 2; }
                    else if (vessel instanceof Yacht) { int base = 9; return base * 3; }
                    return 0;
                }
            }
            """;

    @TempDir
    Path root;

    private final Counting memory = new Counting();

    private static final class Counting implements Memory {
        private final Map<String, byte[]> kept = new HashMap<>();
        private final List<Kind> hits = new ArrayList<>();

        @Override
        public synchronized Optional<byte[]> recall(Kind kind, String key, String stamp) {
            byte[] found = kept.get(kind + key + stamp);
            if (found != null) {
                hits.add(kind);
            }
            return Optional.ofNullable(found);
        }

        @Override
        public synchronized void remember(Kind kind, String key, String stamp, byte[] value) {
            kept.put(kind + key + stamp, value);
        }

        long hits(Kind kind) {
            return hits.stream().filter(kind::equals).count();
        }
    }

    @BeforeEach
    void write() {
        Given.written(root, OFFICE, "package quay;\nclass Tug { }\n", "package quay;\nclass Yacht { }\n");
    }

    private Scan.Result scan() {
        memory.hits.clear();
        Scan.Options options = new Scan.Options(List.of(), false, 2, count -> { }, Settings.DEFAULT, memory,
                (finding, program) -> List.of(new Fit("strategy", 0.5, program.types().size() + " types")));
        return new Scan(options).run(root, List.of(root));
    }

    @Test
    void theSecondScanRecallsTheConclusionAndReadsNoFacts() {
        Scan.Result first = scan();
        Scan.Result second = scan();
        assertThat(first.findings()).hasSize(1);
        assertThat(second.findings()).isEqualTo(first.findings());
        assertThat(second.fits()).isEqualTo(first.fits());
        assertThat(second.lines()).isEqualTo(first.lines());
        assertThat(second.languages()).isEqualTo(first.languages());
        assertThat(memory.hits(Memory.Kind.CONCLUSION)).isEqualTo(1);
        assertThat(memory.hits(Memory.Kind.TRACE)).isEqualTo(3);
        assertThat(memory.hits(Memory.Kind.FACTS)).isZero();
    }

    @Test
    void aChangeThatNoFactShowsNeedsNoNewJudgement() {
        Scan.Result first = scan();
        Given.written(root, OFFICE + "// the tide table hangs in the hall\n");
        Scan.Result second = scan();
        assertThat(second.findings()).isEqualTo(first.findings());
        assertThat(second.lines()).isEqualTo(first.lines() + 1);
        assertThat(memory.hits(Memory.Kind.CONCLUSION)).isEqualTo(1);
    }

    @Test
    void aChangeOfAFactIsJudgedAnew() {
        scan();
        Given.written(root, "// first\n" + OFFICE);
        Scan.Result second = scan();
        assertThat(second.findings().get(0).line()).isEqualTo(5);
        assertThat(memory.hits(Memory.Kind.CONCLUSION)).isZero();
        assertThat(memory.hits(Memory.Kind.FACTS)).isEqualTo(2);
    }

    @Test
    void damagedFactsAreSeenAgain() {
        scan();
        memory.kept.replaceAll((key, value) -> key.startsWith("FACTS") || key.startsWith("CONCLUSION")
                ? "damaged".getBytes(StandardCharsets.UTF_8) : value);
        assertThat(scan().findings()).hasSize(1);
    }

    @Test
    void theProgramIsThereEvenWhereNothingWasJudged() {
        scan();
        Scan.Result second = scan();
        assertThat(second.program().type("quay.Tug")).isPresent();
        assertThat(memory.hits(Memory.Kind.FACTS)).isEqualTo(3);
    }

    @Test
    void otherSettingsAreAnotherConclusion() {
        scan();
        memory.hits.clear();
        new Scan(new Scan.Options(List.of(), true, 1, count -> { }, Settings.DEFAULT, memory, Cures.NONE)).run(root, List.of(root));
        assertThat(memory.hits(Memory.Kind.CONCLUSION)).isZero();
    }
}
