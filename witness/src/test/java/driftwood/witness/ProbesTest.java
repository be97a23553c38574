package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class ProbesTest {

    @AfterEach
    void forget() {
        Probes.take();
    }

    @Test
    void whatWasPassedIsToldOnceByClass() {
        Probes.of(7, 4)[2] = true;
        Probes.of(9, 2)[0] = true;
        assertThat(Probes.take()).isEqualTo(Map.of(7L, BitSet.valueOf(new long[] {4}), 9L, BitSet.valueOf(new long[] {1})));
        assertThat(Probes.take()).isEmpty();
    }

    @Test
    void aClassKeepsItsProbes() {
        boolean[] first = Probes.of(11, 3);
        first[1] = true;
        Probes.take();
        assertThat(Probes.of(11, 3)).isSameAs(first).containsExactly(false, false, false);
    }
}
