package driftwood.refactor.java;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Script;
import driftwood.refactor.Stage;
import driftwood.smell.Detail.Branching;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where lines have gone to while a script edited their file. */
class MovedLinesTest {
    private static final String GATE = """
            package quay;
            class Gate {
                static final int SHUT = 0;
                static final int OPEN = 1;
                private int state;
                int all;
                void push() {
                    switch (state) {
                        case SHUT: all++; state = OPEN; break;
                        case OPEN: all--; state = SHUT; break;
                    }
                }
                void ring() {
                    switch (state) {
                        case SHUT: all += 2; break;
                        case OPEN: all -= 3; break;
                    }
                }
            }
            """;
    private static final String FILE = "quay/Gate.java";

    /** The two constants are one line now, and a line stands before the field that was not there. */
    private static MovedLines moved() {
        Script script = new Script(Map.of(FILE, GATE));
        script.stage("give them a type", List.of());
        script.replace(FILE, GATE.indexOf("    static final int SHUT"), GATE.indexOf("    private int"), "    enum State { SHUT, OPEN }\n");
        script.insert(FILE, GATE.indexOf("    int all"), "\n\n");
        return new MovedLines(script, Map.of(FILE, GATE), Set.of(FILE));
    }

    @Test
    void aFindingGoesAlongWithAllItsPlaces() {
        Finding finding = Given.only("state-switch", GATE);
        Finding now = moved().forth(finding);
        assertThat(now.line() - finding.line()).isEqualTo(1);
        Branching was = (Branching) finding.detail();
        Branching is = (Branching) now.detail();
        assertThat(is.chain().line()).isEqualTo(was.chain().line() + 1);
        assertThat(is.chain().arms()).hasSameSizeAs(was.chain().arms());
        assertThat(is.siblings().get(0).line()).isEqualTo(was.siblings().get(0).line() + 1);
    }

    @ParameterizedTest(name = "line {0} was line {1}")
    @CsvSource({"1, 1", "2, 2", "3, 3", "4, 5", "7, 6", "8, 7", "15, 14"})
    void placesAreToldByTheLinesOfBefore(int now, int before) {
        Refactoring refactoring = new Refactoring(List.of(new Stage("ask", List.of(new Evidence(FILE, now, now, "here"), new Evidence("quay/Other.java", now, now, "there"),
                Evidence.fresh(FILE, "new")), Map.of(), false)), Map.of(), List.of(), Set.of(), Set.of(), new Refactoring.Counts(0, 0, 0, 0, 0), Optional.empty(), List.of(), Map.of());
        List<Evidence> places = moved().back(refactoring).stages().get(0).places();
        assertThat(places.get(0).line()).isEqualTo(before);
        assertThat(places.get(1).line()).as("of a file that nobody edited").isEqualTo(now);
        assertThat(places.get(2).toBeWritten()).isTrue();
    }
}
