package driftwood.scan.memory;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.pattern.Fit;
import driftwood.pattern.Pattern;
import driftwood.scan.Asking;
import driftwood.scan.Scan;
import driftwood.scan.memory.Memory.Kind;
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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

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
    /** Findings that the patterns were asked for in the last scan. */
    private int answered;

    private static final class Counting implements Memory {
        private final Map<String, String> stamps = new HashMap<>();
        private final Map<String, byte[]> kept = new HashMap<>();
        private final List<Kind> hits = new ArrayList<>();

        @Override
        public synchronized Optional<byte[]> recall(Kind kind, String key, String stamp) {
            boolean found = stamp.equals(stamps.get(kind + key));
            if (found) {
                hits.add(kind);
            }
            return found ? Optional.of(kept.get(kind + key)) : Optional.empty();
        }

        @Override
        public synchronized Optional<String> stamp(Kind kind, String key) {
            return Optional.ofNullable(stamps.get(kind + key));
        }

        @Override
        public synchronized void remember(Kind kind, String key, String stamp, byte[] value) {
            stamps.put(kind + key, stamp);
            kept.put(kind + key, value);
        }

        synchronized long hits(Kind kind) {
            return hits.stream().filter(kind::equals).count();
        }
    }

    @BeforeEach
    void write() {
        Given.written(root, OFFICE, "package quay;\nclass Tug { }\n", "package quay;\nclass Yacht { }\n");
    }

    private Scan.Result scan() {
        memory.hits.clear();
        answered = 0;
        Pattern counting = Asking.pattern(program -> {
            answered++;
            return Optional.of(new Fit("asking", 0.5, program.types().size() + " types"));
        });
        return new Scan(Scan.Options.DEFAULT.on(2).with(memory).answeredBy(List.of(counting))).run(root, List.of(root));
    }

    private static int lines(Scan.Result result) {
        return result.files().stream().mapToInt(Scan.Read::lines).sum();
    }

    @Test
    void theSecondScanRecallsWhatWasSaidAndReadsNoFacts() {
        Scan.Result first = scan();
        Scan.Result second = scan();
        assertThat(first.findings()).hasSize(1);
        assertThat(second.findings()).isEqualTo(first.findings());
        assertThat(second.fits()).isEqualTo(first.fits());
        assertThat(second.files()).isEqualTo(first.files());
        assertThat(memory.hits(Kind.JUDGED)).isEqualTo(1);
        assertThat(memory.hits(Kind.TRACE)).isEqualTo(3);
        assertThat(memory.hits(Kind.DECLARED)).isZero();
        assertThat(answered).isZero();
    }

    @Test
    void aChangeThatNoFactShowsNeedsNoNewJudgement() {
        Scan.Result first = scan();
        Given.written(root, OFFICE + "// the tide table hangs in the hall\n");
        Scan.Result second = scan();
        assertThat(second.findings()).isEqualTo(first.findings());
        assertThat(lines(second)).isEqualTo(lines(first) + 1);
        assertThat(memory.hits(Kind.USED)).isEqualTo(1);
        assertThat(answered).isZero();
    }

    @Test
    void aChangeThatOnlyMovesLinesIsToldWhereItStandsNow() {
        Scan.Result first = scan();
        Given.written(root, "// first\n" + OFFICE);
        Scan.Result second = scan();
        assertThat(second.findings().get(0).line()).isEqualTo(first.findings().get(0).line() + 1);
        assertThat(second.findings().get(0).evidence().get(0).line()).isEqualTo(first.findings().get(0).evidence().get(0).line() + 1);
        assertThat(second.fits()).isEqualTo(first.fits());
        assertThat(answered).isZero();
    }

    @Test
    void aChangeOfWhatIsDeclaredIsJudgedAnew() {
        scan();
        Given.written(root, OFFICE.replace("int dues", "int number; int dues"));
        assertThat(scan().findings()).hasSize(1);
        assertThat(answered).isEqualTo(1);
        assertThat(memory.hits(Kind.DECLARED)).isEqualTo(3);
    }

    @Test
    void aChangeOfAFileThatShowsTheSmellIsJudgedAnew() {
        scan();
        Given.written(root, OFFICE.replace("instanceof Yacht", "== null"));
        assertThat(scan().findings()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(value = Kind.class, names = {"TRACE", "DECLARED", "USED", "SIGHTED", "JUDGED"})
    void whatIsDamagedIsSeenAgain(Kind damaged) {
        scan();
        memory.kept.replaceAll((key, value) -> key.startsWith(damaged.name()) || key.startsWith(Kind.JUDGED.name())
                ? "damaged".getBytes(StandardCharsets.UTF_8) : value);
        Scan.Result second = scan();
        assertThat(second.findings()).hasSize(1);
        assertThat(second.program().outlines()).hasSize(3);
        assertThat(second.program().callsOf("dues")).isEmpty();
    }

    @Test
    void theProgramIsThereEvenWhereNothingWasJudged() {
        scan();
        Scan.Result second = scan();
        assertThat(second.program().type("quay.Tug")).isPresent();
        assertThat(memory.hits(Kind.DECLARED)).isEqualTo(3);
    }

    @Test
    void otherSettingsAreAnotherConclusion() {
        scan();
        memory.hits.clear();
        new Scan(Scan.Options.DEFAULT.withTests().on(1).with(memory)).run(root, List.of(root));
        assertThat(memory.hits(Kind.JUDGED)).isZero();
    }
}
