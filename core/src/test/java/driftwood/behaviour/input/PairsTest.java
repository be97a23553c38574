package driftwood.behaviour.input;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class PairsTest {

    @Test
    void fewCombinationsAreAllTaken() {
        assertThat(Pairs.choose(new int[] {2, 3}, 10, 1)).containsExactly(new int[] {0, 0}, new int[] {0, 1}, new int[] {0, 2},
                new int[] {1, 0}, new int[] {1, 1}, new int[] {1, 2});
    }

    @Test
    void nothingToChooseIsOneChoice() {
        assertThat(Pairs.choose(new int[0], 10, 1)).hasSize(1);
    }

    @Test
    void everyValueOccursAndMostPairsDo() {
        int[] sizes = {6, 7, 5, 8};
        List<int[]> rows = Pairs.choose(sizes, 90, 1);
        assertThat(rows).hasSizeLessThanOrEqualTo(90);
        Set<String> values = new HashSet<>();
        Set<String> pairs = new HashSet<>();
        for (int[] row : rows) {
            for (int i = 0; i < row.length; i++) {
                values.add(i + "=" + row[i]);
                for (int j = i + 1; j < row.length; j++) {
                    pairs.add(i + "=" + row[i] + "," + j + "=" + row[j]);
                }
            }
        }
        assertThat(values).hasSize(6 + 7 + 5 + 8);
        assertThat(pairs.size()).isGreaterThan((6 * 7 + 6 * 5 + 6 * 8 + 7 * 5 + 7 * 8 + 5 * 8) * 95 / 100);
    }

    @Test
    void theSameSeedChoosesTheSame() {
        int[] sizes = {9, 9, 9};
        List<int[]> again = Pairs.choose(sizes, 40, 5);
        assertThat(Pairs.choose(sizes, 40, 5)).usingRecursiveComparison().isEqualTo(again);
    }
}
