package driftwood.smell.detect.misplaced;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.program.Program;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Duties that a type keeps apart by the name of the variant they are for. */
class RoutinesByVariantTest {
    private static final String KINDS = "package quay;\nenum Kind { TUG, CAR_FERRY, YACHT }";

    private static List<RoutinesByVariant.Kept> of(String members) {
        Program program = Given.scan("", KINDS, "package quay;\nclass Office {\n" + members.replace("->", "{ n++;\n n--;\n return; }\n") + "\n}").program();
        return new RoutinesByVariant(program).of(program.type("quay.Office").orElseThrow());
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
            duesForTug       | dues, for, tug
            dues_for_tug     | dues, for, tug
            DUES_FOR_TUG     | dues, for, tug
            carFerryDues     | car, ferry, dues
            dues             | dues
            _dues            | dues
            _                | ''
            """)
    void namesAreMadeOfWords(String name, String words) {
        assertThat(String.join(", ", RoutinesByVariant.words(name))).isEqualTo(words);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            Kind kind; int n; void tugDues() -> void carFerryDues() -> void tugBerth() -> void carFerryBerth() ->        | 2
            Kind kind; int n; void tugDues() -> void yachtDues() -> void carFerryDues() ->                               | 0
            Kind kind; int n; void tugDues() -> void carFerryDues() -> void tugBerth() -> void yachtBerth() ->           | 0
            Kind kind; int n; void getTug() -> void getYacht() -> void setTug() -> void setYacht() ->                    | 0
            int n; void tugDues() -> void carFerryDues() -> void tugBerth() -> void carFerryBerth() ->                   | 0
            Kind kind; int n, tug, yacht; void tugDues() -> void yachtDues() -> void tugBerth() -> void yachtBerth() ->  | 0
            """)
    void twoDutiesAtLeastForTheSameVariantsAreKept(String members, int duties) {
        List<RoutinesByVariant.Kept> kept = of(members);
        assertThat(kept.isEmpty() ? 0 : kept.get(0).routines().size()).isEqualTo(duties);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({"'NEW, OPENED, CLOSED', 0", "'OPENED, CLOSED', 2"})
    void someOfItsOwnConditionsAreNoVariants(String constants, int duties) {
        List<RoutinesByVariant.Kept> kept = of("enum Status { " + constants + " } Status status; int n; void dayOpened() -> void dayClosed() -> void gateOpened() -> void gateClosed() ->");
        assertThat(kept.isEmpty() ? 0 : kept.get(0).routines().size()).isEqualTo(duties);
    }
}
