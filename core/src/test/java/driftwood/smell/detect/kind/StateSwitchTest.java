package driftwood.smell.detect.kind;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which routines that branch on a field of their own make a state machine. */
class StateSwitchTest {
    private static final String GATE = """
            package quay;
            class Gate {
                enum State { SHUT, OPEN, STUCK }
                private State state = State.SHUT;
                private int moves;
                private String sign = "";
                void push() {
                    %s
                }
                int pull() {
                    %s
                    return moves;
                }
            }
            """;
    private static final String COUNTS = "switch (state) { case SHUT: moves++; break; case OPEN: moves--; break; default: break; }";

    private static Optional<Finding> found(String push, String pull) {
        List<Finding> findings = Given.scan("state-switch", GATE.formatted(push, pull)).findings();
        return findings.stream().findFirst();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            switch (state) { case SHUT: state = State.OPEN; break; case OPEN: state = State.STUCK; break; }                 | true
            if (state == State.SHUT) { state = State.OPEN; } else if (state == State.OPEN) { this.state = State.SHUT; }      | true
            state = switch (state) { case SHUT -> State.OPEN; case OPEN -> State.STUCK; default -> state; };                 | true
            sign = switch (state) { case SHUT -> "x"; case OPEN -> "o"; default -> "?"; };                                   | false
            switch (state) { case SHUT: sign = "x"; break; case OPEN: sign = "o"; break; }                                   | false
            if (state == State.SHUT) { state = State.OPEN; }                                                                 | false
            String told = switch (state) { case SHUT -> "x"; case OPEN -> "o"; default -> "?"; }; sign = told;               | false
            """)
    void toGoFromOneConditionToTheNextIsWork(String push, boolean machine) {
        assertThat(found(push, COUNTS).isPresent()).isEqualTo(machine);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            switch (state) { case SHUT: state = State.OPEN; break; case OPEN: state = State.STUCK; break; }  | SHUT -> State.OPEN in push
            state = switch (state) { case SHUT -> State.OPEN; case OPEN -> State.STUCK; default -> state; }; | OPEN -> State.STUCK in push
            """)
    void transitionsAreTold(String push, String transition) {
        assertThat(found(push, COUNTS)).hasValueSatisfying(each -> assertThat(each.evidence()).extracting(Evidence::note)
                .anyMatch(note -> note.startsWith("transitions: ") && note.contains(transition)));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            "+" "-" "*" "/" "n"            | false
            "+" "-" "*" "\\n" "then" "or"  | false
            "+" "-" "up" "down" "left"     | true
            "+" "-" "*"                    | true
            """)
    void whatWasReadLastIsNoCondition(String values, boolean machine) {
        StringBuilder arms = new StringBuilder();
        for (String each : values.split(" ")) {
            arms.append("case ").append(each).append(": depth++; at = at.substring(1); break; ");
        }
        String source = "package quay;\nclass Chart { String at = \"\"; int depth;\nvoid read() { switch (at) { " + arms + "} }\nint tell() { switch (at) { " + arms + "} return depth; } }\n";
        assertThat(Given.scan("state-switch", source).findings().isEmpty()).isNotEqualTo(machine);
    }
}
