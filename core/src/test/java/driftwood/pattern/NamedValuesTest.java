package driftwood.pattern;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.pattern.Answer.Role;
import driftwood.scan.Scan;
import driftwood.smell.Evidence;
import driftwood.smell.Finding;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is told where values become the constants of a type of their own. */
class NamedValuesTest {

    @ParameterizedTest(name = "with {0} {1}")
    @CsvSource(delimiter = '|', textBlock = """
            ''                                              | ''                | : the compiler asks for it
            case HIGH: all = 0; break;                      | ''                | : the compiler asks for it
            ''                                              | default: all = 9; | ; left out, it gets what all others get
            ''                                              | default: throw new IllegalStateException(); | ; left out, it throws
            """)
    void theTypeAndItsConstantsPlayTheParts(String more, String rest, String reminder) {
        String gate = """
                package quay;
                class Gate {
                    static final int SHUT = 0;
                    static final int OPEN = 1;
                    static final int HIGH = 2;
                    private int state;
                    int all;
                    void push() {
                        switch (state) { case SHUT: all++; state = OPEN; break; case OPEN: all--; state = SHUT; break; %s %s }
                    }
                    void ring() {
                        switch (state) { case SHUT: all += 2; break; case OPEN: all -= 3; break; }
                    }
                }
                """.formatted(more, rest);
        Scan.Result result = Given.scan("state-switch", gate);
        Finding finding = result.findings().get(0);
        Answer told = Patterns.answer(Patterns.byKey("state").orElseThrow(), finding, result.site());
        List<String> constants = more.isEmpty() && rest.isEmpty() ? List.of("SHUT", "OPEN") : List.of("SHUT", "OPEN", "HIGH");
        Answer answer = new NamedValues("State", constants, new Evidence("quay/Gate.java", 3, 3, "State")).playing("state", told, finding.detail(), Given.JAVA.idiom());
        assertThat(answer.roles()).contains(new Role("context", "Gate", true), new Role("state", "State", false), new Role("concrete state", "OPEN", false))
                .hasSize(2 + constants.size());
        assertThat(answer.after()).singleElement().satisfies(place -> {
            assertThat(place.line()).isEqualTo(3);
            assertThat(place.note()).isEqualTo("the new constant of State, with push(), ring()" + reminder);
        });
        assertThat(answer.steps()).isEqualTo(told.steps());
    }

    /** The sides of a flag are constants as well, each with the routine that was split. */
    @ParameterizedTest(name = "{0}")
    @CsvSource({"print, PrintMode, DETAILED, PLAIN", "show, ShowMode, DEEP, BRIEF"})
    void theSidesOfAFlagPlayTheirParts(String routine, String type, String yes, String no) {
        String ledger = """
                package quay;
                class Ledger {
                    int all;
                    void %s(boolean detailed) {
                        if (detailed) { all += count() * 2; tell(); } else { all -= count(); }
                    }
                    int count() { return all; }
                    void tell() { all++; }
                    void both() { %s(true); %s(false); }
                }
                """.formatted(routine, routine, routine);
        Scan.Result result = Given.scan("flag-argument", ledger);
        Finding finding = result.findings().get(0);
        Answer told = Patterns.answer(Patterns.byKey("strategy").orElseThrow(), finding, result.site());
        Answer answer = new NamedValues(type, List.of(yes, no), new Evidence("quay/Ledger.java", 4, 4, type)).playing("strategy", told, finding.detail(), Given.JAVA.idiom());
        assertThat(answer.roles()).contains(new Role("strategy", type, false), new Role("concrete strategy", yes, false), new Role("concrete strategy", no, false));
        assertThat(answer.after()).singleElement().extracting(Evidence::note).isEqualTo("the new constant of " + type + ", with its own " + routine + "(): the compiler asks for it");
        assertThat(answer.cost()).isEqualTo(told.cost());
    }

    /** Of what is neither a decision nor a flag nothing is said anew. */
    @Test
    void whatHasNoSidesIsToldAsItWas() {
        Scan.Result result = Given.scan("swapped-arguments", "package quay; class Rope { Rope(int length, int width) { } static Rope of(int width, int length) { int all = width; return new Rope(width, length); } }");
        Finding finding = result.findings().get(0);
        Answer told = Patterns.answer(Patterns.byKey("builder").orElseThrow(), finding, result.site());
        assertThat(new NamedValues("Any", List.of("ONE"), new Evidence("quay/Rope.java", 1, 1, "")).playing("builder", told, finding.detail(), Given.JAVA.idiom())).isEqualTo(told);
    }
}
