package driftwood.smell.detect.nothing;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of a routine that may give nothing holds at the place where it is said. */
class NothingEvidenceTest {
    private static final String JAVA = """
            class Pilot { String name; int years() { return 3; } }
            class Roster {
                Pilot pilot; boolean open;
                Pilot of(int tons) { %s }
            }
            class Tower {
                int calls; Roster roster;
                int years(int tons) { Pilot found = roster.of(tons); if (found == null) { return 0; } return found.years(); }
                void call(int tons) { Pilot found = roster.of(tons); if (found != null) { calls += found.years(); } }
            }
            """;
    private static final String KOTLIN = """
            class Pilot(val name: String, val years: Int)
            class Roster(private val pilots: List<Pilot>, private val byTons: Map<Int, Pilot>) {
                fun of(tons: Int): Pilot? %s
            }
            class Tower(private val roster: Roster) {
                %s
            }
            """;

    @TempDir
    Path root;

    private List<Finding> scan() {
        return new Scan(Scan.Options.DEFAULT.only("null-check").on(1)).run(root, List.of(root)).findings();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            if (tons > 3) { return null; } return pilot;                              | returns null if tons > 3
            if (tons > 3) { return pilot; } else { return null; }                     | returns null unless tons > 3
            return tons > 3 ? null : pilot;                                           | returns null if tons > 3
            return tons > 3 ? pilot : null;                                           | returns null unless tons > 3
            if (open) { if (tons > 3) { return pilot; } return null; } return pilot;  | returns null if open
            if (open) { return pilot; } else if (tons > 3) { return null; } else { return pilot; } | returns null if tons > 3
            if (tons > 3) { return pilot; } return null;                              | returns null at the end
            """)
    void conditionsAreToldAsTheyHold(String body, String told) {
        Given.write(root.resolve("Tower.java"), JAVA.formatted(body));
        assertThat(scan()).singleElement().extracting(each -> each.evidence().get(0).note()).isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            fun years(t: Int): Int = roster.of(t)?.years ?: 0                     |                                                                 | 0
            fun years(t: Int): Int = roster.of(t)?.years ?: 0                     | fun name(t: Int): String = roster.of(t)?.name ?: "nobody"       | 2
            fun years(t: Int): Int = roster.of(t)?.years ?: 0                     | fun sail(t: Int) { roster.of(t)?.let { println(it.name) } }     | 2
            fun years(t: Int): Int { val p = roster.of(t); return if (p == null) 0 else p.years } |                                                 | 1
            fun years(t: Int): Int = roster.of(t)?.years ?: error("none")         | fun name(t: Int): String = roster.of(t)?.name ?: error("none")  | 0
            """)
    void signsAreGuardsButOneAloneIsNone(String one, String other, int guards) {
        Given.write(root.resolve("Tower.kt"), KOTLIN.formatted("= pilots.firstOrNull { it.years > tons }", one + "\n    " + (other == null ? "" : other)));
        List<Finding> found = scan();
        assertThat(found).hasSize(guards == 0 ? 0 : 1);
        found.forEach(each -> assertThat(each.message()).contains(guards + (guards == 1 ? " caller checks" : " callers check")));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            = byTons[tons]                               | returns null where there is none for the key
            { if (tons > 3) return null; return pilots[0] }  | returns null if tons > 3
            """)
    void listsHaveWhatTheyAreAskedForByNumber(String body, String told) {
        Given.write(root.resolve("Tower.kt"), KOTLIN.formatted(body, """
                fun years(t: Int): Int { val p = roster.of(t); return if (p == null) 0 else p.years }
                fun name(t: Int): String { val p = roster.of(t); return if (p == null) "" else p.name }
                """));
        assertThat(scan()).singleElement().satisfies(each -> assertThat(each.evidence().stream().map(Evidence::note).filter(note -> note.startsWith("returns")))
                .containsExactly(told));
    }
}
