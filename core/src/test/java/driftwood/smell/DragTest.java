package driftwood.smell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DragTest {

    @ParameterizedTest(name = "{0} places in {1} files of size {2} drag {3}")
    @CsvSource({"1, 1, 0, 0.8", "1, 1, 3, 1.3", "3, 1, 0, 1.6", "3, 2, 3, 2.6", "7, 4, 7, 4.0", "100, 50, 30, 5.0"})
    void dragGrowsWithTheLogarithmOfWhatMustBeEdited(int reach, int files, int size, double drag) {
        assertThat(Drag.of(reach, files, size).build().value()).isEqualTo(drag);
    }

    @Test
    void risksThatApplyAreAddedWithTheirReasons() {
        Drag drag = Drag.of(1, 1, 0).risk(true, 0.5, "no default").risk(false, 2.0, "never").build();
        assertThat(drag.value()).isEqualTo(1.3);
        assertThat(drag.reasons()).containsExactly("1 place to edit", "no default");
    }

    @Test
    void dragIsNeverBelowZero() {
        assertThat(Drag.of(1, 1, 0).risk(true, -4, "guarded").build().value()).isZero();
    }

    @ParameterizedTest(name = "{0} other files lean on the type: {1}")
    @CsvSource({"0, 0.8", "3, 0.8", "4, 1.0", "8, 1.1", "16, 1.3", "64, 1.3"})
    void whatManyLeanOnDragsMore(int dependants, double drag) {
        Drag among = Drag.of(1, 1, 0).build().among(dependants);
        assertThat(among.value()).isEqualTo(drag);
        assertThat(among.reasons().contains(dependants + " other files lean on the type")).isEqualTo(dependants >= 4);
    }

    @ParameterizedTest(name = "{0} places, deprecated: {1}")
    @CsvSource({"1, 0.0", "3, 0.1", "40, 2.8"})
    void nobodyTakesPainsWithWhatIsToGo(int reach, double drag) {
        Drag leaving = Drag.of(reach, 1, 0).build().leaving();
        assertThat(leaving.value()).isEqualTo(drag);
        assertThat(leaving.reasons()).endsWith("deprecated, so on its way out");
    }
}
