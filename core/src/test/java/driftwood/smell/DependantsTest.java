package driftwood.smell;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Program;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How many other files lean on a type by what they declare. */
class DependantsTest {
    private static final String VESSEL = """
            package quay;
            class Vessel {
                Vessel twin;
                void moor() { weigh(); }
                private void weigh() { }
            }
            """;

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            class Tug extends Vessel { }                                     | 1
            class Tug { java.util.Map<String, Vessel[]> towed; }             | 1
            class Tug { void tow(Vessel vessel) { } }                        | 1
            class Tug { quay.Vessel towed() { return null; } }               | 1
            class Tug { Vessel a; Vessel b; void tow(Vessel c) { } }         | 1
            class Tug { Object tow() { return new Vessel(); } }              | 0
            class Tug { VesselKind kind; }                                   | 0
            """)
    void whatIsDeclaredLeans(String neighbour, int leaning) {
        Program program = Given.scan("", VESSEL, "package quay;\n" + neighbour).program();
        assertThat(new Dependants(program.outlines(), Set.of("quay.Vessel")).of("quay.Vessel#moor()")).isEqualTo(leaning);
    }

    @Test
    void ofTypesOfOneNameTheImportedOrNearOneIsMeant() {
        Program program = Given.scan("", VESSEL, "package dock;\nclass Vessel { }\n", "package dock;\nclass Crane { Vessel lifted; }\n",
                "package town;\nimport dock.Vessel;\nclass Map { Vessel shown; }\n").program();
        Dependants dependants = new Dependants(program.outlines(), Set.of("quay.Vessel", "dock.Vessel"));
        assertThat(dependants.of("quay.Vessel")).isZero();
        assertThat(dependants.of("dock.Vessel")).isEqualTo(2);
    }

    @Test
    void whatIsPrivateConcernsNobodyElse() {
        Program program = Given.scan("", VESSEL, "package quay;\nclass Tug extends Vessel { }\n").program();
        Dependants dependants = new Dependants(program.outlines(), Set.of("quay.Vessel"));
        assertThat(dependants.of("quay.Vessel#weigh()")).isZero();
        assertThat(dependants.of("quay.Vessel#twin")).isOne();
        assertThat(dependants.of("quay.Tug")).isZero();
    }

    @ParameterizedTest(name = "{0}: {2}")
    @CsvSource(delimiter = '|', textBlock = """
            @Deprecated class Quay { void moor() { } }                                  | quay.Quay#moor()       | true
            @Deprecated class Quay { static class Berth { void moor() { } } }           | quay.Quay.Berth#moor() | true
            class Quay { @Deprecated void moor() { } }                                  | quay.Quay#moor()       | true
            class Quay { @Deprecated void moor() { } void moor(int depth) { } }         | quay.Quay#moor(int)    | false
            class Quay { @Deprecated static class Berth { } void moor() { } }           | quay.Quay#moor()       | false
            class Quay { void moor() { } }                                              | quay.Quay#moor()       | false
            """)
    void whatIsDeprecatedIsKnownByItsOwnWordOrThatOfTheTypeAround(String source, String symbol, boolean deprecated) {
        Program program = Given.scan("", "package quay;\n" + source).program();
        Dependants dependants = new Dependants(program.outlines(), Set.of("quay.Quay", "quay.Quay.Berth"));
        assertThat(dependants.isDeprecated(symbol)).isEqualTo(deprecated);
    }
}
