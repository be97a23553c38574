package driftwood.plan;

import static driftwood.plan.PlannedCode.BERTH;
import static driftwood.plan.PlannedCode.DUES;
import static driftwood.plan.PlannedCode.GATE;
import static driftwood.plan.PlannedCode.NUMBERED_GATE;
import static driftwood.plan.PlannedCode.OFFICE;
import static driftwood.plan.PlannedCode.ROSTER;
import static driftwood.plan.PlannedCode.TANKER;
import static driftwood.plan.PlannedCode.TUG;
import static driftwood.plan.PlannedCode.VESSELS;
import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.scan.Scan;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What one more variant takes, today and once the pattern is there. */
class DrillTest {
    private static final String FOGGY = """
            package quay;
            class Horn {
                private int calls;
                enum Fog { THIN, THICK, NONE }
                void sound(Fog fog) {
                    switch (fog) {
                        case THIN: calls++; System.out.println("short"); break;
                        case THICK: calls += 2; System.out.println("long"); break;
                        %s
                    }
                }
            }
            """;
    private static final String NAMES_ALL = FOGGY.formatted("case NONE: calls--; System.out.println(\"still\"); break;");
    private static final String LEAVES_OUT = FOGGY.formatted("");
    private static final String THROWS = FOGGY.formatted("default: throw new IllegalStateException(\"no fog\");");
    private static final String HAS_A_REST = FOGGY.formatted("default: calls = 0; System.out.println(\"none\");");
    private static final String COMPLETE_DUES = DUES.replace("return 0;", "throw new IllegalArgumentException();");
    private static final String BARGE = "package quay;\nclass Barge extends Vessel {\n    int holds;\n}\n";
    private static final String WAYS = """
            package quay;
            class Survey {
                private final Sonar sonar = new Sonar();
                private final Line line = new Line();
                double sound(boolean digital, String berth) {
                    if (digital) {
                        return sonar.measure(berth);
                    } else {
                        return line.lower(berth);
                    }
                }
            }
            class Sonar { double measure(String berth) { return berth.length() * 2.0; } }
            class Line { double lower(String berth) { return berth.length() + 1.0; } }
            """;
    private static final String DESK = """
            package quay;
            import java.nio.file.*;
            class Desk {
                private final Journal journal = new Journal();
                void note(String text) throws Exception { journal.write(text); }
            }
            class Journal { void write(String text) throws Exception { Files.writeString(Path.of("journal"), text); } }
            """;

    @TempDir
    Path root;

    private Planner planner;

    private Finding given(String smell, String... sources) {
        Given.written(root, sources);
        Scan.Result result = new Scan(Scan.Options.DEFAULT.only(smell).on(1)).run(root, List.of(root));
        planner = new Planner(result.site());
        return result.findings().get(0);
    }

    private static Arguments row(String smell, String pattern, List<String> sources, String... after) {
        return Arguments.of(smell, pattern, sources, List.of(after));
    }

    /** The same where two constants have no arm. */
    private static String twoLeft(String source) {
        return source.replace("NONE }", "NONE, FREEZING }");
    }

    static Stream<Arguments> afterwards() {
        return Stream.of(
                row("type-switch", "strategy", List.of(VESSELS, TUG, TANKER, COMPLETE_DUES), "the new Vessel, with quote(): the compiler asks for it"),
                row("type-switch", "strategy", List.of(VESSELS, TUG, TANKER, DUES), "the new Vessel, with quote(); left out, it gets what all others get"),
                row("type-switch", "strategy", List.of(VESSELS, TUG, TANKER, BARGE, COMPLETE_DUES), "the new Vessel, with quote(); left out, it throws"),
                row("type-switch", "strategy", List.of(NAMES_ALL), "the new constant of Fog, with sound(): the compiler asks for it"),
                row("type-switch", "strategy", List.of(LEAVES_OUT), "the new constant of Fog, with sound(); left out, nothing is done"),
                row("type-switch", "strategy", List.of(THROWS), "the new constant of Fog, with sound(): the compiler asks for it"),
                row("type-switch", "strategy", List.of(HAS_A_REST), "the new constant of Fog, with sound(): the compiler asks for it"),
                row("type-switch", "strategy", List.of(twoLeft(THROWS)), "the new constant of Fog, with sound(); left out, it throws"),
                row("type-switch", "strategy", List.of(twoLeft(HAS_A_REST)), "the new constant of Fog, with sound(); left out, it gets what all others get"),
                row("type-switch", "registry", List.of(LEAVES_OUT), "the new constant of Fog", "one entry in the table"),
                row("state-switch", "state", List.of(GATE), "the new constant of Position, with push(), toll(): the compiler asks for it"),
                row("state-switch", "strategy", List.of(GATE), "the new constant of Position, with push(), toll(): the compiler asks for it"),
                row("state-switch", "state", List.of(NUMBERED_GATE), "one more state class, and the transition into it"),
                row("state-switch", "strategy", List.of(NUMBERED_GATE), "the new constant of Gate", "where its object is chosen", "one more class: its PushRule"),
                row("state-switch", "registry", List.of(NUMBERED_GATE), "the new constant of Gate", "one entry in the table",
                        "a branch for the new position; forgotten, it gets what all others get"),
                row("conditional-instantiation", "factory-method", List.of(OFFICE), "the new kind of Permit", "one arm in createPermit()"),
                row("conditional-instantiation", "factory", List.of(OFFICE), "the new kind of Permit", "one arm in the factory"),
                row("conditional-instantiation", "registry", List.of(OFFICE), "the new kind of Permit", "one entry in the table"),
                row("telescoping-constructor", "builder", List.of(BERTH), "the field", "its step in the builder: callers who do not want it stay",
                        "the line of the private constructor that takes it"),
                row("mismatched-interfaces", "adapter", List.of(WAYS), "one adapter more", "one branch where it is chosen"),
                row("hard-coded-instantiation", "dependency-injection", List.of(DESK)),
                row("null-check", "null-object", List.of(ROSTER)));
    }

    @ParameterizedTest(name = "{0} by {1}: {3}")
    @MethodSource("afterwards")
    void onceThePatternIsThere(String smell, String pattern, List<String> sources, List<String> after) {
        Finding finding = given(smell, sources.toArray(String[]::new));
        Drill drill = planner.plan(finding, Optional.of(pattern)).drill();
        assertThat(drill.after()).extracting(Evidence::note).isEqualTo(after);
        assertThat(drill.change()).startsWith("one more ");
    }

    @Test
    void whatIsAddedTodayIsAddedAfterwards() {
        Finding finding = given("conditional-instantiation", OFFICE);
        Drill drill = planner.plan(finding, Optional.of("registry")).drill();
        assertThat(drill.after()).startsWith(drill.today().get(0));
        assertThat(Drill.files(drill.after())).isLessThanOrEqualTo(Drill.files(drill.today()));
    }

    @Test
    void leavingItChangesNothing() {
        Drill drill = left(given("state-switch", GATE)).drill();
        assertThat(drill.after()).isEqualTo(drill.today());
    }

    private Plan left(Finding finding) {
        return planner.plan(finding, Optional.of(Candidate.LEAVE));
    }
}
